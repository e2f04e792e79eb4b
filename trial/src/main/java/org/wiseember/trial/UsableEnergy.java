package org.wiseember.trial;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.capacity.EnergyLeft;
import org.wiseember.core.efficiency.LossFit;
import org.wiseember.core.label.Label;
import org.wiseember.core.uncertainty.Estimate;

/**
 * What a pack gives on its DC side, from the best that is known of a unit: a DC drain at its own
 * port, else an AC drain with the losses of a ladder, else an AC drain with the usual inverter,
 * else the label with the usual yield.
 */
final class UsableEnergy {
  /** The usual inverter at a middling load; common practice, no published source. */
  private static final Estimate USUAL_INVERTER = new Estimate(0.88, 0.06);

  private UsableEnergy() {}

  static Optional<Estimate> of(List<TestRun> runs, Label label) {
    Optional<DrainRun> direct = gentlest(runs, true);
    if (direct.isPresent()) {
      return direct.get().finding().deliveredEnergy();
    }
    Optional<DrainRun> ac = gentlest(runs, false);
    if (ac.isPresent()) {
      Estimate out = ac.get().finding().deliveredEnergy().orElseThrow();
      double watts = Math.max(1, ac.get().meanWatts());
      Estimate eta =
          fit(runs).map(f -> f.estimate(c -> c.efficiency(watts))).orElse(USUAL_INVERTER);
      double energy = out.value() / eta.value();
      return Optional.of(
          new Estimate(
              energy, energy * Math.hypot(out.u95() / out.value(), eta.u95() / eta.value())));
    }
    return label.ratedWattHours().map(wh -> EnergyLeft.assumed(wh, 1, 0).wattHours());
  }

  private static Optional<LossFit> fit(List<TestRun> runs) {
    return runs.stream()
        .filter(r -> r instanceof LadderRun)
        .flatMap(r -> ((LadderRun) r).finding().fit().stream())
        .reduce((a, b) -> b);
  }

  private static Optional<DrainRun> gentlest(List<TestRun> runs, boolean direct) {
    return runs.stream()
        .filter(r -> r instanceof DrainRun)
        .map(r -> (DrainRun) r)
        .filter(d -> d.complete() && d.direct() == direct)
        .min(Comparator.comparingDouble(DrainRun::meanWatts));
  }
}

package org.wiseember.trial.finding;

import java.util.Comparator;
import java.util.Optional;
import org.wiseember.core.capacity.EnergyLeft;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.kind.found.Laddered;

/**
 * What a pack gives on its DC side, from the best that is known of a unit: a DC drain at its own
 * port, else an AC drain with the losses of a ladder, else an AC drain with the usual inverter,
 * else the label with the usual yield.
 */
public final class UsableEnergy {
  /** The usual inverter at a middling load; common practice, no published source. */
  private static final Estimate USUAL_INVERTER = new Estimate(0.88, 0.06);

  private UsableEnergy() {}

  public static Optional<Estimate> of(UnitFindings unit) {
    Optional<Drained> direct = gentlest(unit, true);
    if (direct.isPresent()) {
      return direct.get().finding().deliveredEnergy().map(Figure::estimate);
    }
    Optional<Drained> ac = gentlest(unit, false);
    if (ac.isPresent()) {
      return Optional.of(
          EnergyLeft.before(
              ac.get().finding().deliveredEnergy().orElseThrow().estimate(),
              inverter(unit, Math.max(1, ac.get().meanWatts()))));
    }
    return unit.label().ratedWattHours().map(wh -> EnergyLeft.assumed(wh, 1, 0).wattHours());
  }

  private static Estimate inverter(UnitFindings unit, double watts) {
    return unit.of(Laddered.class)
        .flatMap(r -> r.finding().fit().stream())
        .reduce((a, b) -> b)
        .map(f -> f.estimate(c -> c.efficiency(watts)))
        .orElse(USUAL_INVERTER);
  }

  private static Optional<Drained> gentlest(UnitFindings unit, boolean direct) {
    return unit.of(Drained.class)
        .filter(d -> d.complete() && d.direct() == direct)
        .min(Comparator.comparingDouble(Drained::meanWatts));
  }
}

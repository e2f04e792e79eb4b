package org.wiseember.trial.verdict;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.capacity.ImpliedInverter;
import org.wiseember.core.capacity.RateModel;
import org.wiseember.core.idle.SmallLoad;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.trial.test.UnitFindings;
import org.wiseember.trial.test.drain.DrainRun;
import org.wiseember.trial.test.drain.EnergyByLoad;
import org.wiseember.trial.test.ladder.LadderRun;

/**
 * What the runs of a unit say together.
 *
 * @param rate energy against load at the outlet; empty for fewer than two different loads
 * @param implied inverter efficiency from an AC and a DC drain
 * @param smallLoads a small load from either side, where both idle draws are known
 */
public record Together(
    Optional<RateModel> rate, Optional<ImpliedInverter> implied, List<SmallLoad> smallLoads) {
  /** Nothing to say. */
  public static final Together NOTHING =
      new Together(Optional.empty(), Optional.empty(), List.of());

  /** Small loads people ask about: a phone, a router, a laptop, W. */
  private static final double[] SMALL = {10, 20, 60};

  /** Of the usual 12 V converter; common practice, no published source. */
  private static final double CONVERTER = 0.92;

  /** Loss a watt where no ladder says; common practice, no published source. */
  private static final double LOSS = 0.06;

  public Together {
    smallLoads = List.copyOf(smallLoads);
  }

  static Together of(UnitFindings unit) {
    List<DrainRun> complete = unit.of(DrainRun.class).filter(DrainRun::complete).toList();
    Optional<DrainRun> ac =
        complete.stream()
            .filter(d -> !d.direct())
            .min(Comparator.comparingDouble(DrainRun::meanWatts));
    Optional<DrainRun> dc =
        complete.stream().filter(DrainRun::direct).reduce((first, second) -> second);
    Optional<ImpliedInverter> implied =
        ac.flatMap(a -> dc.flatMap(d -> ImpliedInverter.of(a.finding(), d.finding())));
    return new Together(EnergyByLoad.of(unit), implied, small(unit));
  }

  private static List<SmallLoad> small(UnitFindings unit) {
    Optional<Double> ac = idle(unit, "idle_ac");
    Optional<Double> dc = idle(unit, "idle_dc");
    Optional<Estimate> usable = unit.usableWattHours();
    if (ac.isEmpty() || dc.isEmpty() || usable.isEmpty() || !(dc.get() > 0) || !(ac.get() > 0)) {
      return List.of();
    }
    double loss =
        unit.of(LadderRun.class)
            .flatMap(r -> r.finding().fit().stream())
            .map(f -> f.curve().p1())
            .reduce((a, b) -> b)
            .orElse(LOSS);
    return Arrays.stream(SMALL)
        .mapToObj(
            w ->
                SmallLoad.of(
                    w, ac.get(), Math.max(0, loss), dc.get(), CONVERTER, usable.get().value()))
        .toList();
  }

  private static Optional<Double> idle(UnitFindings unit, String key) {
    return unit.offered(key).stream().reduce((a, b) -> b).map(o -> o.figure().value());
  }
}

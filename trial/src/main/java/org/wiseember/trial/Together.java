package org.wiseember.trial;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.core.capacity.ImpliedInverter;
import org.wiseember.core.capacity.RateModel;
import org.wiseember.core.idle.SmallLoad;
import org.wiseember.core.label.Label;
import org.wiseember.core.uncertainty.Estimate;

/**
 * What the runs of a unit say together.
 *
 * @param rate energy against load at the outlet; empty for fewer than two different loads
 * @param implied inverter efficiency from an AC and a DC drain
 * @param smallLoads a small load from either side, where both idle draws are known
 */
public record Together(
    Optional<RateModel> rate, Optional<ImpliedInverter> implied, List<SmallLoad> smallLoads) {
  /** Small loads people ask about: a phone, a router, a laptop, W. */
  private static final double[] SMALL = {10, 20, 60};

  /** Of the usual 12 V converter; common practice, no published source. */
  private static final double CONVERTER = 0.92;

  /** Loss a watt where no ladder says; common practice, no published source. */
  private static final double LOSS = 0.06;

  public Together {
    smallLoads = List.copyOf(smallLoads);
  }

  static Together of(List<TestRun> runs, Label label) {
    List<DrainRun> complete =
        runs.stream()
            .filter(r -> r instanceof DrainRun)
            .map(r -> (DrainRun) r)
            .filter(DrainRun::complete)
            .toList();
    List<DrainRun> ac = complete.stream().filter(d -> !d.direct()).toList();
    List<DrainRun> dc = complete.stream().filter(DrainRun::direct).toList();
    Optional<IdleRun> idle =
        runs.stream().filter(r -> r instanceof IdleRun).map(r -> (IdleRun) r).reduce((a, b) -> b);
    Optional<Estimate> idleHours =
        idle.flatMap(IdleRun::forLabel).flatMap(s -> s.finding().hours());
    Optional<RateModel> rate =
        RateModel.of(
            ac.stream()
                .filter(d -> d.meanWatts() > 0)
                .map(
                    d ->
                        new RateModel.Drained(
                            d.meanWatts(), d.finding().deliveredEnergy().orElseThrow()))
                .toList(),
            idleHours);
    Optional<ImpliedInverter> implied =
        ac.isEmpty() || dc.isEmpty()
            ? Optional.empty()
            : ImpliedInverter.of(gentlest(ac).finding(), dc.get(dc.size() - 1).finding());
    return new Together(rate, implied, small(runs, idle, UsableEnergy.of(runs, label)));
  }

  /** The AC drain whose rate is nearest to that of a DC drain. */
  private static DrainRun gentlest(List<DrainRun> drains) {
    return drains.stream().min(Comparator.comparingDouble(DrainRun::meanWatts)).orElseThrow();
  }

  private static List<SmallLoad> small(
      List<TestRun> runs, Optional<IdleRun> idle, Optional<Estimate> usable) {
    Optional<Double> ac = power(idle, IdleState.AC_ON);
    Optional<Double> dc = power(idle, IdleState.DC_ON);
    if (ac.isEmpty() || dc.isEmpty() || usable.isEmpty() || !(dc.get() > 0) || !(ac.get() > 0)) {
      return List.of();
    }
    double loss =
        runs.stream()
            .filter(r -> r instanceof LadderRun)
            .flatMap(r -> ((LadderRun) r).finding().fit().stream())
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

  private static Optional<Double> power(Optional<IdleRun> idle, IdleState state) {
    return idle.flatMap(r -> r.in(state)).flatMap(s -> s.finding().power()).map(Estimate::value);
  }
}

package org.wiseember.trial.kind.found;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.capacity.RateModel;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.trial.kind.LikeRuns;
import org.wiseember.trial.kind.UnitFindings;

/** Energy against load over a unit's complete AC drains. */
public final class EnergyByLoad {
  private EnergyByLoad() {}

  /** The model through them; empty for drains at fewer than two different loads. */
  public static Optional<RateModel> of(UnitFindings unit) {
    List<RateModel.Drained> drains = new ArrayList<>();
    List<Drained> left = new ArrayList<>(drains(unit));
    while (!left.isEmpty()) {
      // Repeats at one load are one point of the curve.
      LikeRuns<Drained> like =
          LikeRuns.of(
                  left.get(0),
                  left,
                  Drained::meanWatts,
                  d -> d.finding().deliveredEnergy(),
                  Repeats.WHOLE_TEST)
              .orElseThrow();
      List<Drained> those =
          left.stream()
              .filter(d -> LikeRuns.alike(d.meanWatts(), left.get(0).meanWatts()))
              .toList();
      drains.add(
          new RateModel.Drained(
              those.stream().mapToDouble(Drained::meanWatts).average().orElseThrow(),
              like.figure().estimate()));
      left.removeAll(those);
    }
    Optional<Estimate> idleHours =
        unit.offered("idle_hours").stream().reduce((a, b) -> b).map(o -> o.figure().estimate());
    return RateModel.of(drains, idleHours);
  }

  /** The energy at a load, with the drains it was read off between. */
  public static Figure at(RateModel model, double watts, UnitFindings unit) {
    Figure read = model.at(watts).energy();
    Because because = read.because();
    for (Drained d : drains(unit)) {
      because = because.from(d.finding().deliveredEnergy().orElseThrow(), d.run().id());
    }
    return read.because(because);
  }

  private static List<Drained> drains(UnitFindings unit) {
    return unit.of(Drained.class)
        .filter(d -> d.complete() && !d.direct() && d.meanWatts() > 0)
        .toList();
  }
}

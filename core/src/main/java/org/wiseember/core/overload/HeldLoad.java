package org.wiseember.core.overload;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/** The heaviest load that was held for a time: the least a unit can for so long, W. */
public final class HeldLoad {
  private HeldLoad() {}

  private record Try(Hold hold, MeterClass meter) {}

  /**
   * Of several runs.
   *
   * @param seconds it was held at least
   * @return empty where nothing was held so long
   */
  public static Optional<Figure> heaviest(List<OverloadFinding> tries, double seconds) {
    return tries.stream()
        .flatMap(f -> f.holds().stream().map(h -> new Try(h, f.meter())))
        .filter(t -> t.hold().seconds() - t.hold().halfWidth() >= seconds)
        .max(Comparator.comparingDouble(t -> t.hold().watts()))
        .map(t -> figure("held_load", "Load held", t.hold(), t.meter()).bounded(Bound.AT_LEAST));
  }

  /**
   * The lightest load that tripped sooner: the most a unit can for so long.
   *
   * @param seconds it tripped before
   * @return empty where nothing tripped so soon
   */
  public static Optional<Figure> lightestTripped(List<OverloadFinding> tries, double seconds) {
    return tries.stream()
        .flatMap(f -> f.holds().stream().map(h -> new Try(h, f.meter())))
        .filter(t -> t.hold().tripped())
        .filter(t -> t.hold().seconds() + t.hold().halfWidth() < seconds)
        .min(Comparator.comparingDouble(t -> t.hold().watts()))
        .map(
            t ->
                figure("tripped_load", "Load it gave up under", t.hold(), t.meter())
                    .bounded(Bound.AT_MOST));
  }

  /** The watts of one hold, with how sure they are. */
  public static Figure figure(String key, String name, Hold hold, MeterClass meter) {
    Budget budget =
        Budget.of(Contribution.normal("Scatter of the readings", hold.scatter()))
            .with("Meter", meter, hold.watts(), 1);
    return Figure.of(
        key,
        name,
        hold.watts(),
        Unit.WATT,
        Because.of(
                budget,
                "Mean of the readings while it was on = "
                    + Figures.rounded(hold.watts(), budget.u95())
                    + " W, "
                    + hold.end().words()
                    + " after "
                    + Figures.duration(hold.seconds()))
            .summed("for " + Figures.duration(hold.seconds()))
            .otherwise(OverloadLadder.SCHOOLS));
  }
}

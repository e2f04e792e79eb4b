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

/**
 * Continuous power from holds: the heaviest load that was held for ten minutes is the least a unit
 * can, the lightest that tripped sooner the most.
 */
public final class ContinuousPower {
  /** Power counts as continuous after this time, s; common practice, no published source. */
  public static final double SECONDS = 600;

  /** Readings a second apart may miss the whole of the time by so much, s. */
  private static final double READINGS = 2;

  private ContinuousPower() {}

  /** The heaviest load held for ten minutes, W: the least. Empty for none. */
  public static Optional<Figure> held(List<OverloadFinding> tries) {
    return best(tries, h -> h.seconds() >= SECONDS - READINGS, Comparator.naturalOrder())
        .map(t -> figure(t, "held").bounded(Bound.AT_LEAST));
  }

  /** The lightest load that tripped within ten minutes, W: the most. Empty for none. */
  public static Optional<Figure> tripped(List<OverloadFinding> tries) {
    return best(
            tries,
            h -> h.tripped() && h.seconds() + h.halfWidth() < SECONDS,
            Comparator.reverseOrder())
        .map(t -> figure(t, "tripped").bounded(Bound.AT_MOST));
  }

  private record Try(Hold hold, MeterClass meter) {}

  private static Optional<Try> best(
      List<OverloadFinding> tries,
      java.util.function.Predicate<Hold> which,
      Comparator<Double> order) {
    return tries.stream()
        .flatMap(f -> f.holds().stream().map(h -> new Try(h, f.meter())))
        .filter(t -> which.test(t.hold()))
        .max(Comparator.comparing(t -> t.hold().watts(), order));
  }

  private static Figure figure(Try t, String how) {
    Hold h = t.hold();
    Budget budget =
        Budget.of(Contribution.normal("Scatter of the readings", h.scatter()))
            .with("Meter", t.meter(), h.watts(), 1);
    return Figure.of(
        "continuous_power",
        "Continuous, " + Figures.duration(Math.floor(h.seconds() / 60) * 60),
        h.watts(),
        Unit.WATT,
        Because.of(
                budget,
                "Mean of the readings while it was on = "
                    + Figures.rounded(h.watts(), budget.u95())
                    + " W, "
                    + h.end().words()
                    + " after "
                    + Figures.duration(h.seconds()))
            .summed(how + " for " + Figures.duration(h.seconds()))
            .watching("Ten minutes count as continuous; a warm room may shorten it.")
            .otherwise(OverloadLadder.SCHOOLS));
  }
}

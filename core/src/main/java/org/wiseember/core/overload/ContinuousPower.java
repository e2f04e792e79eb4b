package org.wiseember.core.overload;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
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
        .map(t -> figure(t).bounded(Bound.AT_LEAST));
  }

  /** The lightest load that tripped within ten minutes, W: the most. Empty for none. */
  public static Optional<Figure> tripped(List<OverloadFinding> tries) {
    return best(
            tries,
            h -> h.tripped() && h.seconds() + h.halfWidth() < SECONDS,
            Comparator.reverseOrder())
        .map(t -> figure(t).bounded(Bound.AT_MOST));
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

  private static Figure figure(Try t) {
    String name = "Continuous, " + Figures.duration(Math.floor(t.hold().seconds() / 60) * 60);
    Figure figure = HeldLoad.figure("continuous_power", name, t.hold(), t.meter());
    return figure.because(
        figure.because().watching("Ten minutes count as continuous; a warm room may shorten it."));
  }
}

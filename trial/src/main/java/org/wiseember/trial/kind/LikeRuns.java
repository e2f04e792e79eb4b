package org.wiseember.trial.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;

/**
 * Runs of one kind under like conditions, which are repeats of each other: within a tenth of one
 * another's load. Their exact figures are averaged; a bound is no repeat and stays out.
 *
 * @param figure of all of them together
 * @param run the newest, on which the answer rests
 */
public record LikeRuns<T extends TestRun>(Figure figure, T run) {
  /** Loads within this factor are alike. */
  private static final double ALIKE = 1.1;

  /** Rooms this much apart make other conditions, °C: common practice, no published source. */
  private static final double OTHER_ROOM = 5;

  /**
   * The runs like one of them.
   *
   * @param like the run the others are held against
   * @param runs among which it is, oldest first
   * @param load W, or whatever the test is loaded by; NaN where it does not matter
   * @param figure of a run; empty where it has none
   * @param floor of one repeat, see {@link Repeats}
   * @return empty where that run has no figure
   */
  public static <T extends TestRun> Optional<LikeRuns<T>> of(
      T like,
      List<T> runs,
      ToDoubleFunction<T> load,
      Function<T, Optional<Figure>> figure,
      double floor) {
    Optional<Figure> own = figure.apply(like);
    if (own.isEmpty() || own.get().bound() != Bound.EXACT) {
      return own.map(f -> new LikeRuns<>(f, like));
    }
    List<Repeats.Repeat> repeats = new ArrayList<>();
    List<T> alike = new ArrayList<>();
    for (T run : runs) {
      boolean same = run == like || alike(load.applyAsDouble(run), load.applyAsDouble(like));
      Optional<Figure> one = figure.apply(run).filter(f -> f.bound() == Bound.EXACT);
      if (same && one.isPresent()) {
        repeats.add(new Repeats.Repeat(one.get(), run.run().id()));
        alike.add(run);
      }
    }
    Figure mean = Repeats.mean(repeats, floor);
    return Optional.of(new LikeRuns<>(roomed(mean, alike), alike.get(alike.size() - 1)));
  }

  /** Whether two loads are within a tenth of each other; one that nobody read is like any. */
  public static boolean alike(double load, double other) {
    double factor = load / other;
    return Double.isNaN(factor) || Math.max(factor, 1 / factor) <= ALIKE;
  }

  /** Repeats in unlike rooms say so. */
  private static Figure roomed(Figure mean, List<? extends TestRun> runs) {
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (TestRun run : runs) {
      if (run.roomCelsius().isPresent()) {
        least = Math.min(least, run.roomCelsius().getAsDouble());
        most = Math.max(most, run.roomCelsius().getAsDouble());
      }
    }
    return most - least > OTHER_ROOM
        ? mean.because(
            mean.because()
                .watching(
                    "The rooms of these runs were from "
                        + Math.round(least)
                        + " to "
                        + Math.round(most)
                        + "\u00a0°C; a cold pack gives less."))
        : mean;
  }
}

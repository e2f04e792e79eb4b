package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Direction;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * A channel over the loaded part of a drain, its first and last minute left out: its mean, and its
 * lowest and highest steady stretch. A stretch is half a minute, and its median counts, so that a
 * blink is none.
 *
 * @param mean of all readings
 * @param least of any half minute
 * @param most of any half minute
 */
public record SteadyMean(Figure mean, Figure least, Figure most) {
  private static final double EDGE_SECONDS = 60;
  private static final double STRETCH_SECONDS = 30;

  /**
   * Works it out.
   *
   * @param trace of the drain, as it is treated
   * @param meter behind the channel
   * @param assumed whether nobody said how good it is
   * @param name of the figure, such as {@code Output volts}
   * @return empty where the drain is too short or the channel was not read
   */
  public static Optional<SteadyMean> of(
      Trace trace,
      CapacityFinding drain,
      Channel channel,
      MeterClass meter,
      boolean assumed,
      String name) {
    Series series = trace.series(channel);
    int from = series.from(drain.startTime() + EDGE_SECONDS);
    int to = series.from(Math.nextUp(drain.endTime() - EDGE_SECONDS));
    if (to - from < 2) {
      return Optional.empty();
    }
    double sum = 0;
    for (int i = from; i < to; i++) {
      sum += series.value(i);
    }
    Making making = new Making(channel, meter, assumed, name);
    double[] stretches = stretches(series, from, to);
    double mean = sum / (to - from);
    double least = Arrays.stream(stretches).min().orElse(mean);
    double most = Arrays.stream(stretches).max().orElse(mean);
    String span =
        "Half minutes from "
            + Figures.plain(least, channel.unit())
            + " to "
            + Figures.plain(most, channel.unit());
    String readings = "mean of " + Figures.plain((double) (to - from)) + " readings under load";
    return Optional.of(
        new SteadyMean(
            making.figure("mean_", "", mean, readings, span),
            making.figure("least_", ", lowest", least, "median of the lowest half minute", span),
            making.figure("most_", ", highest", most, "median of the highest half minute", span)));
  }

  /**
   * Medians of all stretches of half a minute, each beginning half a stretch after the one before.
   */
  private static double[] stretches(Series series, int from, int to) {
    List<Double> medians = new ArrayList<>();
    double end = series.seconds(to - 1);
    for (double at = series.seconds(from); at + STRETCH_SECONDS <= end; at += STRETCH_SECONDS / 2) {
      int a = series.from(at);
      int b = Math.min(to, series.from(at + STRETCH_SECONDS));
      if (b - a < 1) {
        continue;
      }
      double[] some = new double[b - a];
      for (int i = a; i < b; i++) {
        some[i - a] = series.value(i);
      }
      Arrays.sort(some);
      medians.add((some[(some.length - 1) / 2] + some[some.length / 2]) / 2);
    }
    return medians.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** The stretch a band is judged by: the one that lies worst in it. */
  public Figure worstIn(Claim claim) {
    if (claim.direction() == Direction.AT_LEAST) {
      return least;
    }
    if (claim.direction() == Direction.AT_MOST) {
      return most;
    }
    return least.value() - claim.low() < claim.high() - most.value() ? least : most;
  }

  private record Making(Channel channel, MeterClass meter, boolean assumed, String name) {
    Figure figure(String key, String which, double value, String summary, String span) {
      Budget budget =
          Budget.of(
              Contribution.rectangular(
                  "Meter, " + meter.words() + (assumed ? ", assumed" : ""), meter.halfWidth(value)),
              Contribution.rectangular("Last digit of the meter", meter.resolution() / 2));
      String result = Figures.withUnit(Figures.rounded(value, budget.u95()), channel.unit());
      return Figure.of(
          key + channel.key(),
          name + which,
          value,
          channel.unit(),
          Because.of(
                  budget,
                  "From 1 min after load on to 1 min before cut-off, " + summary + " = " + result,
                  span)
              .summed(summary)
              .watching("One load only: the figure at another load may differ."));
    }
  }
}

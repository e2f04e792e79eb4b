package org.wiseember.core.capacity;

import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/** The mean of a channel over the loaded part of a drain, its first and last minute left out. */
public final class SteadyMean {
  private static final double EDGE_SECONDS = 60;

  private SteadyMean() {}

  /**
   * Works it out.
   *
   * @param trace of the drain, as it is treated
   * @param name of the figure, such as {@code Output volts}
   * @return empty where the drain is too short or the channel was not read
   */
  public static Optional<Figure> of(
      Trace trace, CapacityFinding drain, Channel channel, MeterClass meter, String name) {
    Series series = trace.series(channel);
    double sum = 0;
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    int n = 0;
    for (int i = 0; i < series.size(); i++) {
      double t = series.seconds(i);
      if (t >= drain.startTime() + EDGE_SECONDS && t <= drain.endTime() - EDGE_SECONDS) {
        sum += series.value(i);
        low = Math.min(low, series.value(i));
        high = Math.max(high, series.value(i));
        n++;
      }
    }
    if (n < 2) {
      return Optional.empty();
    }
    double mean = sum / n;
    Budget budget =
        Budget.of(
            Contribution.rectangular("Meter, " + meter.words(), meter.halfWidth(mean)),
            Contribution.rectangular("Last digit of the meter", meter.resolution() / 2));
    return Optional.of(
        Figure.of(
            "mean_" + channel.key(),
            name,
            mean,
            channel.unit(),
            Because.of(
                    budget,
                    "Mean of the readings from 1 min after load on to 1 min before cut-off = "
                        + Figures.rounded(mean, budget.u95())
                        + " "
                        + channel.unit().symbol(),
                    "Least "
                        + Figures.plain(low, channel.unit())
                        + ", greatest "
                        + Figures.plain(high, channel.unit()))
                .summed("mean of " + Figures.plain(n) + " readings under load")
                .watching("One load only: the figure at another load may differ.")));
  }
}

package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * The mean of a channel over the loaded part of a drain, its first and last minute left out.
 *
 * @param low least reading in that time
 * @param high greatest reading in that time
 * @param readings how many
 */
record SteadyMean(
    Channel channel, Estimate estimate, double low, double high, int readings, Budget budget) {
  private static final double EDGE_SECONDS = 60;

  /** Empty when the drain is too short, or nobody said how good the meter of the channel is. */
  static Optional<SteadyMean> of(DrainRun drained, Channel channel) {
    Series series = drained.treatment().of(drained.trace()).series(channel);
    CapacityFinding drain = drained.finding();
    Optional<MeterClass> stated = drained.run().settings().meterClass(channel);
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
    if (n < 2 || stated.isEmpty()) {
      return Optional.empty();
    }
    double mean = sum / n;
    MeterClass meter = stated.get();
    Budget budget =
        Budget.of(
            Contribution.rectangular("Meter, " + meter.words(), meter.halfWidth(mean)),
            Contribution.rectangular("Last digit of the meter", meter.resolution() / 2));
    return Optional.of(
        new SteadyMean(channel, new Estimate(mean, budget.u95()), low, high, n, budget));
  }

  Because because(String title) {
    return new Because(
        title,
        Figures.withUncertainty(estimate.value(), estimate.u95(), channel.unit()),
        "mean of " + Figures.plain(readings) + " readings under load",
        List.of(
            "Mean of the readings from 1 min after load on to 1 min before cut-off",
            "Least "
                + Figures.plain(low, channel.unit())
                + ", greatest "
                + Figures.plain(high, channel.unit())),
        channel.unit(),
        budget,
        List.of("One load only: the figure at another load may differ."),
        "");
  }
}

package org.wiseember.trial.kind.charge;

import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.RunSettings;

/** How good the meters on the inputs of a run were, as one that reads the watts of all of them. */
final class InputMeter {
  /** Shown with two decimals, rounded up. */
  private static final double ROUND = 100;

  private InputMeter() {}

  /** Empty where nobody said. */
  static Optional<MeterClass> of(RunSettings settings, Trace trace) {
    if (trace.has(Channel.IN_POWER)) {
      return settings.meterClass(Channel.IN_POWER);
    }
    // Watts that are volts × amps are as unsure as both together; sums are no worse than the worst.
    double direct =
        Math.hypot(
            percent(settings, trace, Channel.IN_VOLTAGE),
            percent(settings, trace, Channel.IN_CURRENT));
    double worst =
        DoubleStream.of(
                direct,
                percent(settings, trace, Channel.WALL_POWER),
                percent(settings, trace, Channel.USB_IN_POWER))
            .max()
            .orElse(0);
    return worst > 0
        ? Optional.of(MeterClass.ofReading(Math.ceil(ROUND * worst) / ROUND, 0, 0))
        : Optional.empty();
  }

  /** Of a middling reading, %; 0 where the channel or its meter is not known. */
  private static double percent(RunSettings settings, Trace trace, Channel channel) {
    Series read = trace.series(channel);
    Optional<MeterClass> meter = settings.meterClass(channel);
    if (read.size() == 0 || meter.isEmpty()) {
      return 0;
    }
    double[] on =
        IntStream.range(0, read.size())
            .mapToDouble(read::value)
            .filter(v -> v > 0)
            .sorted()
            .toArray();
    return on.length == 0 ? 0 : 100 * meter.get().halfWidth(on[on.length / 2]) / on[on.length / 2];
  }
}

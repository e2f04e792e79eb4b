package org.wiseember.bench.run;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/**
 * The newest reading of each channel, for whoever watches: instruments of several paces do not
 * answer in one frame. What is older than a few seconds is not shown any more. Nothing of this is
 * kept with the run.
 */
final class Newest {
  private static final double OLDEST = 2.5;

  private record Reading(double seconds, double value) {}

  private final Map<Channel, Reading> readings = new EnumMap<>(Channel.class);
  private Frame last;

  void take(Frame frame) {
    last = frame;
    for (Channel channel : frame.channels()) {
      double value = frame.value(channel);
      if (!Double.isNaN(value)) {
        readings.put(channel, new Reading(frame.seconds(), value));
      }
    }
  }

  /** As one frame at the moment of the last; null before the first. */
  Frame frame() {
    if (last == null) {
      return null;
    }
    double[] values = new double[last.channels().size()];
    Arrays.fill(values, Double.NaN);
    for (int i = 0; i < values.length; i++) {
      Reading reading = readings.get(last.channels().get(i));
      if (reading != null && last.seconds() - reading.seconds() <= OLDEST) {
        values[i] = reading.value();
      }
    }
    return new Frame(last.seconds(), last.channels(), values);
  }
}

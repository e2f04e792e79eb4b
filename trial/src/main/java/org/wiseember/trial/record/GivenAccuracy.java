package org.wiseember.trial.record;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * One figure for how good all meters of a log are, as testers give it: ± % of reading for volts,
 * amps, watts and watt-hours, ± dB for sound. Frequency, time and warmth have meters of their own,
 * of which it says nothing.
 */
public final class GivenAccuracy {
  private GivenAccuracy() {}

  /** The class of each channel it is about. */
  public static Map<Channel, MeterClass> of(double accuracy, Set<Channel> channels) {
    Map<Channel, MeterClass> classes = new EnumMap<>(Channel.class);
    for (Channel channel : channels) {
      switch (channel.unit()) {
        case WATT, VOLT, AMPERE, WATT_HOUR ->
            classes.put(channel, MeterClass.ofReading(accuracy, 0, 0));
        case DECIBEL -> classes.put(channel, new MeterClass(0, 100, accuracy, 0, 0));
        default -> {}
      }
    }
    return classes;
  }
}

package org.wiseember.bench.instrument;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * A meter or a probe.
 *
 * @param name as the tester calls it
 * @param channels what it reads, in the order it is shown
 * @param accuracy its class for each channel; a channel without one has no stated accuracy
 */
public record Instrument(String name, List<Channel> channels, Map<Channel, MeterClass> accuracy) {
  public Instrument {
    Objects.requireNonNull(name);
    channels = List.copyOf(channels);
    accuracy = Map.copyOf(accuracy);
  }
}

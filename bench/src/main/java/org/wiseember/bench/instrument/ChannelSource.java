package org.wiseember.bench.instrument;

import java.util.Optional;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.Correction;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * One quantity an instrument gives.
 *
 * @param channel what it becomes
 * @param query the SCPI query that asks for it; empty where it is not asked so
 * @param scale a SCPI answer is multiplied by this to come into the channel's unit
 * @param register where it stands in a Modbus device
 * @param accuracy the meter's class, where it is known
 * @param correction from a check against a better meter, where there was one
 */
public record ChannelSource(
    Channel channel,
    String query,
    double scale,
    Optional<Register> register,
    Optional<MeterClass> accuracy,
    Optional<Correction> correction) {
  /** The class that counts: that of the better meter once this one was checked against it. */
  public Optional<MeterClass> effectiveClass() {
    return accuracy.map(own -> correction.map(c -> c.corrected(own)).orElse(own));
  }

  public ChannelSource withAccuracy(MeterClass meterClass) {
    return new ChannelSource(channel, query, scale, register, Optional.of(meterClass), correction);
  }

  public ChannelSource withCorrection(Optional<Correction> other) {
    return new ChannelSource(channel, query, scale, register, accuracy, other);
  }

  /** The same source under another channel. */
  public ChannelSource as(Channel other) {
    return new ChannelSource(other, query, scale, register, accuracy, correction);
  }
}

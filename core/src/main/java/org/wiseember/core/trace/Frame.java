package org.wiseember.core.trace;

import java.util.List;

/**
 * All channels at one moment of the bench clock.
 *
 * @param seconds since the run began
 * @param channels what was read
 * @param values one reading a channel, NaN where there was none
 */
public record Frame(double seconds, List<Channel> channels, double[] values) {
  /** DC watts: as a meter gives them, else volts × amps; NaN where neither was read. */
  public double dcWatts() {
    double watts = value(Channel.DC_POWER);
    return Double.isNaN(watts) ? value(Channel.DC_VOLTAGE) * value(Channel.DC_CURRENT) : watts;
  }

  /** The reading of one channel, NaN where it was not read. */
  public double value(Channel channel) {
    int at = channels.indexOf(channel);
    return at < 0 ? Double.NaN : values[at];
  }
}

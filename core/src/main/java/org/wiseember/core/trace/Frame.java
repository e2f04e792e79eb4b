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
  /** The reading of one channel, NaN where it was not read. */
  public double value(Channel channel) {
    int at = channels.indexOf(channel);
    return at < 0 ? Double.NaN : values[at];
  }
}

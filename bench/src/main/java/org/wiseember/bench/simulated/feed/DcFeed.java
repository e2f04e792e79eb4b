package org.wiseember.bench.simulated.feed;

import org.wiseember.core.charge.LimitingFactor;
import org.wiseember.core.solar.Port;

/** What hangs on the DC input of a simulated unit. */
public sealed interface DcFeed permits DcSource, PanelFeed {
  /**
   * What a port draws from it.
   *
   * @param mostWatts the unit takes now, W, whatever the port could
   * @param seconds on the bench clock
   */
  Point drawn(Port port, double mostWatts, double seconds);

  /** At its open end, V. */
  double openVolts(double seconds);

  /** Light on it, lx; NaN where light does not matter. */
  default double lux(double seconds) {
    return Double.NaN;
  }

  /**
   * Where it works.
   *
   * @param volts at the port, V; those of the open source where nothing flows
   * @param amps into the port, A
   * @param limit what keeps it from more watts; {@link LimitingFactor#NOTHING} where that is the
   *     unit
   */
  record Point(double volts, double amps, LimitingFactor limit) {
    public double watts() {
      return volts * amps;
    }
  }
}

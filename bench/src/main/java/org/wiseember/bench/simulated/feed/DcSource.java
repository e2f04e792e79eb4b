package org.wiseember.bench.simulated.feed;

import org.wiseember.core.charge.LimitingFactor;
import org.wiseember.core.solar.Port;

/**
 * A stiff source on the unit's DC input: volts behind a resistance, up to a current limit. A bench
 * supply, a car's socket, a second battery.
 */
public final class DcSource implements DcFeed {
  private double volts;
  private double limitAmps = 10;
  private double ohms;
  private boolean on;

  /** A car that runs: 13.9 V behind its wiring, fused at 10 A, of which 8 are given for hours. */
  public static DcSource car() {
    return of(13.9, 0.12, 8);
  }

  /** A battery of eight lithium iron phosphate cells with short leads. */
  public static DcSource battery() {
    return of(26.4, 0.03, 30);
  }

  /** A source that is on. */
  public static DcSource of(double volts, double ohms, double limitAmps) {
    DcSource source = new DcSource();
    source.volts(volts);
    source.ohms = ohms;
    source.limitAmps(limitAmps);
    source.on(true);
    return source;
  }

  public void volts(double value) {
    volts = value;
  }

  public double volts() {
    return volts;
  }

  public void limitAmps(double value) {
    limitAmps = value;
  }

  public double limitAmps() {
    return limitAmps;
  }

  public void on(boolean wanted) {
    on = wanted;
  }

  public boolean isOn() {
    return on;
  }

  @Override
  public double openVolts(double seconds) {
    return on ? volts : 0;
  }

  @Override
  public Point drawn(Port port, double mostWatts, double seconds) {
    if (!on) {
      return new Point(0, 0, LimitingFactor.NOTHING);
    }
    if (volts < port.leastVolts() || volts > port.mostVolts()) {
      return new Point(volts, 0, LimitingFactor.VOLTS);
    }
    double amps = Math.min(port.amps(), limitAmps);
    LimitingFactor limit = port.amps() <= limitAmps ? LimitingFactor.AMPS : LimitingFactor.SOURCE;
    double least = Math.min(port.watts(), mostWatts);
    if (amps * (volts - ohms * amps) > least) {
      amps = ohms > 0 ? ampsFor(least) : least / volts;
      limit = port.watts() <= mostWatts ? LimitingFactor.WATTS : LimitingFactor.NOTHING;
    }
    return new Point(volts - ohms * amps, amps, limit);
  }

  /** I of I·(U − R·I) = P, the smaller of the two. */
  private double ampsFor(double watts) {
    return (volts - Math.sqrt(Math.max(0, volts * volts - 4 * ohms * watts))) / (2 * ohms);
  }
}

package org.wiseember.core.solar;

/**
 * What a solar or DC port takes.
 *
 * @param leastVolts below which it does not begin, V
 * @param mostVolts it may ever see, V
 * @param amps it draws at most, A; infinite where it does not say
 * @param watts it takes at most, W; infinite where it does not say
 */
public record Port(double leastVolts, double mostVolts, double amps, double watts) {
  public Port {
    if (!(leastVolts >= 0) || !(mostVolts > leastVolts) || !(amps > 0) || !(watts > 0)) {
      throw new IllegalArgumentException("a port has a volt window, and amps and watts above 0");
    }
  }

  /**
   * The most it takes at a voltage: the least of its watts and of volts × amps; 0 outside its
   * window.
   */
  public double takes(double volts) {
    return volts < leastVolts || volts > mostVolts ? 0 : Math.min(watts, volts * amps);
  }
}

package org.wiseember.core.port;

/**
 * One settled reading of a port.
 *
 * @param amps A
 * @param volts V, at the unit's terminals once leads are corrected for
 * @param scatter standard uncertainty of the volts by scatter, V
 */
public record PortPoint(double amps, double volts, double scatter) {
  public double watts() {
    return amps * volts;
  }
}

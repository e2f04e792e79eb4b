package org.wiseember.bench.simulated;

/**
 * A resistive heater: draws with the square of the volts, and a little less once it is warm.
 *
 * @param watts at its nominal volts, warm
 * @param volts nominal
 * @param coldExcess share by which it draws more when cold
 * @param warmUpSeconds time constant of the warming
 */
public record Heater(double watts, double volts, double coldExcess, double warmUpSeconds) {
  public Heater {
    if (!(watts > 0) || !(volts > 0) || !(coldExcess >= 0) || !(warmUpSeconds > 0)) {
      throw new IllegalArgumentException("a heater draws power");
    }
  }

  /** A heater as found in a household. */
  public static Heater of(double watts, double volts) {
    return new Heater(watts, volts, 0.015, 90);
  }

  /**
   * Power at these volts.
   *
   * @param secondsOn since it was switched on
   */
  public double power(double atVolts, double secondsOn) {
    double ratio = atVolts / volts;
    return watts * ratio * ratio * (1 + coldExcess * Math.exp(-secondsOn / warmUpSeconds));
  }
}

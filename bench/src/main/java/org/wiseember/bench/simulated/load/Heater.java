package org.wiseember.bench.simulated.load;

/**
 * A resistive heater: draws with the square of the volts, and a little less once it is warm. With a
 * thermostat it goes off when its body is hot and comes back when it has cooled.
 */
public final class Heater implements Load {
  /** Share by which it draws more when cold, and how fast that goes; usual for resistance wire. */
  private static final double COLD_EXCESS = 0.015;

  private static final double WIRE_SECONDS = 90;

  /** The body settles at this much where 1 opens the thermostat. */
  private static final double BODY_AT_FULL = 1.35;

  private static final double BODY_SECONDS = 300;
  private static final double CLOSES_AT = 0.85;

  private final double watts;
  private final double volts;
  private final boolean thermostat;
  private double wire;
  private double body;
  private boolean open;

  private Heater(double watts, double volts, boolean thermostat) {
    if (!(watts > 0) || !(volts > 0)) {
      throw new IllegalArgumentException("a heater draws power");
    }
    this.watts = watts;
    this.volts = volts;
    this.thermostat = thermostat;
  }

  /**
   * A heater as found in a household, its thermostat turned up.
   *
   * @param watts warm, at its nominal volts
   */
  public static Heater of(double watts, double volts) {
    return new Heater(watts, volts, false);
  }

  /** A heater that cycles on its thermostat: some minutes on, then about two on and one off. */
  public static Heater cycling(double watts, double volts) {
    return new Heater(watts, volts, true);
  }

  @Override
  public LoadDraw at(double atVolts, WaveShape shape) {
    if (open || atVolts <= 0) {
      return LoadDraw.NONE;
    }
    double ratio = atVolts / volts;
    double power = watts * ratio * ratio * (1 + COLD_EXCESS * (1 - wire));
    double amps = power / atVolts;
    return new LoadDraw(power, amps, amps * shape.averagingFactor(0));
  }

  @Override
  public void pass(double atVolts, double seconds) {
    double power = at(atVolts, WaveShape.SINE).watts() / watts;
    wire += (Math.min(1, power) - wire) * (1 - Math.exp(-seconds / WIRE_SECONDS));
    body += (power * BODY_AT_FULL - body) * (1 - Math.exp(-seconds / BODY_SECONDS));
    if (thermostat) {
      open = open ? body > CLOSES_AT : body > 1;
    }
  }
}

package org.wiseember.bench.simulated.load;

/**
 * A power supply with a rectifier and a capacitor: constant power, drawn in short pulses near the
 * crest of the wave.
 */
public final class Rectifier implements Load {
  /** Power factor of a supply without correction: common practice, no published source. */
  private static final double POWER_FACTOR = 0.62;

  /** It conducts for this share of the time, in pulses like half sines. */
  private static final double CONDUCTS = 0.25;

  /**
   * Averaging over true: pulses of height 1 for the share c have the rectified mean 2c/π and the
   * RMS √(c/2).
   */
  private static final double AVERAGING =
      Math.PI / (2 * Math.sqrt(2)) * (2 * CONDUCTS / Math.PI) / Math.sqrt(CONDUCTS / 2);

  private final double watts;
  private final double leastVolts;

  /**
   * @param watts it draws at any volts it works at
   * @param volts nominal; it works from 60 % of them
   */
  public Rectifier(double watts, double volts) {
    if (!(watts > 0) || !(volts > 0)) {
      throw new IllegalArgumentException("a supply draws power");
    }
    this.watts = watts;
    this.leastVolts = 0.6 * volts;
  }

  @Override
  public LoadDraw at(double volts, WaveShape shape) {
    if (volts < leastVolts) {
      return LoadDraw.NONE;
    }
    double amps = watts / (volts * POWER_FACTOR);
    return new LoadDraw(watts, amps, amps * AVERAGING);
  }

  @Override
  public void pass(double volts, double seconds) {
    // Its capacitor is far smaller than a step.
  }
}

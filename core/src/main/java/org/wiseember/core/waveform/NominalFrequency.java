package org.wiseember.core.waveform;

/**
 * The frequency an outlet has where nobody read it. Common practice, no published source: 220 to
 * 240 V go with 50 Hz, 100 to 127 V with 60 Hz; parts of the world differ.
 */
public final class NominalFrequency {
  private static final double LOWER_VOLTS = 180;

  private NominalFrequency() {}

  /**
   * Guesses it.
   *
   * @param volts nominal, V; 0 where they are not known either
   * @return Hz
   */
  public static double at(double volts) {
    return volts > 0 && volts <= LOWER_VOLTS ? 60 : 50;
  }
}

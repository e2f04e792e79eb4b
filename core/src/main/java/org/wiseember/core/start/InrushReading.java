package org.wiseember.core.start;

/**
 * Inrush from a clamp's peak and the volts: what testers without a scope write down.
 *
 * <p>Source: definition of apparent power; common practice, no published source: 29 A at 120 V are
 * 3 480 VA, and on a stiffer source the same motor took 36 A, 4 320 VA.
 */
public final class InrushReading {
  private InrushReading() {}

  /**
   * Apparent power.
   *
   * @param volts RMS, V
   * @param amps as the clamp's inrush mode shows them, A
   * @return VA
   */
  public static double voltAmperes(double volts, double amps) {
    return volts * amps;
  }
}

package org.wiseember.core.waveform;

import java.util.Arrays;

/**
 * Samples of volts, and of amps where they were captured, at an even pace. Values are the true
 * ones: probe and transformer ratios are already in them.
 */
public final class Capture {
  private final double perSecond;
  private final double[] volts;
  private final double[] amps;

  private Capture(double perSecond, double[] volts, double[] amps) {
    if (!(perSecond > 0) || !Double.isFinite(perSecond)) {
      throw new IllegalArgumentException("a capture has a sample rate");
    }
    if (amps.length != 0 && amps.length != volts.length) {
      throw new IllegalArgumentException("volts and amps are captured together");
    }
    this.perSecond = perSecond;
    this.volts = volts;
    this.amps = amps;
  }

  /**
   * Copies the samples.
   *
   * @param perSecond samples a second, above 0
   * @param volts V
   */
  public static Capture of(double perSecond, double[] volts) {
    return new Capture(perSecond, volts.clone(), new double[0]);
  }

  /**
   * Copies the samples.
   *
   * @param amps A, as many as volts
   */
  public static Capture of(double perSecond, double[] volts, double[] amps) {
    return new Capture(perSecond, volts.clone(), amps.clone());
  }

  public double perSecond() {
    return perSecond;
  }

  public int size() {
    return volts.length;
  }

  public double seconds() {
    return volts.length / perSecond;
  }

  public double volts(int i) {
    return volts[i];
  }

  public boolean hasAmps() {
    return amps.length > 0;
  }

  public double amps(int i) {
    return amps[i];
  }

  /** A copy of all volts. */
  public double[] volts() {
    return volts.clone();
  }

  /**
   * A copy of the first volts.
   *
   * @param most so many, or all where there are fewer
   */
  public double[] firstVolts(int most) {
    return Arrays.copyOf(volts, Math.max(0, Math.min(most, volts.length)));
  }

  /** A copy of all amps; empty where none were captured. */
  public double[] amps() {
    return amps.clone();
  }
}

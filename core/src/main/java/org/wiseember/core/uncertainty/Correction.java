package org.wiseember.core.uncertainty;

import org.wiseember.core.quantity.Figures;

/**
 * What a meter's readings are multiplied by and added to after it was checked against a better one.
 * Raw readings stay as they were; a correction is applied when figures are worked out.
 *
 * @param gain multiplies the reading, near 1
 * @param offset is added then, in the unit of the quantity
 * @param reference class of the meter it was checked against, which is how good it is afterwards
 */
public record Correction(double gain, double offset, MeterClass reference) {
  /** A figure is rounded by half its last digit at most. */
  private static final double HALF = 0.5;

  /** Further off than this a meter is broken, not to be corrected. */
  private static final double MOST_OFF = 0.25;

  public Correction {
    if (!(Math.abs(gain - 1) <= MOST_OFF) || !Double.isFinite(offset)) {
      throw new IllegalArgumentException(
          "a meter that is off by more than 25 % is broken; do not correct it");
    }
  }

  /**
   * From one check: the same factor everywhere.
   *
   * @param shown by this meter, not 0
   * @param truth shown by the better one at the same moment
   */
  public static Correction ofOnePoint(double shown, double truth, MeterClass reference) {
    return new Correction(truth / shown, 0, reference);
  }

  /** From two checks, one low and one high: a straight line through both. */
  public static Correction ofTwoPoints(
      double lowShown, double lowTruth, double highShown, double highTruth, MeterClass reference) {
    double gain = (highTruth - lowTruth) / (highShown - lowShown);
    return new Correction(gain, lowTruth - gain * lowShown, reference);
  }

  /** The corrected reading; a missing one stays missing. */
  public double apply(double reading) {
    return reading * gain + offset;
  }

  /**
   * The class of the corrected meter: the share of reading of the one it was checked against. Its
   * own digits and its share of range, by which it is not straight, stay; the digits of the check
   * and the rounding of what it showed join them.
   */
  public MeterClass corrected(MeterClass own) {
    double step = own.resolution() > 0 ? own.resolution() : reference.resolution();
    double digits =
        own.digits() * own.resolution()
            + (reference.digits() + HALF) * reference.resolution()
            + HALF * own.resolution();
    double ofRange =
        own.range() * own.percentOfRange() + reference.range() * reference.percentOfRange();
    double range = own.range() > 0 ? own.range() : reference.range();
    return new MeterClass(
        reference.percentOfReading(),
        range > 0 ? Math.min(100, ofRange / range) : 0,
        range,
        step,
        step > 0 ? (int) Math.ceil(digits / step - 1e-9) : 0);
  }

  /** {@code × 1.0123 − 0.4}. */
  public String words() {
    return "× "
        + Figures.fixed(gain, 4)
        + (offset == 0 ? "" : (offset < 0 ? " − " : " + ") + Figures.plain(Math.abs(offset)));
  }
}

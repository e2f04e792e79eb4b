package org.wiseember.core.verdict;

import org.wiseember.core.label.Claim;
import org.wiseember.core.uncertainty.Estimate;

/**
 * Where a figure lies on the seam: 100 is its own label, less is worse than promised, more is
 * better.
 *
 * @param percent the figure itself
 * @param worse the end of its 95 % interval on the worse side
 * @param better the end on the better side
 */
public record ClaimScalePosition(double percent, double worse, double better) {
  /** The longest a seam is drawn; beyond it the mark sits at the edge. */
  public static final double MOST = 1000;

  static ClaimScalePosition of(Claim claim, Estimate measured) {
    double at = percent(claim, measured.value());
    double a = percent(claim, measured.low());
    double b = percent(claim, measured.high());
    if (claim.direction() == org.wiseember.core.label.Direction.BAND) {
      // The best place of a band is its middle; the ends of the interval may both be worse.
      double middle = claim.figure();
      boolean inside = measured.low() <= middle && middle <= measured.high();
      return new ClaimScalePosition(
          at, Math.min(a, b), inside ? percent(claim, middle) : Math.max(a, b));
    }
    return new ClaimScalePosition(at, Math.min(a, b), Math.max(a, b));
  }

  /**
   * At-least claims: 100 × y ÷ L. At-most claims: 100 × L ÷ y. Bands: the middle of the band is 100
   * plus its half width in percent of the middle, either edge is 100, outside is below.
   */
  static double percent(Claim claim, double y) {
    double raw =
        switch (claim.direction()) {
          case AT_LEAST -> 100 * y / claim.low();
          case AT_MOST -> y <= 0 ? MOST : 100 * claim.high() / y;
          case BAND -> {
            double middle = claim.figure();
            double half = (claim.high() - claim.low()) / 2;
            yield 100 + 100 * (half - Math.abs(y - middle)) / Math.max(Math.abs(middle), 1e-9);
          }
          case STATED -> 100;
        };
    return Math.max(0, Math.min(MOST, raw));
  }
}

package org.wiseember.core.start;

import org.hipparchus.stat.interval.BinomialProportion;
import org.hipparchus.stat.interval.ConfidenceInterval;

/**
 * The interval for a share seen k times in n: Wilson's score interval, which stays inside 0 and 1
 * and is fair for small n.
 *
 * <p>Source: E. B. Wilson, JASA 22 (1927) 209–212 (recalled from memory): centre (p + z²/2n) ÷ (1 +
 * z²/n), half width z·√(p(1 − p)/n + z²/4n²) ÷ (1 + z²/n).
 *
 * @param k times it happened, 0 to n
 * @param n times it was tried, 1 or more
 * @param low of the share, 0 to 1
 * @param high of the share, 0 to 1
 */
public record Wilson(int k, int n, double low, double high) {
  private static final double CONFIDENCE = 0.95;

  /** The 95 % interval. */
  public static Wilson of(int k, int n) {
    if (n < 1 || k < 0 || k > n) {
      throw new IllegalArgumentException(k + " of " + n);
    }
    ConfidenceInterval share =
        BinomialProportion.getWilsonScoreInterval(n, (double) k / n, CONFIDENCE);
    return new Wilson(
        k,
        n,
        k == 0 ? 0 : Math.max(0, share.getLowerBound()),
        k == n ? 1 : Math.min(1, share.getUpperBound()));
  }

  /** {@code 5 of 8}. */
  public String count() {
    return k + " of " + n;
  }

  /** {@code 31 to 86 %}. */
  public String percent() {
    return Math.round(100 * low) + " to " + Math.round(100 * high) + " %";
  }
}

package org.wiseember.core.uncertainty;

import static org.testng.Assert.assertTrue;

import org.hipparchus.distribution.discrete.BinomialDistribution;

/** How often intervals of 95 % may hold the truth, by chance alone, in so many tries. */
public final class HeldByChance {
  private static final double STATED = 0.95;
  private static final double LOW_TAIL = 0.001;
  private static final double HIGH_TAIL = 0.002;

  private HeldByChance() {}

  /**
   * Fails where fewer, or more, held the truth than chance explains: of 200 that is below 180 and
   * above 198, of 60 below 51.
   */
  public static void check(String what, int held, int of) {
    BinomialDistribution chance = new BinomialDistribution(of, STATED);
    int least = chance.inverseCumulativeProbability(LOW_TAIL);
    int most = chance.inverseCumulativeProbability(1 - HIGH_TAIL);
    assertTrue(
        held >= least && held <= most,
        what + ": " + held + " of " + of + ", which chance has between " + least + " and " + most);
  }
}

package org.wiseember.core.uncertainty;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.SplittableRandom;
import org.testng.annotations.Test;

public class BudgetTest {
  /**
   * JCGM 100:2008, example H.1, end-gauge calibration, in nm: u_c = 32, ν_eff = 16, U_99 = 93.
   * Inputs and results recalled from memory, not checked against the printed document.
   */
  @Test
  public void endGaugeOfTheGum() {
    Budget budget =
        Budget.of(
            new Contribution("standard", 25, 18, ""),
            new Contribution("comparison", 9.7, 25.6, ""),
            new Contribution("expansion", 2.9, 50, ""),
            new Contribution("temperature difference", 16.6, 2, ""));
    assertEquals(budget.combined(), 32, 0.5);
    assertEquals(Math.floor(budget.effectiveDegreesOfFreedom()), 16.0);
    assertEquals(budget.expanded(0.99), 93, 0.6);
  }

  /** Student's t, two-sided 95 %, as tabled in GUM table G.2 (recalled from memory). */
  @Test
  public void coverageFactorsOfTheTable() {
    assertEquals(Budget.coverageFactor(0.95, 1), 12.71, 0.005);
    assertEquals(Budget.coverageFactor(0.95, 5), 2.57, 0.005);
    assertEquals(Budget.coverageFactor(0.95, 20), 2.09, 0.005);
    assertEquals(Budget.coverageFactor(0.95, Double.POSITIVE_INFINITY), 1.96, 0.001);
  }

  /** The coverage factors against a second library. */
  @Test
  public void coverageFactorsOfAnotherLibrary() {
    for (int nu : new int[] {1, 2, 3, 7, 16, 50, 200}) {
      double other =
          new org.apache.commons.math3.distribution.TDistribution(nu)
              .inverseCumulativeProbability(0.975);
      assertEquals(Budget.coverageFactor(0.95, nu), other, 1e-6 * other, "ν = " + nu);
      // GUM G.4.1: ν_eff between two whole numbers is taken as the lower.
      assertEquals(Budget.coverageFactor(0.95, nu + 0.9), other, 1e-6 * other);
    }
  }

  /** GUM 4.3.7: limits ± a, all equally likely, give u = a ÷ √3. */
  @Test
  public void rectangularLimits() {
    assertEquals(Contribution.rectangular("r", 3).standard(), Math.sqrt(3), 1e-12);
  }

  /** GUM 5.2.2: what shares a cause adds up, and cancels when the signs differ. */
  @Test
  public void sharedMeterAddsBeforeSquaring() {
    Contribution a = Contribution.rectangular("a", 3).sharing("meter");
    Contribution b = Contribution.rectangular("b", 4).sharing("meter");
    Contribution minus = Contribution.rectangular("c", -3).sharing("meter");
    assertEquals(Budget.of(a, b).combined(), 7 / Math.sqrt(3), 1e-12);
    assertEquals(Budget.of(a, minus).combined(), 0, 1e-12);
    assertEquals(
        Budget.of(Contribution.rectangular("a", 3), Contribution.rectangular("b", 4)).combined(),
        5 / Math.sqrt(3),
        1e-12);
  }

  /** Monte Carlo as JCGM 101 does it, as the second opinion on a mixed budget. */
  @Test
  public void monteCarloAgrees() {
    Budget budget =
        Budget.of(
            Contribution.rectangular("meter", 2),
            Contribution.rectangular("digit", 1),
            Contribution.rectangular("start", 1.5));
    SplittableRandom random = new SplittableRandom(7);
    int inside = 0;
    int trials = 200_000;
    double u95 = budget.u95();
    for (int i = 0; i < trials; i++) {
      double error =
          2 * (2 * random.nextDouble() - 1)
              + (2 * random.nextDouble() - 1)
              + 1.5 * (2 * random.nextDouble() - 1);
      inside += Math.abs(error) <= u95 ? 1 : 0;
    }
    assertEquals(inside / (double) trials, 0.95, 0.02);
  }

  @Test
  public void emptyBudgetIsCertain() {
    assertEquals(Budget.of().u95(), 0.0);
    assertTrue(Double.isInfinite(Budget.of().effectiveDegreesOfFreedom()));
  }

  @Test
  public void meterClassOfTheDataSheet() {
    MeterClass meter = new MeterClass(0.5, 0.1, 3000, 0.1, 2);
    assertEquals(meter.halfWidth(600), 3 + 3 + 0.2, 1e-12);
    assertEquals(meter.words(), "0.5 % + 0.1 % of range + 2 digits");
    assertThrows(IllegalArgumentException.class, () -> new MeterClass(-1, 0, 0, 0, 0));
  }

  @Test
  public void refusesWhatIsNoEstimate() {
    assertThrows(IllegalArgumentException.class, () -> new Estimate(Double.NaN, 1));
    assertThrows(IllegalArgumentException.class, () -> new Estimate(1, -1));
  }
}

package org.wiseember.core.uncertainty;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class CoverageTest {
  private static Contribution limits(double half) {
    return Contribution.rectangular("limits", half);
  }

  private static Contribution bell(double standard) {
    return Contribution.normal("bell", standard);
  }

  @DataProvider
  Object[][] exact() {
    return new Object[][] {
      // One pair of limits: 95 % of their width.
      {List.of(limits(3)), 0.95, 3 * 0.95},
      {List.of(limits(3)), 0.5, 1.5},
      // Two equal pairs make a triangle: P(|x| < y) = 1 − (1 − y ÷ 2a)².
      {List.of(limits(1), limits(1)), 0.95, 2 * (1 - Math.sqrt(0.05))},
      // A bell: the usual 1.96.
      {List.of(bell(2)), 0.95, 2 * 1.959964},
      {List.of(bell(3), bell(4)), 0.95, 5 * 1.959964},
      // Student's t with 4 degrees of freedom, tabled as 2.776.
      {List.of(new Contribution("a", 1, 4, "")), 0.95, 2.776445},
      {List.of(), 0.95, 0.0},
      {List.of(limits(0), bell(0)), 0.95, 0.0},
    };
  }

  @Test(dataProvider = "exact")
  public void knownHalfWidths(List<Contribution> contributions, double confidence, double half) {
    assertEquals(Coverage.halfWidth(contributions, confidence), half, 0.002 * half + 1e-12);
  }

  /** JCGM 101: the same by drawing a million times, for mixtures of all sizes. */
  @Test
  public void drawingGivesTheSame() {
    SplittableRandom random = new SplittableRandom(17);
    for (int k = 0; k < 12; k++) {
      double a = random.nextDouble() * 3;
      double b = random.nextDouble();
      double s = random.nextDouble();
      double half = Coverage.halfWidth(List.of(limits(a), limits(-b), bell(s)), 0.95);
      int inside = 0;
      int draws = 200_000;
      for (int i = 0; i < draws; i++) {
        double x =
            a * (2 * random.nextDouble() - 1)
                + b * (2 * random.nextDouble() - 1)
                + s * random.nextGaussian();
        inside += Math.abs(x) <= half ? 1 : 0;
      }
      assertEquals(inside / (double) draws, 0.95, 0.003, a + " " + b + " " + s);
    }
  }

  /** Never more than the limits allow, where nothing but limits is known. */
  @Test
  public void limitsAreNeverOverstepped() {
    Budget budget = Budget.of(limits(5), limits(0.2), limits(0.1));
    assertTrue(budget.u95() < 5.3 && budget.u95() > 4.7, "" + budget.u95());
    assertTrue(budget.expanded(0.95) > 5.6, "the usual factor would");
  }
}

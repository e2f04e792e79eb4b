package org.wiseember.core.efficiency;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class LossCurveTest {
  /** The formulas of the peak against a search over loads. */
  @Test
  public void thePeakIsWhereASearchFindsIt() {
    SplittableRandom random = new SplittableRandom(4);
    for (int i = 0; i < 100; i++) {
      LossCurve curve =
          new LossCurve(
              1 + random.nextDouble() * 40,
              random.nextDouble() * 0.1,
              1e-5 + random.nextDouble() * 1e-4);
      double best = 0;
      double at = 0;
      for (double load = 1; load < 5000; load += 1) {
        if (curve.efficiency(load) > best) {
          best = curve.efficiency(load);
          at = load;
        }
      }
      assertEquals(curve.peakEfficiency(), best, 1e-6);
      assertEquals(curve.peakLoad(), at, 1);
    }
  }

  @Test
  public void withoutOneOfTheLossesThereIsNoPeak() {
    assertTrue(Double.isInfinite(new LossCurve(10, 0.05, 0).peakLoad()));
    assertEquals(new LossCurve(0, 0.05, 1e-5).peakLoad(), 0.0);
    assertEquals(new LossCurve(10, 0.05, 1e-5).efficiency(0), 0.0);
  }

  /** Weights as recalled from memory of EN 50530 and the CEC protocol; each must add up to one. */
  @Test
  public void weightsAddUpToOne() {
    for (Weighting w : Weighting.values()) {
      assertEquals(w.shares().stream().mapToDouble(Weighting.Share::weight).sum(), 1, 1e-12);
      assertEquals(w.of(load -> 0.9, 1000), 0.9, 1e-12, w.words());
    }
  }

  @DataProvider
  Object[][] handWorked() {
    return new Object[][] {
      // Efficiencies of 80, 85, 90, 92, 93, 92, 90 % at 5, 10, 20, 30, 50, 75, 100 % of 1 000 W,
      // worked with pencil: 0.03·80 + 0.06·85 + 0.13·90 + 0.10·92 + 0.48·93 + 0.20·90 = 91.04;
      // 0.04·85 + 0.05·90 + 0.12·92 + 0.21·93 + 0.53·92 + 0.05·90 = 91.73.
      {Weighting.EUROPEAN, 91.04}, {Weighting.CALIFORNIAN, 91.73},
    };
  }

  @Test(dataProvider = "handWorked")
  public void weightedByHand(Weighting weighting, double percent) {
    double found =
        weighting.of(
            load ->
                switch ((int) Math.round(load)) {
                  case 50 -> 80;
                  case 100 -> 85;
                  case 200, 1000 -> 90;
                  case 300, 750 -> 92;
                  case 500 -> 93;
                  default -> throw new AssertionError("no such point: " + load);
                },
            1000);
    assertEquals(found, percent, 1e-9);
  }
}

package org.wiseember.core.efficiency;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.apache.commons.math3.linear.Array2DRowRealMatrix;
import org.apache.commons.math3.linear.ArrayRealVector;
import org.apache.commons.math3.linear.RealMatrix;
import org.apache.commons.math3.linear.SingularValueDecomposition;
import org.testng.annotations.Test;

public class LossFitTest {
  private static final double[] LOADS = {0, 60, 120, 300, 600, 900, 1200};

  private static List<LossFit.Point> points(LossCurve truth, SplittableRandom noise, double share) {
    List<LossFit.Point> points = new ArrayList<>();
    for (double load : LOADS) {
      double loss = truth.dcWatts(load) - load;
      double scatter = 0.05 + share * truth.dcWatts(load);
      double off = noise == null ? 0 : scatter * noise.nextGaussian();
      points.add(new LossFit.Point(load, loss + off, scatter));
    }
    return points;
  }

  /** Exact points of a known curve give that curve back. */
  @Test
  public void exactPointsGiveTheCurveBack() {
    SplittableRandom random = new SplittableRandom(3);
    for (int i = 0; i < 200; i++) {
      LossCurve truth =
          new LossCurve(
              random.nextDouble() * 40, random.nextDouble() * 0.15, random.nextDouble() * 1e-4);
      LossCurve found = LossFit.through(points(truth, null, 0.001), List.of()).curve();
      assertEquals(found.p0(), truth.p0(), 1e-7);
      assertEquals(found.p1(), truth.p1(), 1e-9);
      assertEquals(found.p2(), truth.p2(), 1e-12);
    }
  }

  /** Values and covariance against another library, by another decomposition. */
  @Test
  public void anotherLibraryAgrees() {
    SplittableRandom random = new SplittableRandom(5);
    for (int i = 0; i < 100; i++) {
      LossCurve truth = new LossCurve(12, 0.05, 2e-5);
      List<LossFit.Point> points = points(truth, random, 0.0008);
      LossFit fit = LossFit.through(points, List.of());
      RealMatrix a = new Array2DRowRealMatrix(points.size(), 3);
      double[] b = new double[points.size()];
      for (int k = 0; k < b.length; k++) {
        LossFit.Point p = points.get(k);
        for (int term = 0; term < 3; term++) {
          a.setEntry(k, term, Math.pow(p.acWatts() / 1000, term) / p.scatter());
        }
        b[k] = p.loss() / p.scatter();
      }
      double[] other =
          new SingularValueDecomposition(a).getSolver().solve(new ArrayRealVector(b)).toArray();
      if (other[0] < 0 || other[2] < 0) {
        continue;
      }
      assertEquals(fit.curve().p0(), other[0], 1e-7);
      assertEquals(fit.curve().p1(), other[1] / 1e3, 1e-10);
      assertEquals(fit.curve().p2(), other[2] / 1e6, 1e-13);
      double birge = Math.max(1, fit.chiSquare() / (points.size() - 3));
      RealMatrix spread = new SingularValueDecomposition(a).getCovariance(0);
      for (int m = 0; m < 3; m++) {
        for (int n = 0; n < 3; n++) {
          double wanted = birge * spread.getEntry(m, n) / Math.pow(1000, m + n);
          assertEquals(fit.covariance()[m][n], wanted, 1e-6 * Math.abs(wanted));
        }
      }
    }
  }

  /** No other curve with p0, p2 ≥ 0 near the one found lies closer to the points. */
  @Test
  public void theBoundedFitIsTheBestAllowedOne() {
    SplittableRandom random = new SplittableRandom(8);
    int bound = 0;
    for (int i = 0; i < 60; i++) {
      LossCurve truth = new LossCurve(0.05, 0.06, 1e-7);
      List<LossFit.Point> points = points(truth, random, 0.004);
      LossFit fit = LossFit.through(points, List.of());
      LossCurve c = fit.curve();
      assertTrue(c.p0() >= 0 && c.p2() >= 0);
      bound += c.p0() == 0 || c.p2() == 0 ? 1 : 0;
      for (int k = 0; k < 300; k++) {
        LossCurve near =
            new LossCurve(
                Math.max(0, c.p0() + 0.2 * random.nextGaussian()),
                c.p1() + 0.002 * random.nextGaussian(),
                Math.max(0, c.p2() + 2e-6 * random.nextGaussian()));
        assertTrue(chi(points, near) >= fit.chiSquare() - 1e-9);
      }
    }
    assertTrue(bound > 10, "the bounds were reached " + bound + " times");
  }

  private static double chi(List<LossFit.Point> points, LossCurve curve) {
    return points.stream()
        .mapToDouble(p -> (p.loss() - curve.dcWatts(p.acWatts()) + p.acWatts()) / p.scatter())
        .map(r -> r * r)
        .sum();
  }

  /** The scatter's own share of the intervals holds the truth about as often as it says. */
  @Test
  public void scatterIsHonest() {
    LossCurve truth = new LossCurve(15, 0.06, 3e-5);
    SplittableRandom random = new SplittableRandom(21);
    int[] inside = new int[4];
    int seeds = 400;
    for (int i = 0; i < seeds; i++) {
      LossFit fit = LossFit.through(points(truth, random, 0.0005), List.of());
      inside[0] += covers(fit.estimate(LossCurve::p0), truth.p0());
      inside[1] += covers(fit.estimate(LossCurve::p1), truth.p1());
      inside[2] += covers(fit.estimate(LossCurve::p2), truth.p2());
      inside[3] += covers(fit.estimate(LossCurve::peakEfficiency), truth.peakEfficiency());
    }
    for (int n : inside) {
      assertTrue(n > 0.92 * seeds && n < 0.99 * seeds, n + " of " + seeds);
    }
  }

  private static int covers(org.wiseember.core.uncertainty.Estimate e, double truth) {
    return Math.abs(e.value() - truth) <= e.u95() ? 1 : 0;
  }

  /** A clamp that may be off by 1 % makes p1 unsure by 1 %, and no scatter shows it. */
  @Test
  public void aSharedMeterErrorIsALineOfItsOwn() {
    LossCurve truth = new LossCurve(10, 0.05, 2e-5);
    List<LossFit.Point> off = new ArrayList<>();
    for (double load : LOADS) {
      double dc = truth.dcWatts(load);
      off.add(new LossFit.Point(load, dc * 1.01 - load, 0.05 + 0.001 * dc));
    }
    LossFit fit =
        LossFit.through(points(truth, null, 0.001), List.of(new LossFit.Shift("Clamp", off)));
    var budget = fit.budget(LossCurve::p1);
    assertEquals(budget.contributions().get(1).name(), "Clamp");
    assertEquals(
        budget.contributions().get(1).standard() * Math.sqrt(3), 0.01 * (1 + truth.p1()), 1e-9);
    assertEquals(
        fit.budget(LossCurve::p0).contributions().get(1).standard() * Math.sqrt(3), 0.1, 1e-7);
  }

  @Test
  public void twoLoadsAreTooFew() {
    List<LossFit.Point> two =
        List.of(
            new LossFit.Point(100, 20, 0.1),
            new LossFit.Point(100, 21, 0.1),
            new LossFit.Point(300, 40, 0.1));
    assertThrows(IllegalArgumentException.class, () -> LossFit.through(two, List.of()));
  }
}

package org.wiseember.core.solar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Panels by their data sheets, cold mornings and ports. */
public class SolarTest {
  private static final double NONE = Double.NaN;

  private static Panel panel(double voc, double isc, double vmp, double imp) {
    return new Panel("100 W", voc, isc, vmp, imp, NONE, NONE, 0);
  }

  /**
   * The worked example of Villalva, Gazoli and Ruppert Filho (2009), a module of 54 cells and 200
   * W, recalled from memory: I_L 8.214 A, I_0 9.825 × 10⁻⁸ A, R_s 0.221 Ω, R_p 415.405 Ω at an
   * ideality of 1.3.
   */
  @Test
  public void thePublishedExample() {
    Panel p =
        new Panel("200 W", 32.9, 8.21, 26.3, 7.61, -0.1230 / 32.9 * 100, 0.0032 / 8.21 * 100, 54);
    DiodeModel m = DiodeModel.of(p);
    assertEquals(m.ideality(), 1.3);
    assertEquals(m.seriesOhms(), 0.221, 0.01);
    DiodeModel.Curve curve = m.at(1000, 25);
    assertEquals(curve.open(), 32.9, 1e-6);
    assertEquals(curve.amps(0), 8.21, 1e-6);
    assertEquals(curve.amps(26.3), 7.61, 1e-6);
    double[] peak = curve.peak();
    assertEquals(peak[0] * peak[1], 200.143, 0.01);
    // Their curve, from their parameters, by halving on the current: theirs matches the highest
    // power only, so R_p differs and the currents by a few thousandths.
    double a = 1.3 * 54 * 1.380649e-23 * 298.15 / 1.602176634e-19;
    for (double v = 0; v < 32; v += 2) {
      double low = -5;
      double high = 9;
      for (int k = 0; k < 100; k++) {
        double i = (low + high) / 2;
        double d = v + i * 0.221;
        double left = 8.214 - 9.825e-8 * Math.expm1(d / a) - d / 415.405 - i;
        if (left > 0) {
          low = i;
        } else {
          high = i;
        }
      }
      assertEquals(curve.amps(v), low, 0.006 * 8.21, v + " V");
    }
  }

  /** On many made-up sheets the curve goes through all three points, and no power is higher. */
  @Test
  public void theCurveGoesThroughItsSheet() {
    SplittableRandom random = new SplittableRandom(8);
    for (int i = 0; i < 60; i++) {
      double voc = 18 + 32 * random.nextDouble();
      double isc = 2 + 10 * random.nextDouble();
      double vmp = voc * (0.795 + 0.04 * random.nextDouble());
      double imp = isc * (0.925 + 0.025 * random.nextDouble());
      Panel p = panel(voc, isc, vmp, imp);
      DiodeModel.Curve c = DiodeModel.of(p).at(1000, 25);
      String sheet = p.toString();
      assertEquals(c.open(), voc, 1e-4 * voc, sheet);
      assertEquals(c.amps(0), isc, 1e-4 * isc, sheet);
      assertEquals(c.amps(vmp), imp, 1e-3 * imp, sheet);
      double[] peak = c.peak();
      assertEquals(peak[0] * peak[1], vmp * imp, 2e-3 * vmp * imp, sheet);
      double last = Double.POSITIVE_INFINITY;
      for (double v = 0; v <= voc; v += voc / 50) {
        assertTrue(c.amps(v) <= last + 1e-9, "current falls with volts");
        last = c.amps(v);
      }
    }
  }

  /** Half the light gives half the current and a little less volts; cold gives more volts. */
  @Test
  public void lightAndWarmth() {
    Panel p = new Panel("100 W", 21.6, 6.1, 18, 5.56, -0.31, 0.05, 36);
    DiodeModel m = DiodeModel.of(p);
    assertEquals(m.at(500, 25).amps(0) / m.at(1000, 25).amps(0), 0.5, 0.005);
    assertTrue(m.at(500, 25).open() < m.at(1000, 25).open());
    assertTrue(m.at(500, 25).open() > 0.93 * m.at(1000, 25).open());
    assertEquals(m.at(1000, -5).open(), 21.6 * (1 + 0.0031 * 30), 0.01);
    assertEquals(m.at(1000, 60).open(), 21.6 * (1 - 0.0031 * 35), 0.01);
    assertEquals(m.at(0, 25).amps(0), 0.0);
    assertEquals(m.at(0, 25).open(), 0.0);
  }

  /** NEC table 690.7(A), recalled from memory. */
  @DataProvider
  Object[][] cold() {
    return new Object[][] {
      {25, 1.0},
      {24, 1.02},
      {20, 1.02},
      {19, 1.04},
      {15, 1.04},
      {14, 1.06},
      {10, 1.06},
      {9, 1.08},
      {5, 1.08},
      {4, 1.10},
      {0, 1.10},
      {-1, 1.12},
      {-5, 1.12},
      {-6, 1.14},
      {-10, 1.14},
      {-11, 1.16},
      {-15, 1.16},
      {-16, 1.18},
      {-20, 1.18},
      {-21, 1.20},
      {-25, 1.20},
      {-26, 1.21},
      {-30, 1.21},
      {-31, 1.23},
      {-35, 1.23},
      {-36, 1.25},
      {-40, 1.25}
    };
  }

  @Test(dataProvider = "cold")
  public void coldMorningsByTheTable(double celsius, double factor) {
    assertEquals(ColdVolts.factor(panel(21.2, 6, 17.8, 5.6), celsius), factor, 1e-12);
  }

  /** 21.2 V × 1.14 × 3 = 72.5 V at −8 °C: too much for a 60 V port that bears 63.6 V by plate. */
  @Test
  public void threeInSeriesOnAColdMorning() {
    Arrangement three = new Arrangement(panel(21.2, 6, 17.8, 5.6), 3, 1);
    assertEquals(three.coldVolts(-8), 72.5, 0.05);
    assertFalse(three.allowed(new Port(11, 60, 12, 400), -8));
    assertTrue(three.allowed(new Port(11, 75, 12, 400), -8));
  }

  /** Over 10 000 random arrangements nothing is allowed whose cold volts pass the port's limit. */
  @Test
  public void nothingPassesThePortsVolts() {
    SplittableRandom random = new SplittableRandom(21);
    int allowed = 0;
    int refused = 0;
    for (int i = 0; i < 10_000; i++) {
      double voc = 10 + 45 * random.nextDouble();
      double coefficient = random.nextBoolean() ? NONE : -0.25 - 0.15 * random.nextDouble();
      Panel p = new Panel("p", voc, 6, 0.82 * voc, 5.6, coefficient, NONE, 0);
      int series = 1 + random.nextInt(6);
      double celsius = Math.rint(-40 + 65 * random.nextDouble());
      double most = 20 + 130 * random.nextDouble();
      boolean taken =
          new Arrangement(p, series, 1 + random.nextInt(3))
              .allowed(new Port(10, most, 10, 500), celsius);
      // An independent calculation: the table as steps of five degrees, or the slope.
      double[] table = {
        1.02, 1.04, 1.06, 1.08, 1.10, 1.12, 1.14, 1.16, 1.18, 1.20, 1.21, 1.23, 1.25
      };
      double factor =
          !Double.isNaN(coefficient)
              ? 1 - coefficient / 100 * (25 - celsius)
              : celsius >= 25
                  ? 1
                  : table[(int) Math.min(12, Math.floor((24 - celsius) / 5 + 1e-9))];
      double cold = series * voc * factor;
      if (taken) {
        assertTrue(cold <= most + 1e-9, cold + " V into " + most + " V");
        allowed++;
      } else {
        assertTrue(cold > most - 1e-9, cold + " V into " + most + " V");
        refused++;
      }
    }
    assertTrue(allowed > 1000 && refused > 1000, allowed + " and " + refused);
  }

  /** Common practice, no published source: 12 to 30 V at 3.65 A is 112 W at best, 18 V less. */
  @Test
  public void aPortThatIsShortOfAmps() {
    Port port = new Port(12, 30, 3.65, Double.POSITIVE_INFINITY);
    assertEquals(port.takes(30), 109.5, 3);
    Arrangement one = new Arrangement(new Panel("180 W", 21.8, 10.6, 18, 10, -0.3, 0.05, 36), 1, 1);
    DiodeModel model = DiodeModel.of(one.panel());
    double[] drawn = one.drawn(model, port, 1000, 45);
    assertTrue(drawn[2] > 60 && drawn[2] < 82, drawn[2] + " W");
    assertEquals(drawn[1], 3.65, 1e-6);
    assertEquals(one.drawn(model, new Port(25, 60, 10, 200), 1000, 25)[2], 0.0, "does not begin");
    assertEquals(one.drawn(model, new Port(5, 15, 10, 200), 1000, 25)[2], 0.0, "must not be seen");
  }
}

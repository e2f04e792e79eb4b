package org.wiseember.core.wiring;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Gauges, drops, heat and fuses against the standards' figures and the trade's. */
public class CableRunTest {
  /** ASTM B258 and IEC 60028, computed numerically and independently. */
  @DataProvider
  Object[][] gauges() {
    return new Object[][] {{10, 5.261, 3.277}, {12, 3.309, 5.211}, {4, 21.151, 0.8152}};
  }

  @Test(dataProvider = "gauges")
  public void crossSectionAndResistance(int awg, double mm2, double ohmsPerKm) {
    Gauge g = Gauge.of(awg).orElseThrow();
    assertEquals(g.squareMillimetres(), mm2, 0.001 * mm2);
    assertEquals(1000 * g.ohmsPerMetre(20), ohmsPerKm, 0.001 * ohmsPerKm);
    assertEquals(g.ohmsPerMetre(45) / g.ohmsPerMetre(20), 1 + 0.00393 * 25, 1e-12);
  }

  /** Three numbers down is twice the cross-section, to a third of a percent. */
  @Test
  public void everyThirdGaugeDoubles() {
    for (int awg = -3; awg <= 15; awg++) {
      double ratio =
          new Gauge(awg, 1).squareMillimetres() / new Gauge(awg + 3, 1).squareMillimetres();
      assertEquals(ratio, 2, 0.01);
    }
  }

  /** Common practice, no published source: 1.5 V lost at 10 A is 0.15 Ω of lead. */
  @Test
  public void aLeadThatLosesVolts() {
    CableRun run = new CableRun(10, 5, 13.3, Gauge.of(14).orElseThrow());
    assertEquals(run.dropVolts(), 10 * run.ohms(), 1e-12);
    assertEquals(run.heatWatts(), 100 * run.ohms(), 1e-12);
    double metres = 0.15 / (2 * Gauge.of(14).orElseThrow().ohmsPerMetre(CableRun.WARM));
    assertEquals(new CableRun(10, metres, 13.3, Gauge.of(14).orElseThrow()).dropVolts(), 1.5, 1e-9);
  }

  /** Common practice, no published source: 1 430 W of 12.0 V at 88 % are 135.5 A. */
  @Test
  public void ampsAtTheBattery() {
    assertEquals(CableRun.batteryAmps(1430, 0.8794, 12.0), 135.5, 0.1);
    expectThrows(IllegalArgumentException.class, () -> CableRun.batteryAmps(100, 1.2, 12));
  }

  /**
   * The thinnest that carries its fuse and keeps its drop, over many loads; a thinner one fails.
   */
  @Test
  public void theThinnestThatDoes() {
    SplittableRandom random = new SplittableRandom(3);
    List<Gauge> all = Gauge.all();
    for (int i = 0; i < 2000; i++) {
      double amps = 1 + 150 * random.nextDouble();
      double metres = 0.3 + 8 * random.nextDouble();
      var found = CableRun.thinnest(amps, metres, 12.8, 3);
      if (found.isEmpty()) {
        CableRun thickest = new CableRun(amps, metres, 12.8, all.get(all.size() - 1));
        assertTrue(thickest.fuse().isEmpty() || thickest.dropPercent() > 3);
        continue;
      }
      CableRun run = found.get();
      double fuse = run.fuse().orElseThrow();
      assertTrue(fuse >= 1.25 * amps && fuse <= run.gauge().carriesAmps());
      assertTrue(run.dropPercent() <= 3);
      int at = all.indexOf(run.gauge());
      if (at > 0) {
        CableRun thinner = new CableRun(amps, metres, 12.8, all.get(at - 1));
        assertTrue(thinner.fuse().isEmpty() || thinner.dropPercent() > 3);
      }
      assertTrue(run.gauge().metric() >= run.gauge().squareMillimetres() * 0.999);
    }
  }

  @Test
  public void namesAndTheSum() {
    assertEquals(new Gauge(-1, 145).number(), "2/0");
    assertEquals(new Gauge(0, 125).number(), "1/0");
    var explained = new CableRun(52, 1.2, 11.3, Gauge.of(4).orElseThrow()).explained();
    assertEquals(explained.answer(), Gauge.of(4).orElseThrow().words());
    var because = explained.because();
    assertTrue(because.watchOut().get(0).contains("local code"));
    assertTrue(because.workedOut().toString().contains("70 A"), because.workedOut().toString());
  }
}

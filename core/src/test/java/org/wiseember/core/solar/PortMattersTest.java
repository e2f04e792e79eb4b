package org.wiseember.core.solar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** What is said of a way into a port, of a second battery, and of a harvest. */
public class PortMattersTest {
  private static final Panel PANEL = new Panel("test", 22.4, 5.9, 18.6, 5.4, -0.28, 0.05, 36);
  private static final Port SMALL = new Port(12, 30, 3.65, 200);
  private static final Site SITE = new Site(new SunDay(50, 172, 35, 0, 0), -8, 20);

  private static Explanation of(int count, Port port, String words) {
    PanelsOnHand panels = new PanelsOnHand(List.of(new PanelsOnHand.Lot(PANEL, count)), SITE);
    Designer.Way way =
        panels.ways(port).stream()
            .filter(w -> w.arrangement().words().equals(words))
            .findFirst()
            .orElseThrow();
    return WayBecause.of(way, port, SITE);
  }

  /**
   * Common practice, no published source: a port of 12 to 30 V that draws 3.65 A gives 60 to 82 W
   * of an 18 V panel, and a converter set just under its most volts lifts that.
   */
  @Test
  public void aConverterHelpsAPortShortOfAmps() {
    Explanation one = of(1, SMALL, "one test");
    double watts = Double.parseDouble(one.answer().replace(" W", ""));
    assertTrue(watts >= 60 && watts <= 82, one.answer());
    String boost = one.because().workedOut().get(one.because().workedOut().size() - 1);
    assertTrue(boost.contains("set to 28 V: 87 W") && boost.contains("W more"), boost);
    assertTrue(one.because().workedOut().stream().anyMatch(s -> s.contains("its most amps")));
  }

  /**
   * Common practice, no published source: a string of three 18 V class panels works inside a port
   * of 60 V and stands over it unloaded, so that it is never allowed; and a port of 30 V and 3.65 A
   * gives 112 W at best.
   */
  @Test
  public void loadedVoltsDoNotMakeAStringSafe() {
    Arrangement three = new Arrangement(PANEL, 3, 1);
    Port port = new Port(11, 60, 12, 400);
    assertTrue(3 * PANEL.peakVolts() < port.mostVolts());
    assertTrue(three.coldVolts(25) > port.mostVolts());
    assertFalse(three.allowed(port, 25));
    assertTrue(SMALL.takes(30) <= 112 && SMALL.takes(30) > 100);
  }

  @Test
  public void theSumOfAForbiddenWay() {
    Explanation two = of(2, SMALL, "2 test in series");
    assertEquals(two.answer(), "48.9 V");
    assertTrue(two.because().summary().startsWith("18.9 V over"), two.because().summary());
    assertFalse(two.because().workedOut().get(2).contains("the cold alone"), "67 V even when warm");
    Explanation cold = of(2, new Port(12, 46, 10, 200), "2 test in series");
    assertTrue(cold.because().workedOut().get(2).contains("the cold alone forbids it"), "" + cold);
    Explanation table =
        WayBecause.of(
            new PanelsOnHand(
                    List.of(
                        new PanelsOnHand.Lot(
                            new Panel("bare", 21.2, 6, 18, 5.5, Double.NaN, Double.NaN, 0), 3)),
                    SITE)
                .ways(new Port(11, 60, 12, 400)).stream()
                    .filter(w -> w.arrangement().series() == 3)
                    .findFirst()
                    .orElseThrow(),
            new Port(11, 60, 12, 400),
            SITE);
    // 21.2 V × 1.14 × 3, by the table of NEC 690.7(A), recalled from memory.
    assertEquals(table.answer(), "72.5 V");
  }

  /**
   * Lithium iron phosphate is charged to 3.65 V a cell: 29.2 V pass a port of 28 V, not of 30 V.
   */
  @Test
  public void aSecondBatteryIsHeldAgainstTheVoltsItIsChargedAt() {
    SecondBattery battery =
        SecondBattery.usual().stream()
            .filter(b -> b.name().startsWith("24 V lithium"))
            .findFirst()
            .orElseThrow();
    assertTrue(battery.allowed(SMALL));
    assertEquals(battery.watts(SMALL), 3.65 * 26.2, 1e-9);
    Port tight = new Port(12, 28, 5, 200);
    assertFalse(battery.allowed(tight));
    assertEquals(battery.watts(tight), 0.0);
    assertTrue(battery.standing(tight).startsWith("Never"));
    assertTrue(battery.standing(new Port(22, 60, 5, 200)).contains("before it is empty"));
    for (SecondBattery b : SecondBattery.usual()) {
      assertTrue(b.emptyVolts() < b.usualVolts() && b.usualVolts() < b.fullVolts(), b.name());
    }
  }

  /** A panel as good as its sheet has 100 % of its plate once light and warmth are equal. */
  @Test
  public void aHarvestIsBroughtToFullLight() {
    Arrangement two = new Arrangement(PANEL, 2, 1);
    DiodeModel model = DiodeModel.of(PANEL);
    int n = 200;
    double[] t = new double[n];
    double[] volts = new double[n];
    double[] amps = new double[n];
    double[] lux = new double[n];
    for (int i = 0; i < n; i++) {
      double light = 400 + 2 * i;
      double[] peak = model.at(light, 20 + 0.03 * light).peak();
      t[i] = 10 * i;
      volts[i] = 2 * peak[0];
      amps[i] = 0.8 * peak[1];
      lux[i] = Light.LUX * light;
    }
    Trace trace =
        new Trace(
            t,
            Map.of(Channel.IN_VOLTAGE, volts, Channel.IN_CURRENT, amps, Channel.ILLUMINANCE, lux));
    Harvest found = Harvest.of(trace, at -> true, two, 20, Optional.empty()).orElseThrow();
    assertEquals(found.ofPlate().value(), 80, 0.5);
    assertTrue(found.ofPlate().u95() > 5, "lux for each W/m² is never surer");
    assertTrue(Harvest.of(trace, at -> false, two, 20, Optional.empty()).isEmpty());
  }

  /** 60 W at 79 800 lx and 90 W at 80 200 lx: 49 % more once light is equal (common practice). */
  @Test
  public void twoReadingsAtEqualLight() {
    assertEquals(Boost.gain(60, 79_800, 90, 80_200), 0.49, 0.005);
  }

  /** A port never draws more than there is, nothing at night, and the day is what the way says. */
  @Test
  public void aDayInTheSun() {
    PanelsOnHand panels = new PanelsOnHand(List.of(new PanelsOnHand.Lot(PANEL, 4)), SITE);
    for (Designer.Way way : panels.ways(SMALL)) {
      DayCurve day = DayCurve.of(way.arrangement(), SMALL, SITE);
      for (DayCurve.Point p : day.points()) {
        assertTrue(p.drawn() <= p.could() + 1e-6, "" + p);
        assertTrue(p.drawn() <= SMALL.amps() * SMALL.mostVolts() + 1e-6, "" + p);
        assertTrue(p.light() > 0 || p.drawn() == 0, "" + p);
      }
      int n = day.points().size();
      for (int i = 0; i < n; i++) {
        assertEquals(
            day.points().get(i).light(), day.points().get(n - 1 - i).light(), 1e-6, "symmetric");
      }
      if (way.standing() != Designer.Standing.NEVER) {
        assertEquals(day.wattHours(), way.dayWattHours(), 1e-9);
      }
    }
  }

  /** A coefficient that lost its minus sign would hide a cold morning. */
  @Test
  public void sheetsWithoutSenseAreRefused() {
    assertThrows(
        IllegalArgumentException.class, () -> new Panel("x", 22, 6, 18, 5, 0.28, 0.05, 36));
    assertThrows(
        IllegalArgumentException.class, () -> new Panel("x", 220, 6, 180, 5, -0.28, 0.05, 36));
    assertThrows(IllegalArgumentException.class, () -> new PanelsOnHand.Lot(PANEL, 25));
    assertThrows(
        IllegalArgumentException.class, () -> new Site(new SunDay(50, 1, 30, 0, 0), -80, 20));
  }
}

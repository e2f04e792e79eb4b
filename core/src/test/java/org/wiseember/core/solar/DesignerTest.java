package org.wiseember.core.solar;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The sun's way, every wiring of the panels on hand, and what the schools say. */
public class DesignerTest {
  private static final Panel HUNDRED =
      new Panel("100 W", 21.2, 6.0, 17.8, 5.6, Double.NaN, 0.05, 36);
  private static final Port PORT = new Port(11, 60, 12, 400);

  private static SunDay day(double latitude, int dayOfYear, double tilt) {
    return new SunDay(latitude, dayOfYear, tilt, 0, 0);
  }

  /** Height at noon is 90° − latitude + declination; 23.45° at the solstice, 0 at the equinox. */
  @DataProvider
  Object[][] noons() {
    return new Object[][] {
      {50.0, 172, 90 - 50 + 23.45},
      {50.0, 355, 90 - 50 - 23.45},
      {50.0, 81, 40.0},
      {0.0, 81, 90.0},
      {-35.0, 355, 90 - 35 + 23.45}
    };
  }

  @Test(dataProvider = "noons")
  public void theSunAtNoon(double latitude, int dayOfYear, double degrees) {
    assertEquals(day(latitude, dayOfYear, 0).height(12), degrees, 0.5);
  }

  /** Day and night are equal at the equinox, and the day is even around noon. */
  @Test
  public void theDaysCourse() {
    SunDay equinox = day(48, 81, 30);
    assertEquals(equinox.height(6), 0, 0.6);
    assertEquals(equinox.height(18), 0, 0.6);
    for (double h = 0.5; h < 6; h += 0.5) {
      assertEquals(equinox.light(12 - h), equinox.light(12 + h), 1e-9);
    }
    assertEquals(equinox.light(2), 0.0);
    // A panel that faces the noon sun of a clear day gets about 1 000 W/m²: the sheet's own light.
    assertEquals(day(40, 172, 16.5).light(12), 1000, 80);
    assertTrue(new SunDay(48, 81, 30, 60, 0).light(15) > equinox.light(15), "turned to the west");
    assertTrue(new SunDay(48, 81, 30, 0, 1).light(12) < 0.3 * equinox.light(12), "overcast");
  }

  /** Four panels: two strings of two are best, three in series are never allowed on a cold day. */
  @Test
  public void waysOfFourPanels() {
    Map<Panel, Integer> onHand = new LinkedHashMap<>();
    onHand.put(HUNDRED, 4);
    List<Designer.Way> ways = Designer.ways(onHand, PORT, new Site(day(50, 172, 30), -8, 20));
    assertEquals(ways.size(), 4 + 2 + 1 + 1);
    Designer.Way best = ways.get(0);
    assertEquals(best.standing(), Designer.Standing.BEST);
    assertEquals(best.arrangement().series(), 2);
    assertEquals(best.arrangement().parallel(), 2);
    assertTrue(best.fullSunWatts() > 300 && best.fullSunWatts() <= 400, "" + best);
    for (Designer.Way w : ways) {
      boolean tooMuch = w.arrangement().series() >= 3;
      assertEquals(w.standing() == Designer.Standing.NEVER, tooMuch, "" + w);
      assertFalse(tooMuch && w.dayWattHours() > 0, "" + w);
    }
    // Four in parallel are held back by the port's 12 A.
    Designer.Way wide =
        ways.stream().filter(w -> w.arrangement().parallel() == 4).findFirst().orElseThrow();
    assertEquals(wide.standing(), Designer.Standing.WASTEFUL);
    assertTrue(wide.fullSunWatts() < 12 * 19.5, "" + wide);
  }

  /** An arrangement that is fine at 5 °C and fails only on a cold morning. */
  @Test
  public void onlyTheColdMorningForbidsIt() {
    Panel p = new Panel("90 W", 18.9, 6, 15.6, 5.6, Double.NaN, Double.NaN, 0);
    Arrangement three = new Arrangement(p, 3, 1);
    assertTrue(three.allowed(PORT, 15));
    assertFalse(three.allowed(PORT, -8));
  }

  /**
   * Common practice, no published source: 60 W at 79 800 lx, 90 W at 80 200 lx through a converter
   * is 49 % more once light is equal.
   */
  @Test
  public void aBoostConverter() {
    assertEquals(100 * Boost.gain(60, 79_800, 90, 80_200), 49, 0.5);
    Port shortOfAmps = new Port(12, 30, 3.65, Double.POSITIVE_INFINITY);
    Boost boost = new Boost(29, 0.95);
    assertEquals(boost.taken(shortOfAmps, 95), 90.25, 1e-9);
    assertEquals(boost.taken(shortOfAmps, 300), 29 * 3.65, 1e-9);
    expectThrows(IllegalArgumentException.class, () -> new Boost(31, 0.95).taken(shortOfAmps, 95));
  }

  @Test
  public void theThreeSchools() {
    assertTrue(Designer.schools(400, PORT).startsWith("100 % of the port's watts: within"));
    assertTrue(Designer.schools(560, PORT).contains("more than makers of controllers allow"));
    assertTrue(Designer.schools(800, PORT).contains("some run it in poor light"));
    assertTrue(Designer.schools(900, PORT).contains("more than any school"));
    assertTrue(
        Designer.schools(900, new Port(10, 60, 10, Double.POSITIVE_INFINITY)).contains("no watts"));
  }
}

package org.wiseember.core.runtime;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.SunInto;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.DayCurve;
import org.wiseember.core.solar.Panel;
import org.wiseember.core.solar.Port;
import org.wiseember.core.solar.Site;

/** What the sun brings over a plan, and how long a source has to run. */
public class SunAndGeneratorTest {
  private static final double NO = Double.NaN;
  private static final double ANY = Double.POSITIVE_INFINITY;

  private static RunTimeCase fed(Feed.Root feed, double watts) {
    UnitSupply unit =
        new UnitSupply(List.of(new Usable(200, 900, 5)), List.of(), 0, ANY, ANY, 1000);
    Appliance load =
        new Appliance(
            "load",
            new ApplianceDraw(ApplianceDraw.Use.STEADY, watts, NO, NO, NO),
            Side.AC,
            List.of(HourSpan.ALWAYS),
            List.of());
    return new RunTimeCase(unit, new DayPlan(24, List.of(load), false), 100, 0, Optional.of(feed));
  }

  private static Feed.Root charged(double watts) {
    Feed.Alternating mains = new Feed.Alternating("mains", 3680, List.of(HourSpan.ALWAYS));
    return new Feed.Port(0, ANY, ANY, watts, List.of(mains));
  }

  /** 24 h of 50 W are 1 200 Wh of AC; 300 W put back 300 × 0.9 of that in an hour. */
  @Test
  public void aSourceRunsAsLongAsItTakesToPutADayBack() {
    RunTimeCase asked = fed(charged(300), 50);
    assertEquals(GeneratorHours.of(asked, asked.course()).orElseThrow(), 1200 / (300 * 0.9), 1e-9);
    RunTimeCase tooMuch = fed(charged(300), 400);
    assertTrue(
        GeneratorHours.of(tooMuch, tooMuch.course()).isEmpty(), "a day of it would not be enough");
  }

  /** The same sun every day: two days bring twice as much, and a later start moves nothing. */
  @Test
  public void theSunComesBackEveryDay() {
    Arrangement two =
        new Arrangement(new Panel("stall roof", 22, 6, 18, 5.6, -0.06, 0.003, 36), 1, 2);
    Port port = new Port(10, 60, 12, 400);
    Site site = Site.USUAL;
    double one = energy(SunInto.of(two, port, site, LocalTime.MIDNIGHT, 24));
    assertTrue(one > 0);
    assertEquals(energy(SunInto.of(two, port, site, LocalTime.MIDNIGHT, 48)), 2 * one, 1e-6);
    Feed.Panels noon = SunInto.of(two, port, site, LocalTime.NOON, 48);
    double first = noon.giving().get(0).when().from();
    assertTrue(first < 0.3, "at noon it stands highest: " + first);
    // Whole quarters of an hour, each rounded to the watt.
    double curve =
        DayCurve.of(two, port, site).points().stream()
            .mapToDouble(p -> Math.rint(p.could()) / 4)
            .sum();
    assertEquals(one, curve, 1e-6);
  }

  private static double energy(Feed.Panels panels) {
    return panels.giving().stream()
        .mapToDouble(g -> g.watts() * (g.when().to() - g.when().from()))
        .sum();
  }
}

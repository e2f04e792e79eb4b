package org.wiseember.core.runtime;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.FeedFlow;

public class FeedTest {
  private static final double NO = Double.NaN;
  private static final double ANY = Double.POSITIVE_INFINITY;

  private static Feed.Alternating generator(double va) {
    return new Feed.Alternating("generator", va, List.of(HourSpan.ALWAYS));
  }

  private static Feed.Panels panels(double watts, double volts, double open) {
    return new Feed.Panels(List.of(new Feed.Giving(HourSpan.ALWAYS, watts)), volts, open);
  }

  private static Feed.Port port(
      double least, double most, double amps, double watts, Feed... from) {
    return new Feed.Port(least, most, amps, watts, List.of(from));
  }

  private static FeedFlow flow(Feed.Root root) {
    return FeedFlow.of(root, 0, FeedFlow.batteries(root), ANY);
  }

  private static Appliance load(double watts, double startVa) {
    return new Appliance(
        "load",
        new ApplianceDraw(ApplianceDraw.Use.STEADY, watts, NO, NO, startVa),
        Side.AC,
        List.of(HourSpan.ALWAYS),
        List.of());
  }

  private static RunTimeCase asked(UnitSupply unit, double charge, Feed.Root feed, Appliance... a) {
    return new RunTimeCase(unit, new DayPlan(48, List.of(a), false), charge, 0, Optional.of(feed));
  }

  /** By hand: 12 A at 52.4 V are 629 W, whatever charger and battery could give. */
  @Test
  public void thePortBindsByItsAmps() {
    Feed.Charger charger = new Feed.Charger("charger", 57, 15, ANY, 0.94, List.of(generator(1600)));
    Feed.Controller controller =
        new Feed.Controller(20, 100, 15, 0.97, List.of(panels(380, 76, 91)));
    Feed.Battery battery = new Feed.Battery(52.4, 3100, 100, List.of(charger, controller));
    Feed.Port root = port(12, 60, 12, 800, battery);
    FeedFlow flow = flow(root);
    assertEquals(flow.intoUnit(), 12 * 52.4, 1e-9);
    assertEquals(flow.boundBy(), "amps");
    assertEquals(flow.boundAt(), "port");
    assertEquals(flow.through(charger), 855, 1e-9);
    assertEquals(flow.through(controller), 380 * 0.97, 1e-9);
    // What the battery is given and does not hand on stays in it.
    assertEquals(flow.net(battery), 855 + 380 * 0.97 - 12 * 52.4, 1e-9);
    RunTimeCase asked = asked(unit(2000), 100, root, load(890, 2700));
    FeedReport report = asked.course().feed().orElseThrow();
    assertEquals(report.sourceLoad(), 855 / 0.94, 1e-9);
    assertFalse(report.stalls(), "behind a battery it never sees the start");
  }

  private static UnitSupply unit(double wattHours) {
    return new UnitSupply(
        List.of(new Usable(500, wattHours, NO)), List.of(), 0, ANY, ANY, wattHours);
  }

  @Test
  public void eachLimitBindsInTurn() {
    assertBound(
        port(12, 60, 12, 300, new Feed.Battery(52, 1000, 50, List.of())), 300, "watts", "port");
    assertBound(
        port(12, 60, 12, 800, new Feed.Battery(52, 1000, 8, List.of())), 416, "source", "battery");
    assertBound(port(12, 60, 12, 800, panels(180, 40, 48)), 180, "source", "panels");
    assertBound(
        port(
            12,
            60,
            12,
            800,
            new Feed.Charger("converter", 55, 4, ANY, 0.9, List.of(panels(400, 20, 24)))),
        220,
        "converter",
        "converter");
    assertBound(
        port(
            12,
            60,
            12,
            800,
            new Feed.Charger("charger", 55, ANY, 900, 0.9, List.of(generator(300)))),
        270,
        "source",
        "generator");
    assertBound(
        port(12, 30, 12, 800, new Feed.Battery(52, 1000, 50, List.of())), 0, "volts", "port");
    // 5 A into 52 V is less than the panels could give.
    Feed.Battery empty =
        new Feed.Battery(
            52, 0, 50, List.of(new Feed.Controller(20, 100, 5, 1, List.of(panels(400, 70, 84)))));
    assertEquals(flow(port(12, 60, 12, 800, empty)).intoUnit(), 260, 1e-9);
  }

  private static void assertBound(Feed.Root root, double watts, String by, String at) {
    FeedFlow flow = flow(root);
    assertEquals(flow.intoUnit(), watts, 1e-9);
    assertEquals(flow.boundBy(), by);
    assertEquals(flow.boundAt(), at);
  }

  /** Two panels in series stay inside while they work and pass the window with nothing drawn. */
  @Test
  public void openVoltsAboveTheWindowGiveNothingAndAWarning() {
    FeedFlow flow = flow(port(12, 60, 12, 400, panels(300, 52, 66)));
    assertEquals(flow.intoUnit(), 0.0);
    assertEquals(flow.warnings().size(), 1);
    assertTrue(flow.warnings().get(0).contains("66"), flow.warnings().get(0));
    FeedFlow behind =
        flow(
            port(
                12,
                60,
                12,
                400,
                new Feed.Battery(
                    52,
                    0,
                    50,
                    List.of(new Feed.Controller(20, 60, 15, 1, List.of(panels(300, 52, 66)))))));
    assertEquals(behind.intoUnit(), 0.0);
    assertEquals(behind.warnings().size(), 1);
  }

  /**
   * Half of 2 048 Wh with 1 164 W out and 1 019 W in lasts 3.6 h if the way out is 89 % efficient:
   * common practice, no published source.
   */
  @Test
  public void moreHoursFromWhatComesIn() {
    double efficiency = 0.89;
    // By the cells: a DC port fills them with all it takes, the outlet takes more than it gives.
    UnitSupply unit =
        new UnitSupply(
            List.of(new Usable(1164, 2048 * efficiency, NO)),
            List.of(new Usable(100, 2048, NO)),
            0,
            ANY,
            ANY,
            2048);
    RunTimeCase asked =
        asked(unit, 50, port(12, 60, ANY, ANY, panels(1019, 50, 58)), load(1164, NO));
    assertEquals(asked.course().runsOut().orElseThrow(), 1024 / (1164 / efficiency - 1019), 1e-6);
    assertEquals(asked.course().runsOut().orElseThrow(), 3.6, 0.1);
    assertEquals(
        asked.withoutFeed().course().runsOut().orElseThrow(), 1024 * efficiency / 1164, 1e-6);
  }

  /** Handed through, a small generator meets the start itself. */
  @Test
  public void passedThroughTheSourceMeetsTheStart() {
    Feed.Root through = new Feed.PassThrough(List.of(generator(1600)));
    RunTimeCase asked = asked(unit(1000), 80, through, load(890, 2700));
    ChargeCurve course = asked.course();
    FeedReport report = course.feed().orElseThrow();
    assertTrue(report.stalls());
    assertEquals(report.sourceLoad(), 890, 1e-9);
    assertTrue(course.runsOut().isEmpty(), "the cells rest");
    assertEquals(course.chargeAtEnd(), 80, 1e-9);
    assertTrue(course.hardest().isEmpty(), "the inverter is not asked");
    assertFalse(
        asked(unit(1000), 80, new Feed.PassThrough(List.of(generator(3000))), load(890, 2700))
            .course()
            .feed()
            .orElseThrow()
            .stalls());
  }

  @Test
  public void anEmptyReservoirGivesOnlyWhatComesIn() {
    Feed.Battery battery = new Feed.Battery(52, 100, 20, List.of(panels(50, 40, 48)));
    Feed.Port root = port(12, 60, ANY, 250, battery);
    // 250 W for half an hour empty it at 200 W net; then 50 W are left.
    UnitSupply unit =
        new UnitSupply(
            List.of(new Usable(100, 1000, NO)),
            List.of(new Usable(100, 1000, NO)),
            0,
            ANY,
            ANY,
            NO);
    ChargeCurve course =
        new RunTimeCase(
                unit, new DayPlan(4, List.of(load(300, NO)), false), 100, 0, Optional.of(root))
            .course();
    double after = 100 - 0.5 * (300 - 250) / 10 - 2.5 * (300 - 50) / 10;
    assertEquals(chargeAt(course, 3), after, 1e-6);
    assertEquals(course.fed(), 0.5 * 250 + 3.5 * 50, 1e-6);
  }

  private static double chargeAt(ChargeCurve course, double hour) {
    ChargeCurve.Point before = course.points().get(0);
    for (ChargeCurve.Point p : course.points()) {
      if (p.hour() >= hour) {
        double part =
            p.hour() == before.hour() ? 0 : (hour - before.hour()) / (p.hour() - before.hour());
        return before.charge() + part * (p.charge() - before.charge());
      }
      before = p;
    }
    return before.charge();
  }

  /** A full unit takes no more than it gives away, and its battery keeps the rest. */
  @Test
  public void aFullUnitIsNotOverfilled() {
    UnitSupply unit =
        new UnitSupply(
            List.of(new Usable(100, 1000, NO)),
            List.of(new Usable(100, 1000, NO)),
            0,
            ANY,
            ANY,
            NO);
    ChargeCurve course =
        new RunTimeCase(
                unit,
                new DayPlan(10, List.of(load(40, NO)), false),
                100,
                0,
                Optional.of(port(12, 60, ANY, ANY, new Feed.Battery(52, 500, 20, List.of()))))
            .course();
    assertEquals(course.chargeAtEnd(), 100, 1e-6);
    assertEquals(course.fed(), 400, 1e-6);
  }

  /** Random trees: nothing is made on the way, and what is lost is lost in a link. */
  @Test
  public void energyBalances() {
    SplittableRandom random = new SplittableRandom(77);
    for (int i = 0; i < 300; i++) {
      Feed.Panels panels = panels(600 * random.nextDouble(), 70, 84);
      Feed.Alternating mains = generator(200 + 2000 * random.nextDouble());
      Feed.Charger charger =
          new Feed.Charger(
              "charger",
              54,
              30 * random.nextDouble(),
              1000 * random.nextDouble() + 10,
              0.8 + 0.2 * random.nextDouble(),
              List.of(mains));
      Feed.Controller controller =
          new Feed.Controller(
              20, 100, 20 * random.nextDouble(), 0.9 + 0.1 * random.nextDouble(), List.of(panels));
      List<Feed> sources = new ArrayList<>(List.of(charger, controller));
      Feed.Battery battery =
          new Feed.Battery(52, random.nextBoolean() ? 0 : 1000, 30 * random.nextDouble(), sources);
      Feed.Port root = port(12, 60, 25 * random.nextDouble(), 900 * random.nextDouble(), battery);
      FeedFlow flow = flow(root);
      double in = flow.through(charger) + flow.through(controller);
      assertEquals(in, flow.through(battery) + flow.net(battery), 1e-9);
      assertEquals(flow.through(battery), flow.intoUnit(), 1e-9);
      assertEquals(flow.through(mains), flow.through(charger) / charger.efficiency(), 1e-9);
      assertEquals(flow.through(panels), flow.through(controller) / controller.efficiency(), 1e-9);
      assertTrue(flow.through(panels) <= panels.giving().get(0).watts() + 1e-9);
      assertTrue(flow.through(mains) <= mains.va() + 1e-9);
      assertTrue(flow.intoUnit() <= Math.min(root.watts(), root.amps() * 52) + 1e-9);
      if (battery.wattHours() == 0) {
        assertTrue(flow.net(battery) >= -1e-9, "an empty battery gives nothing of its own");
      }
    }
  }

  /** Nothing in it says how much: neither a figure nor an endless wait. */
  @Test
  public void aFeedWithoutAnyLimitIsRefused() {
    Feed.Port endless = port(12, 60, ANY, ANY, generator(ANY));
    assertThrows(
        IllegalArgumentException.class, () -> asked(unit(1000), 50, endless, load(100, NO)));
    // One limit anywhere along the way is enough, and none at all is not the same as 0.
    assertEquals(flow(port(12, 60, ANY, 300, generator(ANY))).intoUnit(), 300, 1e-9);
    assertEquals(flow(port(0, ANY, 0, ANY, generator(500))).intoUnit(), 0, 0.0);
  }

  /** A controller straight into a port gives its amps at the volts the port may see. */
  @Test
  public void aControllerWithoutABatteryKeepsToItsAmps() {
    Feed.Controller controller = new Feed.Controller(20, 100, 5, 1, List.of(panels(900, 70, 84)));
    FeedFlow flow = flow(port(12, 60, ANY, ANY, controller));
    assertEquals(flow.intoUnit(), 300, 1e-9);
    assertEquals(flow.boundBy(), "controller");
  }
}

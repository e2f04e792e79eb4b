package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.DayPlan;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.runtime.UnitSupply;
import org.wiseember.core.runtime.Usable;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.Leg;
import org.wiseember.workbook.day.DayFile;
import org.wiseember.workbook.day.DayJson;
import org.wiseember.workbook.day.WrittenTimes;
import org.wiseember.workbook.strict.JsonUnreadable;

/** Days that are laid out stay as they were, in the file and on the way out and in. */
public class DaysTest {
  private static final double NO = Double.NaN;
  private static final double ANY = Double.POSITIVE_INFINITY;

  private static Path fresh() throws IOException {
    return Files.createTempDirectory("ember-days").resolve("d.ember");
  }

  private static double minute(double hours) {
    return Math.rint(hours * 60) / 60;
  }

  /** Anything somebody may lay out, to the minute. */
  private static Day random(SplittableRandom random) {
    double hours = 1 + random.nextInt(336);
    List<Appliance> all = new ArrayList<>();
    for (int i = 0; i < random.nextInt(6); i++) {
      ApplianceDraw.Use use = ApplianceDraw.Use.values()[random.nextInt(4)];
      List<HourSpan> on = new ArrayList<>();
      List<Double> at = new ArrayList<>();
      if (use.atMoments()) {
        for (int k = 0; k < random.nextInt(5); k++) {
          at.add(minute(hours * random.nextDouble()));
        }
        on.add(HourSpan.ALWAYS);
      } else if (random.nextInt(3) == 0) {
        on.add(HourSpan.ALWAYS);
      } else {
        double from = 0;
        for (int k = 0; k < random.nextInt(4); k++) {
          from = minute(from + 1 + 10 * random.nextDouble());
          double to = minute(from + 0.1 + 30 * random.nextDouble());
          on.add(new HourSpan(from, to));
          from = to;
        }
      }
      ApplianceDraw draw =
          new ApplianceDraw(
              use,
              5 + random.nextInt(2000),
              use == ApplianceDraw.Use.CYCLING || use == ApplianceDraw.Use.PER_GO
                  ? 1 + random.nextInt(300)
                  : NO,
              use == ApplianceDraw.Use.SHORT ? 1 + random.nextInt(60) : NO,
              random.nextBoolean() ? NO : 100 + random.nextInt(3000),
              ApplianceDraw.Origin.values()[random.nextInt(ApplianceDraw.Origin.values().length)],
              random.nextInt(30) / 100.0);
      Leg leg = Leg.values()[random.nextInt(3)];
      Side side = random.nextBoolean() ? Side.AC : Side.DC;
      all.add(new Appliance("thing " + i, draw, side, on, at, leg));
    }
    return new Day(
        "day “" + random.nextInt(100) + "”",
        LocalTime.MIN.plusMinutes(random.nextInt(24 * 60)),
        new DayPlan(hours, all, random.nextBoolean()),
        random.nextInt(101),
        random.nextInt(30),
        random.nextBoolean() ? Optional.empty() : Optional.of(feed(random)),
        random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(random.nextInt(-40, 60)));
  }

  private static Feed.Root feed(SplittableRandom random) {
    Feed.Alternating generator =
        new Feed.Alternating(
            "generator", 1600, List.of(new HourSpan(0.5, 1 + random.nextInt(20)), HourSpan.ALWAYS));
    if (random.nextInt(3) == 0) {
      return new Feed.PassThrough(List.of(generator));
    }
    Feed.Panels panels =
        new Feed.Panels(
            List.of(
                new Feed.Giving(new HourSpan(1, 1.5), 80),
                new Feed.Giving(new HourSpan(1.5, 2), 120.5)),
            36,
            44);
    Feed.Charger charger = new Feed.Charger("charger", 57, 15, ANY, 0.92, List.of(generator));
    Feed.Controller controller = new Feed.Controller(20, 100, 15, 0.97, List.of(panels));
    Feed.Battery battery = new Feed.Battery(51.2, 3072, ANY, List.of(charger, controller));
    return new Feed.Port(11, 60, 12, ANY, List.of(battery));
  }

  private static Day read(String text) {
    try {
      return DayJson.read(text).day();
    } catch (JsonUnreadable e) {
      throw new AssertionError(e.getMessage() + "\n" + text, e);
    }
  }

  /**
   * What is on always within a plan may come back with the plan's end; everything else is equal.
   */
  private static void assertSame(Day was, Day is) {
    assertEquals(is.title(), was.title());
    assertEquals(is.start(), was.start());
    assertEquals(is.plan().hours(), was.plan().hours());
    assertEquals(is.plan().acAlwaysOn(), was.plan().acAlwaysOn());
    assertEquals(is.charge(), was.charge());
    assertEquals(is.celsius(), was.celsius());
    assertEquals(
        is.appliances().stream().map(Appliance::leg).toList(),
        was.appliances().stream().map(Appliance::leg).toList());
    assertEquals(is.reserve(), was.reserve());
    assertEquals(is.appliances().size(), was.appliances().size());
    for (int i = 0; i < was.appliances().size(); i++) {
      Appliance a = was.appliances().get(i);
      Appliance b = is.appliances().get(i);
      assertEquals(b.name(), a.name());
      assertEquals(b.draw(), a.draw());
      assertEquals(b.side(), a.side());
      assertEquals(b.at(), a.draw().use().atMoments() ? a.at() : List.of());
      assertEquals(b.due().toString(), a.due().toString());
    }
  }

  @Test
  public void whatIsWrittenIsReadBack() {
    SplittableRandom random = new SplittableRandom(7);
    for (int i = 0; i < 400; i++) {
      Day day = random(random);
      String text = DayJson.write(day, Optional.empty());
      Day back = read(text);
      assertSame(day, back);
      assertEquals(DayJson.write(back, Optional.empty()), text);
      UnitSupply unit =
          new UnitSupply(List.of(new Usable(500, 904, 4)), List.of(), 13, 1200, ANY, 1075);
      if (day.feed().isEmpty() || day.feed().get().from().size() > 0) {
        assertEquals(
            back.on(unit).course().runsOut().orElse(-1),
            day.on(unit).course().runsOut().orElse(-1),
            1e-9,
            "and it goes as it went: " + text);
      }
    }
  }

  @Test
  public void aDayGoesOutWithAUnit() throws JsonUnreadable {
    UnitSupply unit =
        new UnitSupply(
            List.of(new Usable(592, 904, 4)),
            List.of(new Usable(108, 917, 1)),
            13,
            1200,
            2400,
            1075);
    Day day = random(new SplittableRandom(1));
    DayFile file = DayJson.read(DayJson.write(day, Optional.of(unit)));
    assertEquals(file.unit(), Optional.of(unit));
    assertEquals(file.asked().unit(), unit);
    DayFile without = DayJson.read(DayJson.write(day, Optional.empty()));
    assertTrue(without.unit().isEmpty());
    assertTrue(
        expectThrows(JsonUnreadable.class, without::asked).getMessage().contains("needs “unit”"));
  }

  @Test
  public void theWorkbookKeepsThem() throws IOException {
    Path file = fresh();
    Day stall = Day.empty("Rice stall", LocalTime.of(17, 0), 10);
    long id;
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      assertEquals(workbook.days().all().days(), List.of());
      StoredDay kept = workbook.days().add(stall, List.of(2L, 1L));
      id = kept.id();
      workbook.days().add(stall.titled("Tea stall"), List.of());
      workbook.days().keep(kept.with(stall.charged(60, 10)).on(List.of(1L)));
    }
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      List<StoredDay> all = workbook.days().all().days();
      assertEquals(all.size(), 2);
      assertEquals(all.get(0), new StoredDay(id, stall.charged(60, 10), List.of(1L)));
      workbook.days().removed(id, true);
      assertEquals(workbook.days().all().days().get(0).day().title(), "Tea stall");
      workbook.days().removed(id, false);
      assertEquals(workbook.days().all().days().size(), 2);
    }
  }

  @DataProvider
  public Object[][] damages() {
    return new Object[][] {
      {"{"}, {""}, {"{\"unit\": 5}"}, {"{\"start\": \"25:00\", \"unit\": {}}"},
    };
  }

  /** One that somebody spoiled is said, left as it is, and hides none of the others. */
  @Test(dataProvider = "damages")
  public void aDamagedOneHidesNoOther(String spoiled) throws IOException, SQLException {
    Path file = fresh();
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      workbook.days().add(Day.empty("first", LocalTime.NOON, 5), List.of());
      workbook.days().add(Day.empty("second", LocalTime.NOON, 5), List.of());
    }
    try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement s = c.createStatement()) {
      s.execute("UPDATE day SET plan = '" + spoiled + "', units = 'x,,3' WHERE id = 1");
    }
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      Days.All all = workbook.days().all();
      assertEquals(all.days().size(), 1);
      assertEquals(all.days().get(0).day().title(), "second");
      assertEquals(all.wrong().size(), 1);
      assertTrue(all.wrong().get(0).startsWith("A day kept in the workbook cannot be read"));
    }
  }

  /** What is shown in a field and typed again is the same, by 24 hours and by 12. */
  @Test
  public void timesAreReadAsTheyAreWritten() throws JsonUnreadable {
    SplittableRandom random = new SplittableRandom(3);
    for (int i = 0; i < 400; i++) {
      Day day = random(random);
      ReaderUnits units = i % 2 == 0 ? ReaderUnits.AS_KEPT : ReaderUnits.CUSTOMARY;
      WrittenTimes times = new WrittenTimes(day.start(), day.plan().hours(), units);
      for (Appliance a : day.appliances()) {
        if (a.draw().use().atMoments()) {
          assertEquals(times.moments(times.writtenMoments(a.at())), a.at());
        } else if (!a.on().isEmpty()) {
          List<HourSpan> back = times.stretches(times.written(a.on()));
          assertEquals(a.at(back, List.of()).due().toString(), a.due().toString());
        }
      }
    }
  }

  @Test
  public void timesAsPeopleTypeThem() throws JsonUnreadable {
    WrittenTimes times = new WrittenTimes(LocalTime.of(17, 0), 48, ReaderUnits.AS_KEPT);
    assertEquals(times.stretches("18:00-22:00"), List.of(new HourSpan(1, 5)));
    assertEquals(times.stretches("6 pm to 10 PM"), List.of(new HourSpan(1, 5)));
    assertEquals(
        times.stretches("18–22; 23.30-1"), List.of(new HourSpan(1, 5), new HourSpan(6.5, 8)));
    assertEquals(times.stretches("day 2 18:00-22:00"), List.of(new HourSpan(25, 29)));
    assertEquals(times.stretches(" Always "), List.of(HourSpan.ALWAYS));
    assertEquals(times.stretches(""), List.of(HourSpan.ALWAYS));
    assertEquals(times.moments("19:00, 20:30, 1:00"), List.of(2.0, 3.5, 8.0));
    assertEquals(times.moments("12 am"), List.of(7.0));
    assertEquals(times.moments(""), List.of());
  }

  @DataProvider
  public Object[][] noTimes() {
    return new Object[][] {
      {"25:00-26:00"},
      {"18:60-19:00"},
      {"soon"},
      {"18:00"},
      {"18:00-"},
      {"day 0 18-19"},
      {"day 99 18-19"},
      {"13 pm-14 pm"},
      {"-"},
      {"24:30-25:00"},
    };
  }

  @Test(dataProvider = "noTimes")
  public void whatIsNoTimeIsSaid(String typed) {
    WrittenTimes times = new WrittenTimes(LocalTime.of(17, 0), 24, ReaderUnits.AS_KEPT);
    String said = expectThrows(JsonUnreadable.class, () -> times.stretches(typed)).getMessage();
    assertTrue(said.startsWith("“" + typed + "”"), said);
  }
}

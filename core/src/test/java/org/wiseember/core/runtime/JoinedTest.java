package org.wiseember.core.runtime;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalTime;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.Leg;

public class JoinedTest {
  private static final double NO = Double.NaN;

  private static UnitSupply unit(double wattHours, double idle) {
    return new UnitSupply(
        List.of(new Usable(500, wattHours, 5)), List.of(), idle, 3000, 6000, wattHours / 0.85);
  }

  private static Joined.Half half(double wattHours, double idle) {
    return new Joined.Half(unit(wattHours, idle), Endured.NOTHING);
  }

  private static Appliance steady(String name, double watts, double startVa, Leg leg) {
    return new Appliance(
        name,
        new ApplianceDraw(ApplianceDraw.Use.STEADY, watts, NO, NO, startVa),
        Side.AC,
        List.of(new HourSpan(0, 100)),
        List.of(),
        leg);
  }

  private static Day day(double hours, Appliance... all) {
    return Day.empty("house", LocalTime.NOON, hours).with(List.of(all));
  }

  /** What lies across both is half on each: two alike last as one does under half the load. */
  @Test
  public void twoAlikeShareWhatLiesAcrossBoth() {
    SplittableRandom random = new SplittableRandom(5);
    for (int i = 0; i < 50; i++) {
      double watts = random.nextDouble(50, 2000);
      double held = random.nextDouble(500, 4000);
      double idle = random.nextDouble(0, 30);
      Joined both =
          Joined.of(
              day(300, steady("load", watts, NO, Leg.BOTH)), half(held, idle), half(held, idle));
      double alone =
          day(300, steady("load", watts / 2, NO, Leg.BOTH))
              .on(unit(held, idle))
              .course()
              .runsOut()
              .orElse(Double.NaN);
      assertEquals(both.runsOut().orElse(Double.NaN), alone, 1e-9);
    }
  }

  /** The output of a unit whose leg is empty of loads stays on and idles away. */
  @Test
  public void anIdleLegIdles() {
    Joined both =
        Joined.of(day(10, steady("pump", 400, NO, Leg.FIRST)), half(8000, 0), half(1000, 20));
    assertTrue(both.runsOut().isEmpty());
    // (500 + 20) W empty 1 000 Wh in 2 h, so 20 W take 20 ÷ 1 040 of it in an hour.
    assertEquals(both.legs().get(1).chargeAtEnd(), 100 * (1 - 10 * 20 / 1040.0), 1e-9);
  }

  /**
   * A dryer takes 2.9 and 2.7 kW on its legs; the first unit to be empty takes the pair with it.
   * Legs apart: common practice, no published source.
   */
  @Test
  public void theFirstToBeEmptyEndsThePair() {
    Joined both =
        Joined.of(
            day(5, steady("drum", 2900, NO, Leg.FIRST), steady("heater", 2700, NO, Leg.SECOND)),
            half(4000, 0),
            half(4000, 0));
    double end = both.runsOut().orElseThrow();
    assertEquals(end, both.legs().get(0).course().runsOut().orElseThrow(), 0);
    assertTrue(end < both.legs().get(1).course().runsOut().orElseThrow());
    assertEquals(both.legs().get(0).chargeAtEnd(), 0, 1e-9);
    assertEquals(both.legs().get(1).chargeAtEnd(), 100 * (1 - 2700.0 / 2900), 1e-9);
  }

  /** Each leg answers for what starts on it by what its own unit was seen to do. */
  @Test
  public void eachLegAnswersForItsOwnStarts() {
    Endured weak =
        new Endured(
            List.of(),
            List.of(
                new Endured.Start(1500, 20, false),
                new Endured.Start(1500, 20, false),
                new Endured.Start(1500, 20, false)));
    Joined.Half first = new Joined.Half(unit(2000, 0), weak);
    Day day =
        day(
            1,
            steady("saw", 800, 3000, Leg.FIRST),
            steady("pump", 900, 3600, Leg.SECOND),
            steady("cooker", 600, 1000, Leg.BOTH));
    Joined both = Joined.of(day, first, half(2000, 0));
    AskedOfUnit worst = both.legs().get(0).worst().orElseThrow();
    assertEquals(worst.answer().call(), Endured.Call.TRIPS);
    assertEquals(worst.of(), "saw");
    // Its start over half of what the cooker runs at.
    assertEquals(worst.amount(), 3000 + 300, 1e-9);
    assertEquals(
        both.legs().get(1).worst().orElseThrow().answer().call(),
        Endured.Call.OPEN,
        "nobody tried the second");
  }

  /** 0.6 % less for each kelvin below 20 °C: common practice, no published source. */
  @Test
  public void aColdPackGivesLess() {
    Day room = day(100, steady("heater", 500, NO, Leg.BOTH));
    double warm = room.on(unit(1000, 0)).course().runsOut().orElseThrow();
    assertEquals(cold(room, 20), warm, 1e-12);
    assertEquals(cold(room, 40), warm, 1e-12, "a warm one gives no more");
    assertEquals(cold(room, 0), 0.88 * warm, 1e-9);
    assertEquals(cold(room, -10), 0.82 * warm, 1e-9);
    RunTimeFigures figures = RunTimeFigures.of(room.at(OptionalDouble.of(-10)).on(unit(1000, 0)));
    double u95 = figures.figure("runs_out").orElseThrow().u95();
    assertTrue(u95 > 0.08 * warm && u95 < 0.1 * warm, "half of it either way: " + u95);
  }

  private static double cold(Day day, double celsius) {
    return day.at(OptionalDouble.of(celsius)).on(unit(1000, 0)).course().runsOut().orElseThrow();
  }

  /** Cold takes from what comes out, and not from what a feed puts in. */
  @Test
  public void aColdPackTakesAsMuchAsEver() {
    Day fed =
        day(2)
            .charged(10, 0)
            .fed(java.util.Optional.of(new Feed.Port(0, NO_LIMIT, NO_LIMIT, 300, mains())));
    double warm = fed.on(unit(1000, 0)).course().chargeAtEnd();
    assertEquals(fed.at(OptionalDouble.of(5)).on(unit(1000, 0)).course().chargeAtEnd(), warm, 1e-9);
  }

  private static final double NO_LIMIT = Double.POSITIVE_INFINITY;

  private static List<Feed> mains() {
    return List.of(
        new Feed.Charger(
            "charger",
            24,
            NO_LIMIT,
            NO_LIMIT,
            0.9,
            List.of(new Feed.Alternating("mains", NO_LIMIT, List.of(HourSpan.ALWAYS)))));
  }
}

package org.wiseember.core.runtime;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.HourSpan;

/** What people ask of a day beyond how long it lasts. */
public class DayQuestionsTest {
  private static final double NO = Double.NaN;
  private static final double ANY = Double.POSITIVE_INFINITY;

  /** 1 000 Wh at any load, no idle draw. */
  private static UnitSupply plain(double wattHours) {
    return new UnitSupply(
        List.of(new Usable(100, wattHours, 0)), List.of(), 0, ANY, ANY, wattHours);
  }

  private static Appliance steady(String name, double watts) {
    return new Appliance(
        name,
        new ApplianceDraw(ApplianceDraw.Use.STEADY, watts, NO, NO, NO),
        Side.AC,
        List.of(HourSpan.ALWAYS),
        List.of());
  }

  private static RunTimeCase on(UnitSupply unit, double hours, Appliance... all) {
    return new RunTimeCase(unit, new DayPlan(hours, List.of(all), false), 100, 0, Optional.empty());
  }

  @Test
  public void whatMattersLeastGoesFirst() {
    RunTimeCase asked =
        on(plain(1000), 10, steady("cool box", 50), steady("lamp", 60), steady("heater", 390));
    List<Sheds.Shed> sheds = Sheds.of(asked);
    assertEquals(sheds.size(), 2);
    assertEquals(sheds.get(0).without(), List.of("heater"));
    assertEquals(sheds.get(0).runsOut().orElseThrow(), 1000.0 / 110, 1e-9);
    assertEquals(sheds.get(1).without(), List.of("heater", "lamp"));
    assertTrue(sheds.get(1).lasts());
    assertTrue(Sheds.of(on(plain(1000), 2, steady("lamp", 60))).isEmpty(), "it lasts anyway");
  }

  /** Coffee of 150 Wh a pot: common practice, no published source. */
  @Test
  public void howManyGoes() {
    Appliance pot =
        new Appliance(
            "pot",
            new ApplianceDraw(ApplianceDraw.Use.PER_GO, NO, 150, NO, NO),
            Side.AC,
            List.of(),
            List.of(0.0, 1.0));
    RunTimeCase asked = on(plain(1000), 5, pot, steady("lamp", 20));
    GoesLeft goes = GoesLeft.of(asked, asked.course(), pot);
    assertEquals(goes.alone(), 6, "6.67 of them");
    // 1 000 less two pots and 100 Wh of light leave 600 Wh.
    assertEquals(goes.more(), 4);
    GoesLeft unsure = GoesLeft.of(asked, asked.course(), pot.sureTo(0.2));
    assertEquals(unsure.leastAlone(), 5, "180 Wh each at worst");
  }

  /** A minute of a 1 530 W microwave oven is 25.5 Wh: common practice, no published source. */
  @Test
  public void howManyMinutesOfAnOven() {
    Appliance oven =
        new Appliance(
            "oven",
            new ApplianceDraw(ApplianceDraw.Use.SHORT, 1530, NO, 1, NO),
            Side.AC,
            List.of(),
            List.of(0.0));
    RunTimeCase asked = on(plain(1000), 1, oven);
    assertEquals(GoesLeft.of(asked, asked.course(), oven).alone(), 39, "39.2 of them");
  }

  @Test
  public void howSmallAUnitWouldDo() {
    RunTimeCase asked = on(plain(1000), 10, steady("heater", 150));
    SmallestUnit least = SmallestUnit.of(asked);
    assertEquals(least.wattHours(), 1500, 1.5);
    assertEquals(least.given(), 1000, 1e-6);
    assertEquals(least.watts(), 150, 1e-9);
    assertEquals(least.startVa(), 150, 1e-9);
  }

  /** The unit found lasts the plan and one a thousandth smaller does not. */
  @Test
  public void theSmallestIsTheSmallest() {
    SplittableRandom random = new SplittableRandom(4);
    for (int i = 0; i < 50; i++) {
      UnitSupply unit =
          new UnitSupply(
              List.of(new Usable(100, 900, 9), new Usable(800, 800, 9)),
              List.of(),
              20 * random.nextDouble(),
              ANY,
              ANY,
              1000);
      Appliance[] all = new Appliance[1 + random.nextInt(4)];
      for (int k = 0; k < all.length; k++) {
        double from = 8 * random.nextDouble();
        all[k] =
            steady("a" + k, 20 + 600 * random.nextDouble())
                .at(List.of(new HourSpan(from, from + 4 * random.nextDouble())), List.of());
      }
      RunTimeCase asked = on(unit, 12, all);
      SmallestUnit least = SmallestUnit.of(asked);
      double factor = least.wattHours() / least.given();
      assertTrue(asked.on(unit.holding(factor * 1.0001)).course().runsOut().isEmpty());
      assertTrue(asked.on(unit.holding(factor * 0.999)).course().runsOut().isPresent());
    }
  }

  @Test
  public void unitsInTurnLastAsLongAsTheirEnergyTogether() {
    Day day =
        Day.empty("night", LocalTime.of(17, 0), 24)
            .adding(steady("lamp", 100))
            .adding(
                new Appliance(
                    "pot",
                    new ApplianceDraw(ApplianceDraw.Use.PER_GO, NO, 150, NO, NO),
                    Side.AC,
                    List.of(),
                    List.of(1.0, 11.0)));
    InTurn turn = InTurn.of(day, List.of(plain(1000), plain(500)));
    assertEquals(turn.ends().size(), 2);
    // 150 Wh of the first pot, then 850 Wh at 100 W; the second pot comes out of the second.
    assertEquals(turn.ends().get(0), 8.5, 1e-9);
    assertEquals(turn.runsOut().orElseThrow(), 8.5 + 3.5, 1e-9);
    // Only the first begins at the charge there happens to be: 250 Wh less the pot, then 500 Wh.
    InTurn half = InTurn.of(day.charged(40, 0), List.of(plain(1000), plain(500)));
    assertEquals(half.ends().get(0), 2.5, 1e-9);
    assertEquals(half.ends().get(1), 7.5, 1e-9);
    InTurn enough = InTurn.of(day, List.of(plain(1000), plain(5000)));
    assertTrue(enough.runsOut().isEmpty());
    assertEquals(enough.ends(), List.of(turn.ends().get(0)));
  }

  /** The band of the charge over time is that of the end, where the plan ends. */
  @Test
  public void theBandOpensTowardsTheEnd() {
    UnitSupply unit =
        new UnitSupply(
            List.of(new Usable(100, 900, 18), new Usable(500, 850, 18)),
            List.of(),
            10,
            ANY,
            ANY,
            1000);
    RunTimeFigures found = RunTimeFigures.of(on(unit, 4, steady("heater", 150)));
    RunTimeFigures.Band first = found.band().get(0);
    RunTimeFigures.Band last = found.band().get(found.band().size() - 1);
    assertEquals(first.high() - first.low(), 0, 1e-9);
    assertEquals(last.hour(), 4, 1e-9);
    var end = found.figure("charge_at_end").orElseThrow();
    assertEquals(last.charge(), end.value(), 1e-9);
    assertEquals((last.high() - last.low()) / 2, end.u95(), 1e-9);
  }
}

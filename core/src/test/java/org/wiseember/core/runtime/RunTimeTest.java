package org.wiseember.core.runtime;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.feed.Feed;

public class RunTimeTest {
  private static final double NO = Double.NaN;
  private static final double ANY = Double.POSITIVE_INFINITY;

  private static UnitSupply label(double wattHours) {
    return new UnitSupply(List.of(), List.of(), 0, ANY, ANY, wattHours);
  }

  private static Appliance steady(String name, double watts, HourSpan... on) {
    return new Appliance(
        name,
        new ApplianceDraw(ApplianceDraw.Use.STEADY, watts, NO, NO, NO),
        Side.AC,
        on.length == 0 ? List.of(HourSpan.ALWAYS) : List.of(on),
        List.of());
  }

  private static Appliance go(String name, double watts, double wattHours, Double... at) {
    return new Appliance(
        name,
        new ApplianceDraw(ApplianceDraw.Use.PER_GO, watts, wattHours, NO, NO),
        Side.AC,
        List.of(),
        List.of(at));
  }

  private static ChargeCurve course(
      UnitSupply unit, double hours, double charge, Appliance... all) {
    return new RunTimeCase(
            unit, new DayPlan(hours, List.of(all), false), charge, 0, Optional.empty())
        .course();
  }

  /** 1 500 Wh × 0.85 × 60 % = 765 Wh: common practice, no published source. */
  @Test
  public void whatIsLeftOfALabel() {
    ChargeCurve course = course(label(1500), 24, 60, steady("heater", 100));
    assertEquals(course.runsOut().orElseThrow() * 100, 765, 1e-9);
    assertEquals(course.delivered(), 765, 1e-9);
  }

  /**
   * 1 000 Wh × 0.85 × 75 % = 637.5 Wh, less 500 drawn leaves 137.5 where the label has one believe
   * 250: common practice, no published source.
   */
  @Test
  public void whatIsLeftAfterSomeWasDrawn() {
    ChargeCurve course = course(label(1000), 24, 75, steady("heater", 500, new HourSpan(0, 1)));
    assertEquals(course.chargeAtEnd() / 100 * 850, 137.5, 1e-9);
    ChargeCurve on = course(label(1000), 24, 75, steady("heater", 500));
    assertEquals(on.runsOut().orElseThrow(), 637.5 / 500, 1e-9);
    assertEquals(on.runsOutByLabel().orElseThrow(), 750.0 / 500, 1e-9);
  }

  /** A microwave of 1 530 W takes 25.5 Wh a minute: common practice, no published source. */
  @Test
  public void aShortUse() {
    Appliance oven =
        new Appliance(
            "oven",
            new ApplianceDraw(ApplianceDraw.Use.SHORT, 1530, NO, 1, NO),
            Side.AC,
            List.of(),
            List.of(2.0));
    assertEquals(course(label(1000), 5, 100, oven).delivered(), 25.5, 1e-9);
  }

  /** A pump of 2.7 kW for 15 s takes 11 Wh: common practice, no published source. */
  @Test
  public void aShortRunOfALargeMotorIsNotLost() {
    Appliance pump =
        new Appliance(
            "pump",
            new ApplianceDraw(ApplianceDraw.Use.SHORT, 2700, NO, 0.25, NO),
            Side.AC,
            List.of(),
            List.of(1.0, 2.0, 3.0));
    assertEquals(course(label(1000), 24, 100, pump).delivered(), 3 * 11.25, 1e-9);
  }

  /** By the share each drain took: at its own load a drain comes out as it was. */
  @Test
  public void aDrainIsForetoldByItself() {
    List<Usable> drains = List.of(new Usable(592, 904, 4), new Usable(1048, 887, 4));
    UnitSupply unit = new UnitSupply(drains, List.of(), 13.2, ANY, ANY, 1075);
    for (Usable d : drains) {
      ChargeCurve course = course(unit, 24, 100, steady("load", d.watts()));
      assertEquals(course.delivered(), d.wattHours(), 0.001 * d.wattHours());
    }
    // One drain alone: the idle draw takes more of a long evening.
    UnitSupply one =
        new UnitSupply(List.of(new Usable(592, 904, 4)), List.of(), 13.2, ANY, ANY, 1075);
    assertEquals(course(one, 24, 100, steady("load", 592)).delivered(), 904, 1e-9);
    double full = 904 * (592 + 13.2) / 592;
    assertEquals(
        course(one, 48, 100, steady("lamp", 50)).delivered(), full * 50 / (50 + 13.2), 1e-9);
    // Nothing hangs on the outlet, and nobody left it on.
    assertTrue(course(one, 300, 100).runsOut().isEmpty());
    ChargeCurve left =
        new RunTimeCase(one, new DayPlan(300, List.of(), true), 100, 0, Optional.empty()).course();
    assertEquals(left.runsOut().orElseThrow(), full / 13.2, 1e-9);
  }

  /** Losses that would shrink with the load are taken as none that grow. */
  @Test
  public void noCurveBendsTheWrongWay() {
    UnitSupply unit =
        new UnitSupply(
            List.of(new Usable(300, 850, 4), new Usable(900, 900, 4)), List.of(), 10, ANY, ANY, NO);
    EnergyCurve curve = EnergyCurve.of(unit);
    assertEquals(curve.growing(), 0.0);
    assertTrue(curve.capacity() > 850 && curve.capacity() < 930, "" + curve);
    // Two at one load say nothing of losses that grow.
    UnitSupply same =
        new UnitSupply(
            List.of(new Usable(500, 850, 4), new Usable(500, 860, 4)), List.of(), 10, ANY, ANY, NO);
    assertEquals(EnergyCurve.of(same).growing(), 0.0);
  }

  @Test
  public void theDirectSideHasItsOwnEnergy() {
    Appliance till =
        new Appliance(
            "till",
            new ApplianceDraw(ApplianceDraw.Use.STEADY, 20, NO, NO, NO),
            Side.DC,
            List.of(HourSpan.ALWAYS),
            List.of());
    UnitSupply measured =
        new UnitSupply(
            List.of(new Usable(592, 904, 4)),
            List.of(new Usable(108, 917, 1), new Usable(60, 930, 1)),
            13.2,
            ANY,
            ANY,
            NO);
    // No inverter, no idle of one; the lowest load is nearest to what hangs on a port.
    assertEquals(course(measured, 100, 100, till).delivered(), 930, 1e-9);
    assertEquals(course(label(1000), 100, 100, till).delivered(), 850 / 0.9, 1e-9);
  }

  @Test
  public void startsAndOverloads() {
    UnitSupply unit = new UnitSupply(List.of(), List.of(), 0, 1000, 2500, 5000);
    Appliance box =
        new Appliance(
            "cool box",
            new ApplianceDraw(ApplianceDraw.Use.CYCLING, 60, 20, NO, 1500),
            Side.AC,
            List.of(new HourSpan(0, 10)),
            List.of());
    Appliance shaver =
        new Appliance(
            "shaver",
            new ApplianceDraw(ApplianceDraw.Use.PER_GO, 400, 20, NO, 2300),
            Side.AC,
            List.of(),
            List.of(1.0));
    ChargeCurve calm = course(unit, 12, 100, box, shaver);
    assertEquals(calm.hardest().orElseThrow().va(), 2360, 1e-9);
    assertTrue(calm.overload().isEmpty());
    // The cool box may start whenever it is due: what comes on last is to blame.
    ChargeCurve kettle =
        course(unit, 12, 100, box, steady("kettle", 980, new HourSpan(3, 4)), shaver);
    assertEquals(kettle.overload().orElseThrow(), new ChargeCurve.Overload(3, "kettle"));
    assertEquals(kettle.hardest().orElseThrow().va(), 2480, 1e-9);
    // Half open: what ends as another begins is not on with it.
    ChargeCurve after =
        course(
            unit,
            12,
            100,
            steady("a", 600, new HourSpan(0, 1)),
            steady("b", 600, new HourSpan(1, 2)));
    assertTrue(after.overload().isEmpty());
    ChargeCurve together =
        course(
            unit,
            12,
            100,
            steady("a", 600, new HourSpan(0, 1)),
            steady("b", 600, new HourSpan(0, 2)));
    assertEquals(together.overload().orElseThrow(), new ChargeCurve.Overload(0, "b"));
    // Windows that touch are one: no second start.
    assertEquals(
        steady("lamp", 5, new HourSpan(0, 1), new HourSpan(1, 3)).due(),
        List.of(new HourSpan(0, 3)));
  }

  @Test
  public void aGoWithoutWattsTakesItsEnergyAtOnce() {
    ChargeCurve course = course(label(100), 5, 100, go("pot of coffee", NO, 60, 1.0, 2.0));
    assertEquals(course.runsOut().orElseThrow(), 2.0, 1e-12);
    assertEquals(course.delivered(), 85, 1e-9);
    assertEquals(course.chargeAtEnd(), 0.0);
  }

  /** Random days against a sum in steps of a fifth of a second, made without any of this. */
  @Test
  public void randomDaysAgreeWithAFineStepSum() {
    SplittableRandom random = new SplittableRandom(18);
    for (int day = 0; day < 60; day++) {
      double hours = 4 + 20 * random.nextDouble();
      List<Appliance> all = new ArrayList<>();
      for (int i = 0; i < 1 + random.nextInt(6); i++) {
        double from = hours * random.nextDouble();
        HourSpan on = new HourSpan(from, from + 6 * random.nextDouble());
        Side side = random.nextInt(3) == 0 ? Side.DC : Side.AC;
        all.add(
            switch (random.nextInt(3)) {
              case 0 ->
                  new Appliance(
                      "s" + i,
                      new ApplianceDraw(
                          ApplianceDraw.Use.STEADY, 20 + 300 * random.nextDouble(), NO, NO, NO),
                      side,
                      List.of(on),
                      List.of());
              case 1 ->
                  new Appliance(
                      "c" + i,
                      new ApplianceDraw(
                          ApplianceDraw.Use.CYCLING, 300, 100 * random.nextDouble(), NO, NO),
                      side,
                      List.of(on),
                      List.of());
              default ->
                  new Appliance(
                      "u" + i,
                      new ApplianceDraw(
                          ApplianceDraw.Use.SHORT, 900, NO, 20 * random.nextDouble() + 1, NO),
                      side,
                      List.of(),
                      List.of(from));
            });
      }
      double energy = 300 + 900 * random.nextDouble();
      UnitSupply unit =
          new UnitSupply(
              List.of(new Usable(150, energy, 4), new Usable(700, 0.93 * energy, 4)),
              day % 2 == 0 ? List.of() : List.of(new Usable(60, 1.05 * energy, 4)),
              12,
              ANY,
              ANY,
              NO);
      double in = day % 3 == 0 ? 40 + 60 * random.nextDouble() : 0;
      Optional<Feed.Root> feed =
          in == 0
              ? Optional.empty()
              : Optional.of(
                  new Feed.Port(
                      0,
                      100,
                      ANY,
                      ANY,
                      List.of(
                          new Feed.Panels(
                              List.of(new Feed.Giving(new HourSpan(0, hours / 2), in)), 20, 24))));
      ChargeCurve course =
          new RunTimeCase(unit, new DayPlan(hours, all, day % 5 == 0), 90, 5, feed).course();
      double[] summed = fineSteps(unit, all, hours, day % 5 == 0, 0.9, 0.05, in);
      double runsOut = course.runsOut().orElse(Double.POSITIVE_INFINITY);
      assertEquals(
          Double.isInfinite(runsOut), Double.isInfinite(summed[0]), "day " + day + " " + course);
      if (!Double.isInfinite(runsOut)) {
        assertEquals(runsOut, summed[0], 0.002 * summed[0] + 1e-3, "day " + day);
      }
      assertEquals(course.delivered(), summed[1], 0.002 * summed[1] + 1e-3, "day " + day);
      assertEquals(course.chargeAtEnd(), 100 * summed[2], 0.2, "day " + day);
    }
  }

  /** The contract's own words, in steps: hours until empty, Wh delivered, charge at the end. */
  private static double[] fineSteps(
      UnitSupply unit,
      List<Appliance> all,
      double hours,
      boolean acOn,
      double charge,
      double reserve,
      double in) {
    // Two points, two unknowns: P ÷ E = (P + idle) ÷ C + c·P².
    Usable a = unit.usable().get(0);
    Usable b = unit.usable().get(1);
    double ya = a.watts() / a.wattHours();
    double yb = b.watts() / b.wattHours();
    double xa = a.watts() + unit.idleWatts();
    double xb = b.watts() + unit.idleWatts();
    double qa = a.watts() * a.watts();
    double qb = b.watts() * b.watts();
    double c = (ya * xb - yb * xa) / (qa * xb - qb * xa);
    double inverse = (ya - c * qa) / xa;
    double direct =
        unit.directUsable().isEmpty() ? 0.9 * inverse : 1 / unit.directUsable().get(0).wattHours();
    double dt = 1 / 18_000.0;
    double delivered = 0;
    for (double t = dt / 2; t < hours; t += dt) {
      double ac = 0;
      double dc = 0;
      boolean due = acOn;
      for (Appliance x : all) {
        double from =
            x.draw().use() == ApplianceDraw.Use.SHORT ? x.at().get(0) : x.on().get(0).from();
        double to =
            x.draw().use() == ApplianceDraw.Use.SHORT
                ? from + x.draw().minutes() / 60
                : x.on().get(0).to();
        if (t >= from && t < to) {
          double watts =
              x.draw().use() == ApplianceDraw.Use.CYCLING ? x.draw().wattHours() : x.draw().watts();
          ac += x.side() == Side.AC ? watts : 0;
          dc += x.side() == Side.DC ? watts : 0;
          due |= x.side() == Side.AC;
        }
      }
      double rate = (ac + (due ? unit.idleWatts() : 0)) * inverse + c * ac * ac + dc * direct;
      double fed = t < hours / 2 ? in * direct : 0;
      charge = Math.min(1, charge - (rate - fed) * dt);
      delivered += (ac + dc) * dt;
      if (charge <= reserve) {
        return new double[] {t, delivered, reserve};
      }
    }
    return new double[] {Double.POSITIVE_INFINITY, delivered, charge};
  }

  @Test
  public void howSureFollowsFromTheDrains() {
    UnitSupply unit =
        new UnitSupply(List.of(new Usable(592, 904, 9.04)), List.of(), 13.2, ANY, ANY, 1075);
    RunTimeCase asked =
        new RunTimeCase(
            unit, new DayPlan(24, List.of(steady("load", 592)), false), 100, 0, Optional.empty());
    Figure end = RunTimeFigures.of(asked).figure("runs_out").orElseThrow();
    assertEquals(end.u95() / end.value(), 0.01, 1e-6);
    // Away from its load one drain says less: nobody saw how the losses grow.
    DayPlan heavy = new DayPlan(24, List.of(steady("load", 1150)), false);
    RunTimeCase away = new RunTimeCase(unit, heavy, 100, 0, Optional.empty());
    Figure sooner = RunTimeFigures.of(away).figure("runs_out").orElseThrow();
    assertTrue(sooner.u95() / sooner.value() > 0.03, sooner.words());
    RunTimeCase guess = asked.on(label(1075));
    Figure guessed = RunTimeFigures.of(guess).figure("runs_out").orElseThrow();
    assertEquals(guessed.u95() / guessed.value(), 0.95 * 10 / 85, 2e-3);
    assertFalse(RunTimeFigures.warnings(guess, guess.course()).isEmpty());
  }

  /** Watts that are sure to 2 % move the end by 2 %, all of them the same way. */
  @Test
  public void howSureFollowsFromTheAppliancesToo() {
    UnitSupply unit = new UnitSupply(List.of(), List.of(), 0, ANY, ANY, 1000);
    UnitSupply drained =
        new UnitSupply(List.of(new Usable(300, 850, NO)), List.of(), 0, ANY, ANY, NO);
    List<Appliance> all = List.of(steady("a", 200).sureTo(0.02), steady("b", 100).sureTo(0.02));
    RunTimeCase asked =
        new RunTimeCase(drained, new DayPlan(24, all, false), 100, 0, Optional.empty());
    Figure end = RunTimeFigures.of(asked).figure("runs_out").orElseThrow();
    assertEquals(end.u95() / end.value(), 0.02, 1e-4);
    Figure guessed = RunTimeFigures.of(asked.on(unit)).figure("runs_out").orElseThrow();
    assertTrue(guessed.u95() > end.u95());
  }
}

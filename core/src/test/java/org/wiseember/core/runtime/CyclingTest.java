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
import org.wiseember.core.uncertainty.Contribution;

/** What a load that switches itself on and off leaves open of a plan. */
public class CyclingTest {
  private static final double UNKNOWN = Double.NaN;

  private static Appliance coldBox(double watts, double wattHours, HourSpan... on) {
    return new Appliance(
        "cold box",
        new ApplianceDraw(ApplianceDraw.Use.CYCLING, watts, wattHours, UNKNOWN, UNKNOWN),
        Side.AC,
        List.of(on),
        List.of());
  }

  /** Loses nothing, holds 1 000 Wh. */
  private static UnitSupply lossless() {
    return new UnitSupply(
        List.of(new Usable(100, 1000, 0), new Usable(400, 1000, 0)),
        List.of(),
        0,
        5000,
        9000,
        UNKNOWN);
  }

  private static RunTimeCase asked(UnitSupply unit, double hours, Appliance... appliances) {
    return new RunTimeCase(
        unit, new DayPlan(hours, List.of(appliances), false), 100, 0, Optional.empty());
  }

  /**
   * By hand: 50 Wh an hour in runs of 150 W is a third of the time, so from the start to the first
   * run it may be 40 min, or it runs 20 min at once: 33⅓ Wh either way, and 40 min at its mean.
   */
  @Test
  public void aRunMoreOrLessIsAMatterOfItsPhase() {
    RunTimeCase day = asked(lossless(), 40, coldBox(150, 50, HourSpan.ALWAYS));
    assertEquals(
        day.planning(Cycling.resting(day.plan())).course().runsOut().orElseThrow(),
        20 + 2 / 3.0,
        1e-9);
    assertEquals(
        day.planning(Cycling.running(day.plan())).course().runsOut().orElseThrow(),
        20 - 2 / 3.0,
        1e-9);
    Figure end = RunTimeFigures.of(day).figure("runs_out").orElseThrow();
    assertEquals(end.value(), 20, 1e-9);
    // Limits of 2/3 h and nothing else: 95 % of a rectangle lie within 95 % of its half width.
    assertEquals(end.u95(), 0.95 * 2 / 3, 1e-6);
    assertEquals(
        end.because().budget().contributions().stream().map(Contribution::name).toList(),
        List.of("When what cycles happens to run"));
  }

  /** In ten minutes it takes nothing, or ten minutes of its running watts, and no more. */
  @Test
  public void aShortPlanHoldsNoMoreThanAPartOfARun() {
    RunTimeCase day = asked(lossless(), 1 / 6.0, coldBox(150, 50, HourSpan.ALWAYS));
    assertEquals(day.planning(Cycling.resting(day.plan())).course().chargeAtEnd(), 100, 1e-9);
    assertEquals(day.planning(Cycling.running(day.plan())).course().chargeAtEnd(), 100 - 2.5, 1e-9);
  }

  /** Two that cycle each in their own way rarely swing together: root of the squares. */
  @Test
  public void swingsAddByTheirSquares() {
    RunTimeCase both =
        asked(lossless(), 9, coldBox(150, 50, HourSpan.ALWAYS), coldBox(150, 50, HourSpan.ALWAYS));
    double late = both.planning(Cycling.resting(both.plan())).course().chargeAtEnd();
    assertEquals(late - both.course().chargeAtEnd(), 100 * Math.sqrt(2) * (100 / 3.0) / 1000, 1e-9);
    RunTimeCase twice =
        asked(lossless(), 9, coldBox(150, 50, new HourSpan(0, 3), new HourSpan(5, 8)));
    double again = twice.planning(Cycling.resting(twice.plan())).course().chargeAtEnd();
    assertEquals(
        again - twice.course().chargeAtEnd(), 100 * Math.sqrt(2) * (100 / 3.0) / 1000, 1e-9);
    double first = twice.planning(Cycling.resting(twice.plan())).course().chargeAt(4);
    assertEquals(first - twice.course().chargeAt(4), 100 / 3.0 / 10, 1e-9);
  }

  /** Against the curve itself, asked for run and rest one by one over whole cycles. */
  @Test
  public void lossesAtRunningWattsAreThoseOfTheCurve() {
    SplittableRandom random = new SplittableRandom(11);
    for (int i = 0; i < 200; i++) {
      EnergyCurve curve =
          new EnergyCurve(1000, 1e-7 * (1 + random.nextDouble()), 8, 1.1e-3, 1.1e-3);
      double base = 400 * random.nextDouble();
      List<double[]> states = new ArrayList<>(List.of(new double[] {1, base}));
      DayPlan plan =
          new DayPlan(
              1,
              List.of(
                  new Appliance(
                      "lamps",
                      new ApplianceDraw(ApplianceDraw.Use.STEADY, base, UNKNOWN, UNKNOWN, UNKNOWN),
                      Side.AC,
                      List.of(HourSpan.ALWAYS),
                      List.of())),
              false);
      List<Appliance> all = new ArrayList<>(plan.appliances());
      for (int k = 0; k < 1 + i % 3; k++) {
        double watts = 50 + 500 * random.nextDouble();
        double duty = 0.1 + 0.8 * random.nextDouble();
        all.add(coldBox(watts, watts * duty, HourSpan.ALWAYS));
        List<double[]> next = new ArrayList<>();
        for (double[] s : states) {
          next.add(new double[] {s[0] * duty, s[1] + watts});
          next.add(new double[] {s[0] * (1 - duty), s[1]});
        }
        states = next;
      }
      double truth =
          states.stream().mapToDouble(s -> s[0] * curve.shareAnHour(s[1], true, 0)).sum();
      Agenda.Span span = new Agenda(plan.with(all).uneven(1)).spans(List.of()).get(0);
      assertEquals(
          curve.shareAnHour(span.ac(), true, 0) + curve.growing() * span.uneven(),
          truth,
          1e-12 + 1e-9 * truth);
    }
  }

  /**
   * Where nobody saw its running watts a third of the time is taken; one that never rests is
   * steady.
   */
  @Test
  public void unknownRunningWattsAreTakenForThreeTimesTheMean() {
    Appliance unseen = coldBox(UNKNOWN, 50, HourSpan.ALWAYS);
    assertEquals(Cycling.uneven(unseen.draw()), 50 * 150 - 50 * 50, 1e-9);
    assertTrue(Cycling.in(new DayPlan(5, List.of(unseen), false)));
    assertFalse(Cycling.in(new DayPlan(5, List.of(coldBox(50, 50, HourSpan.ALWAYS)), false)));
  }
}

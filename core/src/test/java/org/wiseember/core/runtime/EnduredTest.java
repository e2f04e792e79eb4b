package org.wiseember.core.runtime;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Endured.Call;
import org.wiseember.core.runtime.Endured.Load;
import org.wiseember.core.runtime.Endured.Start;

public class EnduredTest {
  private static final double NO = Double.NaN;

  private static Endured loads(Load... loads) {
    return new Endured(List.of(loads), List.of());
  }

  private static Endured starts(Start... starts) {
    return new Endured(List.of(), List.of(starts));
  }

  @Test
  public void aHeavierLoadThatWasHeldSettlesALighterOne() {
    Endured held = loads(new Load(1200, 10, 700, false));
    assertEquals(held.running(1180, 50_000).call(), Call.HOLDS);
    assertEquals(held.running(1195, 60).call(), Call.OPEN, "within the meter's doubt");
    assertEquals(held.running(1300, 60).call(), Call.OPEN);
  }

  @Test
  public void aShortHoldSettlesNothingLonger() {
    Endured held = loads(new Load(1500, 10, 60, false));
    assertEquals(held.running(1400, 50).call(), Call.HOLDS);
    assertEquals(held.running(1400, 3600).call(), Call.OPEN);
  }

  /** Eleven minutes to the trip are eleven minutes held, and no more. */
  @Test
  public void aTripIsAHoldUpToIt() {
    Endured tripped = loads(new Load(1500, 10, 660, true));
    assertEquals(tripped.running(1400, 600).call(), Call.HOLDS);
    assertEquals(tripped.running(1400, 3600).call(), Call.OPEN);
    assertEquals(tripped.running(1600, 3600).call(), Call.TRIPS);
    assertEquals(tripped.running(1600, 300).call(), Call.OPEN);
  }

  @Test
  public void triesThatDoNotAgreeSettleNothing() {
    Endured both = loads(new Load(1500, 10, 700, false), new Load(1200, 10, 30, true));
    assertEquals(both.running(1300, 600).call(), Call.OPEN);
    assertTrue(both.running(1300, 600).reason().contains("do not agree"));
  }

  @Test
  public void oneStartAloneShowsNoneLikeIt() {
    assertEquals(starts(new Start(2000, 40, true)).starting(1880, 0.02).call(), Call.OPEN);
    assertEquals(starts(new Start(2300, 40, true)).starting(1880, 0.02).call(), Call.HOLDS);
    Start again = new Start(2000, 40, true);
    assertEquals(starts(again, again, again).starting(1880, 0.02).call(), Call.HOLDS);
    assertEquals(
        starts(again, again, again, new Start(1900, 40, false)).starting(1880, 0.02).call(),
        Call.OPEN,
        "one failed at less");
  }

  @Test
  public void aGentlerStartThatFailedSettlesAHarderOne() {
    assertEquals(starts(new Start(2000, 40, false)).starting(2500, 0.05).call(), Call.TRIPS);
    assertEquals(starts(new Start(2000, 40, false)).starting(2100, 0.05).call(), Call.OPEN);
    assertEquals(Endured.NOTHING.starting(100, 0).call(), Call.OPEN);
  }

  /**
   * A unit whose limit wanders from start to start by a twentieth, tried a few times, then asked
   * for something else: of the starts called sure 95 in 100 come out so.
   */
  @Test
  public void whatIsCalledSureComesOutSo() {
    SplittableRandom random = new SplittableRandom(18);
    int sure = 0;
    int right = 0;
    for (int unit = 0; unit < 4000; unit++) {
      double limit = 1000 + 3000 * random.nextDouble();
      double meter = 1 + 0.02 * (2 * random.nextDouble() - 1);
      List<Start> tried = new ArrayList<>();
      for (int i = 0; i < 1 + random.nextInt(6); i++) {
        double va = 600 + 4400 * random.nextDouble();
        int times = 1 + random.nextInt(4);
        for (int k = 0; k < times; k++) {
          tried.add(new Start(va * meter, 0.02 * va, va < wandering(limit, random)));
        }
      }
      double asked = 600 + 4400 * random.nextDouble();
      double read = asked * (1 + 0.05 * (2 * random.nextDouble() - 1));
      Call call = new Endured(List.of(), tried).starting(read, 0.05).call();
      if (call != Call.OPEN) {
        sure++;
        right += asked < wandering(limit, random) == (call == Call.HOLDS) ? 1 : 0;
      }
    }
    assertTrue(sure > 1000, "called sure: " + sure);
    assertTrue(right >= 0.95 * sure, right + " of " + sure);
  }

  private static double wandering(double limit, SplittableRandom random) {
    return limit * (1 + 0.05 * random.nextGaussian());
  }

  /** 534 W on, an ice shaver of 410 W that asks 2 400 VA: 2 400 + 534 - 0 others. */
  @Test
  public void aStartComesOverWhatRuns() {
    Appliance kettle = steady("kettle", 480, new HourSpan(0, 5));
    Appliance lamps = steady("lamps", 54, new HourSpan(0, 5));
    Appliance shaver =
        new Appliance(
            "shaver",
            new ApplianceDraw(ApplianceDraw.Use.SHORT, 410, NO, 6, 2400),
            Side.AC,
            List.of(),
            List.of(1.0, 6.0));
    List<AskedOfUnit> asked =
        AskedOfUnit.of(new DayPlan(8, List.of(kettle, lamps, shaver), false), Endured.NOTHING);
    assertEquals(asked.size(), 2);
    assertEquals(asked.get(0).amount(), 2934, 1e-9);
    assertEquals(asked.get(0).hour(), 1.0, 1e-9);
    assertEquals(asked.get(0).running(), 534, 1e-9);
    assertEquals(asked.get(1).amount(), 944, 1e-9);
    assertEquals(asked.get(1).of(), "shaver");
  }

  /** What trips it comes before what is only heavier and open. */
  @Test
  public void whatTripsItIsNamedFirst() {
    Endured seen = loads(new Load(900, 5, 700, false), new Load(1000, 5, 20, true));
    Appliance base = steady("base", 1100, new HourSpan(0, 1));
    Appliance brief = steady("brief", 5000, new HourSpan(2, 2.001));
    List<AskedOfUnit> asked = AskedOfUnit.of(new DayPlan(8, List.of(base, brief), false), seen);
    assertEquals(asked.size(), 1);
    assertEquals(asked.get(0).of(), "base");
    assertEquals(asked.get(0).answer().call(), Call.TRIPS);
  }

  private static Appliance steady(String name, double watts, HourSpan on) {
    return new Appliance(
        name,
        new ApplianceDraw(ApplianceDraw.Use.STEADY, watts, NO, NO, NO),
        Side.AC,
        List.of(on),
        List.of());
  }
}

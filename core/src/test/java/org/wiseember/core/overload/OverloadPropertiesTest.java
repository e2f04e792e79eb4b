package org.wiseember.core.overload;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;

/** What holds for any ladder, whatever the loads, the pace and the rests. */
public class OverloadPropertiesTest {
  private static final MeterClass METER = MeterClass.ofReading(0.5, 0, 0);

  /** Every hold is found, ends as it did, and its time lies within its own limits. */
  @Test
  public void everyHoldIsFoundWithinItsLimits() {
    SplittableRandom random = new SplittableRandom(61);
    for (int k = 0; k < Thorough.tries(40, 120); k++) {
      double rated = 300 + 2500 * random.nextDouble();
      double pace = new double[] {0.5, 1, 2, 5}[random.nextInt(4)];
      TripCurve truth = new TripCurve(1.08 * rated, 40 + 100 * random.nextDouble());
      OverloadLog log = new OverloadLog(truth, pace, 1, k);
      List<Double> held = new ArrayList<>();
      List<Boolean> tripped = new ArrayList<>();
      double base = 0.5 * rated;
      for (int i = 0; i < 3; i++) {
        log.rest(100 + 400 * random.nextDouble());
        log.hold(base, 60);
        double most = 60 + 200 * random.nextDouble();
        double time = log.hold((1.15 + 0.3 * i) * rated, most);
        held.add(time);
        tripped.add(time < most);
      }
      log.rest(100);
      List<Hold> holds =
          OverloadLadder.of(log.trace(true), OverloadMethod.measuredWith(rated, METER))
              .holds()
              .stream()
              .filter(h -> h.watts() > rated)
              .toList();
      assertEquals(holds.size(), 3, "ladder " + k);
      for (int i = 0; i < 3; i++) {
        Hold h = holds.get(i);
        assertEquals(h.tripped(), (boolean) tripped.get(i), "ladder " + k + ", load " + i);
        assertEquals(h.seconds(), held.get(i), h.halfWidth() + 1e-6, "ladder " + k);
        assertTrue(h.halfWidth() <= 1.01 * pace);
        assertEquals(h.before(), base, 0.01 * base);
      }
    }
  }

  /**
   * More watts trip sooner, a warmer start trips sooner, and the watts for a time are its inverse.
   */
  @Test
  public void theCurveIsMonotone() {
    SplittableRandom random = new SplittableRandom(62);
    for (int k = 0; k < 500; k++) {
      TripCurve c = new TripCurve(500 + 1500 * random.nextDouble(), 5 + 300 * random.nextDouble());
      double p = c.pickUp() * (1.02 + random.nextDouble());
      double before = 0.8 * c.pickUp() * random.nextDouble();
      double t = c.tripSeconds(p, before);
      assertTrue(c.tripSeconds(p * 1.05, before) < t);
      assertTrue(c.tripSeconds(p, before * 1.05 + 1) <= t);
      assertEquals(c.wattsFor(t, before), p, 1e-6 * p);
    }
  }

  /** The history of a trace, cut coarsely far back, gives the image of its readings. */
  @Test
  public void aCoarseHistoryIsGoodEnough() {
    SplittableRandom random = new SplittableRandom(63);
    for (int k = 0; k < 60; k++) {
      double constant = 20 + 300 * random.nextDouble();
      OverloadLog log = new OverloadLog(new TripCurve(1e6, constant), 1, 1, k);
      double image = 0;
      for (int i = 0; i < 6; i++) {
        double watts = 1500 * random.nextDouble();
        double time = 20 + 300 * random.nextDouble();
        log.hold(watts, time);
        image += (watts * watts - image) * -Math.expm1(-time / constant);
      }
      var power = log.trace(true).series(Channel.AC_POWER);
      double end = power.seconds(power.size() - 1);
      double seen = LoadHistory.upTo(power, end).image(constant);
      assertEquals(seen, image, 0.02 * 1500 * 1500 + 0.03 * image, "history " + k);
    }
  }
}

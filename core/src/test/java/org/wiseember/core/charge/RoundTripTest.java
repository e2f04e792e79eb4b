package org.wiseember.core.charge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/** Energy out over energy in: only between the same two states, and as sure as both. */
public class RoundTripTest {
  /** So many W for so many s, then nothing for two minutes. */
  private static ChargeFinding charge(double watts, int seconds, boolean endSeen, double accuracy) {
    int n = endSeen ? seconds + 120 : seconds;
    double[] t = new double[n];
    double[] p = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = i;
      p[i] = i < seconds ? watts : 0;
    }
    return ChargeProfile.of(
        new Trace(t, Map.of(Channel.IN_POWER, p)),
        Optional.of(MeterClass.ofReading(accuracy, 0, 0)));
  }

  private static Figure out(double wattHours, double u95) {
    return Figure.of(
        "usable_ac_energy",
        "AC energy",
        wattHours,
        Unit.WATT_HOUR,
        Because.of(Budget.of(Contribution.of95("Meter", u95))));
  }

  /** Worked by hand: 921 Wh out of 1 080 Wh in are 85.3 %. */
  @Test
  public void theShareIsOutOverIn() {
    ChargeFinding in = charge(1080, 3600, true, 0.5);
    Figure trip = RoundTrip.of(out(921, 5), 4, in, OptionalDouble.of(2)).orElseThrow();
    assertEquals(trip.value(), 100 * 921 / in.energyIn().orElseThrow().value(), 1e-9);
    assertEquals(trip.value(), 85.3, 0.1);
    assertEquals(trip.unit(), Unit.PERCENT);
    assertEquals(trip.because().madeFrom().get(1).runId(), 4);
  }

  /** JCGM 101: drawn from both intervals, 95 of 100 quotients lie within U. */
  @Test
  public void itsUncertaintyHoldsTheDrawnQuotients() {
    ChargeFinding in = charge(700, 5000, true, 2);
    Figure energyIn = in.energyIn().orElseThrow();
    Figure energyOut = out(800, 12);
    Figure trip = RoundTrip.of(energyOut, 1, in, OptionalDouble.of(0)).orElseThrow();
    SplittableRandom random = new SplittableRandom(81);
    int inside = 0;
    int draws = 20_000;
    for (int i = 0; i < draws; i++) {
      double top = energyOut.value() + energyOut.u95() / 1.96 * random.nextGaussian();
      double bottom = energyIn.value() + energyIn.u95() / 0.95 * (2 * random.nextDouble() - 1);
      inside += Math.abs(100 * top / bottom - trip.value()) <= trip.u95() ? 1 : 0;
    }
    double share = (double) inside / draws;
    assertTrue(share > 0.93 && share < 0.99, "share " + share);
  }

  /** From 60 % on the display less goes in than a whole charge takes: 191 % would be nonsense. */
  @Test
  public void aChargeThatBeganHalfFullMakesNone() {
    ChargeFinding half = charge(400, 3600, true, 1);
    assertTrue(RoundTrip.of(out(764, 4), 1, half, OptionalDouble.of(60)).isEmpty());
    Figure unknown = RoundTrip.of(out(340, 4), 1, half, OptionalDouble.empty()).orElseThrow();
    assertEquals(unknown.bound(), Bound.AT_MOST, "nobody knows where it began");
  }

  /** A charge nobody saw end has taken in at least so much, which makes no round trip. */
  @Test
  public void aChargeThatWasCutShortMakesNone() {
    ChargeFinding cut = charge(700, 5000, false, 1);
    assertEquals(cut.energyIn().orElseThrow().bound(), Bound.AT_LEAST);
    assertTrue(RoundTrip.of(out(800, 4), 1, cut, OptionalDouble.of(0)).isEmpty());
    assertTrue(cut.timeToFull().isEmpty() && cut.timeTo80().isEmpty());
  }
}

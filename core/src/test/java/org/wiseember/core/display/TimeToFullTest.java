package org.wiseember.core.display;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.testng.annotations.Test;
import org.wiseember.core.charge.ChargeProfile;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** Displays that tell the truth, forget the taper, or are not read. */
public class TimeToFullTest {
  private static Optional<TimeToFull> shown(DoubleUnaryOperator minutes) {
    int n = 1500;
    double[] t = new double[n];
    double[] watts = new double[n];
    double[] display = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = 5 * i;
      watts[i] = t[i] < 6000 ? 500 : 0;
      display[i] = minutes.applyAsDouble(t[i]);
    }
    Trace trace = new Trace(t, Map.of(Channel.IN_POWER, watts, Channel.DISPLAY_TIME, display));
    return TimeToFull.of(trace, ChargeProfile.of(trace, Optional.empty()));
  }

  @Test
  public void anHonestDisplay() {
    TimeToFull honest = shown(t -> Math.rint((6000 - t) / 60)).orElseThrow();
    assertEquals(honest.moments().size(), 5);
    assertTrue(Math.abs(honest.worst().error()) <= 1, "" + honest.worst());
    assertTrue(honest.words().contains("was right within"), honest.words());
  }

  @Test
  public void oneThatPromisesTooMuch() {
    TimeToFull hopeful = shown(t -> Math.rint(0.7 * (6000 - t) / 60)).orElseThrow();
    assertEquals(hopeful.worst().took(), 98, 1);
    assertEquals(hopeful.worst().shown(), 69, 1);
    assertTrue(
        hopeful.words().contains("full in 1 h 9 min when it still took 1 h 38 min"),
        hopeful.words());
  }

  @Test
  public void oneThatNobodyRead() {
    assertTrue(shown(t -> Double.NaN).isEmpty());
  }
}

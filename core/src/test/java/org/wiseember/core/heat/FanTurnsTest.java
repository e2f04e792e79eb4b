package org.wiseember.core.heat;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import org.wiseember.core.trace.Series;

public class FanTurnsTest {
  private static Series series(double... pairs) {
    double[] seconds = new double[pairs.length / 2];
    double[] values = new double[pairs.length / 2];
    for (int i = 0; i < seconds.length; i++) {
      seconds[i] = pairs[2 * i];
      values[i] = pairs[2 * i + 1];
    }
    return Series.of(seconds, values);
  }

  /** A fan that starts above 100 W in; common practice, no published source. */
  @Test
  public void onAndOff() {
    Series watts = series(0, 60, 300, 112, 3000, 80);
    assertEquals(
        FanTurns.words(series(0, 0, 300, 1, 3010, 0), watts, "in").orElseThrow(),
        "The fan was on at 112 W, was off at 80 W in.");
  }

  /** Without watts near, or without a turn, nothing is said of it. */
  @Test
  public void nothingNear() {
    assertTrue(FanTurns.words(series(900, 1), series(0, 60), "in").isEmpty());
    assertTrue(FanTurns.words(series(0, 0, 60, 0), series(0, 60, 60, 60), "out").isEmpty());
    assertTrue(FanTurns.words(series(), series(), "out").isEmpty());
  }
}

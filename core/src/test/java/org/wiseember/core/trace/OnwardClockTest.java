package org.wiseember.core.trace;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.util.Random;
import org.testng.annotations.Test;

public class OnwardClockTest {
  @Test
  public void timesThatGoOnAreLeftAlone() {
    double[] times = {0, 1, 1, 2.5, 900};
    assertSame(OnwardClock.mended(times), times);
    assertEquals(OnwardClock.mended(new double[0]).length, 0);
  }

  /** Within each stretch the steps stay what they were; between stretches lies one usual step. */
  @Test
  public void everyStretchKeepsItsSteps() {
    Random random = new Random(3);
    for (int n = 0; n < 50; n++) {
      double[] times = new double[60];
      for (int i = 0; i < times.length; i++) {
        times[i] = i % 20 == 0 ? random.nextInt(4000) : times[i - 1] + 2;
      }
      double[] mended = OnwardClock.mended(times);
      for (int i = 1; i < times.length; i++) {
        double step = mended[i] - mended[i - 1];
        if (times[i] >= times[i - 1]) {
          assertEquals(step, times[i] - times[i - 1], 1e-9);
        } else {
          assertEquals(step, 2, 1e-9);
        }
        assertTrue(step >= 0);
      }
    }
  }
}

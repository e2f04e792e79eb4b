package org.wiseember.workbook.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Warning;

/** Clocks that were set while a log ran: what was missing is said, what was not is not. */
public class LogTimesTest {
  private final List<Warning> warnings = new ArrayList<>();

  private double[] mended(boolean localStamps, boolean timeOfDay, double... seconds)
      throws LogUnreadable {
    warnings.clear();
    int[] rows = new int[seconds.length];
    for (int i = 0; i < rows.length; i++) {
      rows[i] = i + 2;
    }
    new LogTimes(warnings, localStamps, timeOfDay).mend(seconds, rows);
    return seconds;
  }

  private static double[] ticking(int count, double step) {
    double[] seconds = new double[count];
    for (int i = 0; i < count; i++) {
      seconds[i] = i * step;
    }
    return seconds;
  }

  /** Whatever jumps a clock makes, time that was mended never runs back and keeps its pace. */
  @Test
  public void mendedTimeNeverRunsBack() throws LogUnreadable {
    SplittableRandom random = new SplittableRandom(12);
    for (int n = 0; n < 200; n++) {
      double[] seconds = ticking(200, 2);
      double offset = 0;
      int back = 0;
      for (int i = 1; i < seconds.length; i++) {
        if (random.nextInt(40) == 0) {
          double jump = random.nextDouble(-5000, -10);
          offset += jump;
          back++;
        }
        seconds[i] += offset;
      }
      double[] mended = mended(true, false, seconds);
      for (int i = 1; i < mended.length; i++) {
        assertEquals(mended[i] - mended[i - 1], 2, 1e-6, "row " + i);
      }
      assertEquals(warnings.size(), back);
    }
  }

  /** A file that counts seconds itself has no clock that could have been set: it is damaged. */
  @Test
  public void secondsThatRunBackAreRefusedWithTheirRow() {
    LogUnreadable e =
        expectThrows(LogUnreadable.class, () -> mended(false, false, 0, 1, 2, 3, 1, 2));
    assertTrue(e.getMessage().contains("row 6"), e.getMessage());
  }

  @Test
  public void midnightIsNothingToTell() throws LogUnreadable {
    double[] seconds = new double[20];
    for (int i = 0; i < seconds.length; i++) {
      seconds[i] = (86_400 - 10 + i) % 86_400;
    }
    double[] mended = mended(true, true, seconds);
    for (int i = 1; i < mended.length; i++) {
      assertEquals(mended[i] - mended[i - 1], 1, 1e-9);
    }
    assertTrue(warnings.isEmpty(), warnings.toString());
  }

  @Test
  public void anHourAheadIsCalledSummerTime() throws LogUnreadable {
    double[] seconds = ticking(100, 5);
    for (int i = 50; i < 100; i++) {
      seconds[i] += 3600;
    }
    double[] before = seconds.clone();
    assertEquals(mended(true, false, seconds), before, "a jump ahead is left: it may be a hole");
    assertEquals(warnings.size(), 1);
    assertEquals(warnings.get(0).code(), "clock_jump");
    assertTrue(warnings.get(0).message().contains("summer time begins"));
    assertTrue(warnings.get(0).message().contains("row 52"));
  }

  @Test
  public void aSlowMetersPaceIsNoJump() throws LogUnreadable {
    double[] seconds = ticking(60, 60);
    assertEquals(mended(true, false, seconds), ticking(60, 60));
    assertTrue(warnings.isEmpty());
  }
}

package org.wiseember.core.trace;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.Test;

/** Cutting readings into stretches of one level. */
public class LevelsTest {
  private static Series series(double... values) {
    double[] t = new double[values.length];
    for (int i = 0; i < t.length; i++) {
      t[i] = i;
    }
    return Series.of(t, values);
  }

  @Test
  public void stepsAreFound() {
    List<Levels.Level> levels =
        Levels.of(series(100, 101, 100, 99, 500, 501, 499, 500, 0, 0, 0), 0.05, 2);
    assertEquals(
        levels, List.of(new Levels.Level(0, 3), new Levels.Level(4, 7), new Levels.Level(8, 10)));
    assertEquals(levels.get(1).size(), 4);
  }

  /** One reading that jumps and comes back is a spike; at the start nothing says what is usual. */
  @Test
  public void aSpikeIsNoLevel() {
    assertEquals(Levels.of(series(100, 100, 100, 100, 400, 100, 100), 0.05, 2).size(), 1);
    assertEquals(Levels.of(series(100, 400, 400, 400, 400), 0.05, 2).size(), 2);
  }

  /** Slow drift is one level, however far it goes. */
  @Test
  public void driftIsOneLevel() {
    double[] values = new double[400];
    for (int i = 0; i < values.length; i++) {
      values[i] = 1000 + i;
    }
    assertEquals(Levels.of(series(values), 0.04, 2).size(), 1);
  }

  @Test
  public void aGapBeginsALevel() {
    Series s = Series.of(new double[] {0, 1, 2, 3, 200, 201}, new double[] {5, 5, 5, 5, 5, 5});
    assertEquals(Levels.of(s, 0.05, 1).size(), 2);
    assertTrue(Levels.of(series(), 0.05, 1).isEmpty());
    assertEquals(Levels.of(series(7), 0.05, 1).size(), 1);
  }

  /** Whatever the readings, the levels hold each of them once and in order. */
  @Test
  public void everyReadingIsInOneLevel() {
    SplittableRandom random = new SplittableRandom(12);
    for (int k = 0; k < 300; k++) {
      double[] values = new double[1 + random.nextInt(60)];
      for (int i = 0; i < values.length; i++) {
        values[i] = random.nextInt(4) * 100 + random.nextDouble();
      }
      int next = 0;
      for (Levels.Level level : Levels.of(series(values), 0.05, 2)) {
        assertEquals(level.first(), next);
        assertTrue(level.size() >= 1);
        next = level.last() + 1;
      }
      assertEquals(next, values.length);
    }
  }
}

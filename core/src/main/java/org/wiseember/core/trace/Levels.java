package org.wiseember.core.trace;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Cuts readings into stretches of one level, such as the loads that followed each other. A new
 * level begins where a reading leaves the last five by more than a share and a least amount for
 * longer than one reading, or behind a gap.
 */
public final class Levels {
  private static final int REFERENCE = 5;

  private final Series series;
  private final double share;
  private final double least;

  private Levels(Series series, double share, double least) {
    this.series = series;
    this.share = share;
    this.least = least;
  }

  /**
   * A stretch of one level.
   *
   * @param first index of its first reading
   * @param last index of its last reading
   */
  public record Level(int first, int last) {
    public int size() {
      return last - first + 1;
    }
  }

  /**
   * Every level in order of time; together they hold every reading.
   *
   * @param share by which a reading has to differ from those before
   * @param least by how much it has to differ at the very least, in the unit of the readings
   */
  public static List<Level> of(Series series, double share, double least) {
    return new Levels(series, share, least).find();
  }

  private List<Level> find() {
    List<Level> levels = new ArrayList<>();
    int start = 0;
    for (int i = 1; i < series.size(); i++) {
      double reference = reference(start, i);
      boolean spike =
          i - start >= 3
              && i + 1 < series.size()
              && apart(series.value(i), reference)
              && !apart(series.value(i + 1), reference);
      if (spike) {
        continue;
      }
      if (apart(series.value(i), reference) || series.gapAfter(i - 1)) {
        levels.add(new Level(start, i - 1));
        start = i;
      }
    }
    if (series.size() > 0) {
      levels.add(new Level(start, series.size() - 1));
    }
    return levels;
  }

  private double reference(int start, int end) {
    int from = Math.max(start, end - REFERENCE);
    double[] last = new double[end - from];
    for (int i = 0; i < last.length; i++) {
      last[i] = series.value(from + i);
    }
    Arrays.sort(last);
    return last[last.length / 2];
  }

  private boolean apart(double value, double reference) {
    return Math.abs(value - reference) > Math.max(least, share * Math.abs(reference));
  }
}

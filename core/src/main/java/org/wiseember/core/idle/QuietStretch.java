package org.wiseember.core.idle;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * Readings of the draw while nothing was plugged in and nothing came in, at one level.
 *
 * @param draw the readings that count
 * @param levels how many different levels there were, 1 for a steady one or one that comes and goes
 * @param other mean of the next longest level, W; NaN for none
 * @param skippedLoad whether readings under load were left out
 * @param skippedInput whether readings while a source fed the unit were left out
 */
record QuietStretch(
    Series draw, int levels, double other, boolean skippedLoad, boolean skippedInput) {
  /** A unit finds its level in this time after a change, s. */
  private static final double SETTLE = 30;

  private static final double NO_LOAD = 1;
  private static final double NO_INPUT = 1;

  /** Levels further apart than this share, and than this many W, are different. */
  private static final double APART = 0.15;

  private static final double APART_WATTS = 0.3;

  /** A level that returns this often is part of the idle draw: a fan, a check of the cells. */
  private static final int COMES_AND_GOES = 3;

  private record Level(int from, int to, double mean) {
    double length(Series series) {
      return series.seconds(to) - series.seconds(from);
    }
  }

  /**
   * Finds the stretch.
   *
   * @param draw DC watts, all of them
   */
  static QuietStretch of(Trace trace, Series draw) {
    Series out = trace.series(Channel.AC_POWER);
    Series in = trace.series(Channel.IN_POWER);
    boolean load = false;
    boolean input = false;
    double[] t = new double[draw.size()];
    double[] w = new double[draw.size()];
    int n = 0;
    double changed = draw.size() == 0 ? 0 : draw.seconds(0);
    // Readings far apart were noted by hand, long after anything was switched.
    boolean byHand = draw.size() < 3 || draw.usualInterval() >= SETTLE;
    for (int i = 0; i < draw.size(); i++) {
      double at = draw.seconds(i);
      boolean loaded = lastBefore(out, at) > NO_LOAD;
      boolean fed = lastBefore(in, at) > NO_INPUT || draw.value(i) < 0;
      if (loaded || fed) {
        load |= loaded;
        input |= fed;
        changed = at;
      } else if (byHand || at - changed >= SETTLE) {
        t[n] = at;
        w[n++] = draw.value(i);
      }
    }
    Series quiet = Series.of(Arrays.copyOf(t, n), Arrays.copyOf(w, n));
    return oneLevel(quiet, byHand, load, input);
  }

  private static double lastBefore(Series series, double moment) {
    int i = series.from(Math.nextUp(moment)) - 1;
    return i < 0 ? 0 : series.value(i);
  }

  /** Where the draw stood at several levels one after the other, the longest of them. */
  private static QuietStretch oneLevel(Series quiet, boolean byHand, boolean load, boolean input) {
    List<Level> levels = levels(quiet);
    int changes = levels.size() - 1;
    if (levels.isEmpty() || byHand || changes == 0 || changes >= 2 * COMES_AND_GOES) {
      return new QuietStretch(quiet, 1, Double.NaN, load, input);
    }
    List<Level> longest = new ArrayList<>(levels);
    longest.sort((a, b) -> Double.compare(b.length(quiet), a.length(quiet)));
    Level chosen = longest.get(0);
    Level next = longest.get(1);
    if (next.length(quiet) < SETTLE) {
      // A blip of a few seconds is part of what it draws.
      return new QuietStretch(quiet, 1, Double.NaN, load, input);
    }
    int n = chosen.to() - chosen.from() + 1;
    double[] t = new double[n];
    double[] w = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = quiet.seconds(chosen.from() + i);
      w[i] = quiet.value(chosen.from() + i);
    }
    return new QuietStretch(Series.of(t, w), levels.size(), next.mean(), load, input);
  }

  private static List<Level> levels(Series series) {
    List<Level> levels = new ArrayList<>();
    int start = 0;
    double sum = 0;
    for (int i = 0; i < series.size(); i++) {
      double mean = i == start ? series.value(i) : sum / (i - start);
      double allowed = Math.max(APART_WATTS, APART * Math.abs(mean));
      boolean away = Math.abs(series.value(i) - mean) > allowed;
      boolean stays = i + 1 >= series.size() || Math.abs(series.value(i + 1) - mean) > allowed;
      if (away && stays && i > start) {
        levels.add(new Level(start, i - 1, sum / (i - start)));
        start = i;
        sum = 0;
      }
      sum += series.value(i);
    }
    if (series.size() > 0) {
      levels.add(new Level(start, series.size() - 1, sum / (series.size() - start)));
    }
    return levels;
  }
}

package org.wiseember.core.charge;

import java.util.Arrays;
import org.wiseember.core.trace.Series;

/**
 * A stretch of time cut into equal bins; what a channel did in each is its median there, so that a
 * spike or a meter's noise does not count.
 *
 * @param from s
 * @param to s, after {@code from}
 * @param count of bins, 1 or more
 */
record Bins(double from, double to, int count) {
  double width() {
    return (to - from) / count;
  }

  /** When a bin begins; that of {@code count} is the end of all. */
  double begin(int bin) {
    return from + width() * bin;
  }

  double middle(int bin) {
    return begin(bin) + width() / 2;
  }

  /** The bin a moment lies in, the first or last for what lies outside. */
  int at(double seconds) {
    return (int) Math.max(0, Math.min(count - 1, Math.floor((seconds - from) / width())));
  }

  /** Median of each bin; where one holds no reading, what the one before it had. */
  double[] medians(Series series) {
    double[] level = new double[count];
    if (series.size() == 0) {
      Arrays.fill(level, Double.NaN);
      return level;
    }
    int i = series.from(from);
    double before = series.value(Math.min(i, series.size() - 1));
    for (int c = 0; c < count; c++) {
      double end = begin(c + 1);
      int start = i;
      while (i < series.size()
          && (series.seconds(i) < end || c == count - 1)
          && series.seconds(i) <= to) {
        i++;
      }
      double[] some = new double[i - start];
      for (int k = start; k < i; k++) {
        some[k - start] = series.value(k);
      }
      Arrays.sort(some);
      before = some.length == 0 ? before : some[some.length / 2];
      level[c] = before;
    }
    return level;
  }
}

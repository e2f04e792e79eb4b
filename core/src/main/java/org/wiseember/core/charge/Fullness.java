package org.wiseember.core.charge;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * What the unit was ready to take, as far as a charge shows it: the watts themselves where one
 * steady source feeds it; the wall's part where panels only add to it; and under panels that bind,
 * what it took last when it was the unit that bound.
 *
 * @param series W
 * @param from when all sources were first on together, s in the log
 */
record Fullness(Series series, double from) {
  private static final int BINS = 600;

  /** Panels that could give so much more than was taken do not bind. */
  private static final double UNIT_BINDS = 0.95;

  /** An inlet this near to its level, this often, keeps a level of its own. */
  private static final double NEAR = 0.985;

  private static final double OFTEN = 0.5;

  static Fullness of(Trace trace, Inputs inputs) {
    double from = together(inputs);
    Optional<Sun> sun = Sun.of(trace, inputs);
    if (sun.isEmpty()) {
      return new Fullness(inputs.whole(), from);
    }
    for (Map.Entry<Inlet, Series> part : inputs.parts().entrySet()) {
      if (part.getKey() != Inlet.DC && ownLevel(part.getValue(), from)) {
        return new Fullness(part.getValue(), from);
      }
    }
    return new Fullness(underTheSun(inputs, sun.get()), from);
  }

  /** Whether an inlet was at one level for most of the time it was on. */
  private static boolean ownLevel(Series part, double from) {
    Bins bins = bins(part);
    double[] watts = bins.medians(part);
    double level = Level.of(watts);
    int on = 0;
    int near = 0;
    for (int c = bins.at(from); c < watts.length; c++) {
      on += Level.on(watts[c], level) ? 1 : 0;
      near += watts[c] >= NEAR * level ? 1 : 0;
    }
    return level > 0 && near > OFTEN * on;
  }

  private static Series underTheSun(Inputs inputs, Sun sun) {
    Series whole = inputs.whole();
    double others =
        inputs.parts().entrySet().stream()
            .filter(p -> p.getKey() != Inlet.DC)
            .mapToDouble(p -> level(p.getValue()))
            .sum();
    double most = level(whole);
    double[] t = new double[whole.size()];
    double[] watts = new double[whole.size()];
    double reach = Math.max(Series.GAP_SECONDS, 5 * sun.lux().usualInterval());
    double taken = most;
    for (int i = 0; i < t.length; i++) {
      t[i] = whole.seconds(i);
      double lit = sun.expected(sun.lux().nearest(t[i], reach));
      double could = Math.min(most, others + lit);
      double now = whole.value(i);
      boolean spare = inputs.parts().size() > 1 || sun.upTheCurve(sun.volts().nearest(t[i], reach));
      taken = spare && now < UNIT_BINDS * could ? now : Math.max(taken, now);
      watts[i] = taken;
    }
    return Series.of(t, watts);
  }

  private static double level(Series series) {
    return Level.of(bins(series).medians(series));
  }

  private static Bins bins(Series series) {
    return new Bins(
        series.seconds(0),
        series.seconds(series.size() - 1),
        Math.max(1, Math.min(BINS, series.size() / 2)));
  }

  private static double together(Inputs inputs) {
    Series whole = inputs.whole();
    if (inputs.parts().size() < 2) {
      return whole.seconds(0);
    }
    Bins bins = bins(whole);
    boolean[] all = new boolean[bins.count()];
    Arrays.fill(all, true);
    for (Series part : inputs.parts().values()) {
      double[] watts = bins.medians(part);
      double level = Level.of(watts);
      for (int c = 0; c < all.length; c++) {
        all[c] &= level == 0 || Level.on(watts[c], level);
      }
    }
    for (int c = 0; c < all.length; c++) {
      if (all[c]) {
        return bins.begin(c);
      }
    }
    return whole.seconds(0);
  }
}

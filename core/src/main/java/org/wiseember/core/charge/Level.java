package org.wiseember.core.charge;

import java.util.Arrays;
import org.wiseember.core.trace.Series;

/** The level an inlet reaches and holds. */
final class Level {
  private static final double LEAST_WATTS = 1.5;
  private static final double ON_SHARE = 0.03;

  /** Less than this share of the moments may lie above it. */
  private static final double ABOVE = 0.03;

  private Level() {}

  /** Of readings bin by bin; 0 where nothing was ever on. */
  static double of(double[] watts) {
    return of(watts, LEAST_WATTS);
  }

  /** Of any readings; those up to the least are taken for nothing. */
  static double of(double[] values, double least) {
    double[] sorted = Arrays.stream(values).filter(w -> w > least).sorted().toArray();
    return sorted.length == 0 ? 0 : sorted[(int) Math.floor((1 - ABOVE) * (sorted.length - 1))];
  }

  /** Whether anything ever went in. */
  static boolean everOn(Series watts) {
    for (int i = 0; i < watts.size(); i++) {
      if (watts.value(i) > LEAST_WATTS) {
        return true;
      }
    }
    return false;
  }

  /** Whether so many watts are more than what is left on standby. */
  static boolean on(double watts, double level) {
    return watts > Math.max(LEAST_WATTS, ON_SHARE * level);
  }
}

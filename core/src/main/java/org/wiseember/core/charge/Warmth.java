package org.wiseember.core.charge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * From which temperature of the case a charge is held back: the one that best parts the moments at
 * full level from those below it.
 *
 * @param celsius °C
 * @param right share of the moments that lie on their side of it, 0 to 1
 */
record Warmth(double celsius, double right) {
  private static final int LEAST_BINS = 3;
  private static final double GOOD = 0.85;

  /** A reading at one moment. */
  private record Moment(double celsius, boolean held) {}

  /**
   * Looks for it.
   *
   * @param held whether it was below its level, bin by bin
   * @param counts which bins tell anything
   * @param celsius of the case; NaN where it was not read
   * @return empty where no temperature parts them
   */
  static Optional<Warmth> of(boolean[] held, boolean[] counts, double[] celsius) {
    List<Moment> moments = new ArrayList<>();
    for (int c = 0; c < held.length; c++) {
      if (counts[c] && !Double.isNaN(celsius[c])) {
        moments.add(new Moment(celsius[c], held[c]));
      }
    }
    long below = moments.stream().filter(Moment::held).count();
    if (below < LEAST_BINS || moments.size() - below < LEAST_BINS) {
      return Optional.empty();
    }
    Moment[] sorted = moments.toArray(Moment[]::new);
    Arrays.sort(sorted, (a, b) -> Double.compare(a.celsius(), b.celsius()));
    // With the border before the first moment, those at full level are on the wrong side.
    long wrong = sorted.length - below;
    long least = Long.MAX_VALUE;
    double best = Double.NaN;
    for (int k = 0; k < sorted.length; k++) {
      boolean tied = k > 0 && sorted[k].celsius() == sorted[k - 1].celsius();
      if (!tied && wrong < least) {
        least = wrong;
        best = k == 0 ? sorted[0].celsius() : (sorted[k].celsius() + sorted[k - 1].celsius()) / 2;
      }
      wrong += sorted[k].held() ? 1 : -1;
    }
    double right = 1 - (double) least / sorted.length;
    // A border below all of them would call every moment held, which tells nothing.
    double chance = Math.max(below, sorted.length - below) / (double) sorted.length;
    return right >= GOOD && right > chance
        ? Optional.of(new Warmth(best, right))
        : Optional.empty();
  }
}

package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.wiseember.core.trace.Series;

/**
 * When the load was on. A heater on a thermostat goes off and comes back; a unit that has cut off
 * stays dead. This tells the two apart.
 *
 * @param on the phases with load, in order, before the cut-off
 * @param later phases after a dead time too long to be a thermostat; never part of the drain
 * @param level usual power while on, W
 * @param threshold above this power the load counts as on, W
 */
record LoadPhases(List<Phase> on, List<Phase> later, double level, double threshold) {
  /** Load counts as on above this share of its usual power. */
  static final double ON_SHARE = 0.10;

  /** Below this many watts there is no load to speak of. */
  static final double LEAST_LEVEL = 0.5;

  /** A dead time shorter than this can always be a thermostat or a hand at the plug, s. */
  static final double SHORTEST_END = 1800;

  /** From this many off-phases on, the load is said to cycle. */
  static final int CYCLING = 3;

  /** Indices of the first and the last loaded reading of one phase. */
  record Phase(int first, int last) {}

  /** The phases of a drain. */
  static LoadPhases find(Series power) {
    return find(power, false);
  }

  /** Every phase, whatever the pauses between them: where somebody said when the drain ended. */
  static LoadPhases all(Series power) {
    return find(power, true);
  }

  private static LoadPhases find(Series power, boolean whole) {
    double level = usualLevel(power);
    if (!(level >= LEAST_LEVEL)) {
      return new LoadPhases(List.of(), List.of(), 0, 0);
    }
    double threshold = level * ON_SHARE;
    List<Phase> all = new ArrayList<>();
    int start = -1;
    for (int i = 0; i < power.size(); i++) {
      boolean on = power.value(i) > threshold;
      if (on && start < 0) {
        start = i;
      } else if (!on && start >= 0) {
        all.add(new Phase(start, i - 1));
        start = -1;
      }
    }
    if (start >= 0) {
      all.add(new Phase(start, power.size() - 1));
    }
    int end = whole ? all.size() : endOfDrain(power, all);
    return new LoadPhases(
        List.copyOf(all.subList(0, end)),
        List.copyOf(all.subList(end, all.size())),
        level,
        threshold);
  }

  boolean cycles() {
    return on.size() - 1 >= CYCLING;
  }

  /** Longest off-phase inside the drain, s; 0 when the load never paused. */
  double longestPause(Series power) {
    double longest = 0;
    for (int k = 1; k < on.size(); k++) {
      longest = Math.max(longest, pause(power, on.get(k - 1), on.get(k)));
    }
    return longest;
  }

  /** Median of the readings above half the 99th percentile: the load's own level, spikes apart. */
  private static double usualLevel(Series power) {
    double[] sorted = new double[power.size()];
    for (int i = 0; i < sorted.length; i++) {
      sorted[i] = power.value(i);
    }
    Arrays.sort(sorted);
    if (sorted.length == 0) {
      return 0;
    }
    double high = sorted[(int) Math.floor((sorted.length - 1) * 0.99)];
    if (high <= 0) {
      // A very short drain in a long idle log: fall back on the highest reading.
      high = sorted[sorted.length - 1];
    }
    double half = high / 2;
    double[] upper = Arrays.stream(sorted).filter(p -> p > half && p > 0).toArray();
    return upper.length == 0 ? 0 : upper[upper.length / 2];
  }

  /** How many phases belong to the drain: all up to a pause that no thermostat makes. */
  private static int endOfDrain(Series power, List<Phase> all) {
    for (int k = 1; k < all.size(); k++) {
      double pause = pause(power, all.get(k - 1), all.get(k));
      if (pause <= SHORTEST_END || power.gapAfter(all.get(k - 1).last())) {
        continue;
      }
      double[] others = new double[k - 1];
      for (int m = 1; m < k; m++) {
        others[m - 1] = pause(power, all.get(m - 1), all.get(m));
      }
      Arrays.sort(others);
      double usual = others.length == 0 ? 0 : others[others.length / 2];
      if (pause > 4 * usual) {
        return k;
      }
    }
    return all.size();
  }

  private static double pause(Series power, Phase before, Phase after) {
    return power.seconds(after.first()) - power.seconds(before.last());
  }
}

package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A time of the plan, its beginning included and its end not.
 *
 * @param from h after the start
 * @param to h after the start
 */
public record DayStretch(double from, double to) {
  /** Without end. */
  public static final DayStretch ALWAYS = new DayStretch(0, Double.POSITIVE_INFINITY);

  public DayStretch {
    if (!(from >= 0) || !(to >= from)) {
      throw new IllegalArgumentException("a stretch begins at 0 or later and ends after that");
    }
  }

  boolean holds(double hour) {
    return hour >= from && hour < to;
  }

  double length() {
    return to - from;
  }

  /** What overlaps or touches becomes one. */
  static List<DayStretch> joined(List<DayStretch> stretches) {
    List<DayStretch> out = new ArrayList<>();
    for (DayStretch s :
        stretches.stream()
            .filter(x -> x.length() > 0)
            .sorted(Comparator.comparingDouble(DayStretch::from))
            .toList()) {
      DayStretch last = out.isEmpty() ? null : out.get(out.size() - 1);
      if (last != null && s.from() <= last.to()) {
        out.set(out.size() - 1, new DayStretch(last.from(), Math.max(last.to(), s.to())));
      } else {
        out.add(s);
      }
    }
    return out;
  }
}

package org.wiseember.core.quantity;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A time of the plan, its beginning included and its end not.
 *
 * @param from h after the start
 * @param to h after the start
 */
public record HourSpan(double from, double to) {
  /** Without end. */
  public static final HourSpan ALWAYS = new HourSpan(0, Double.POSITIVE_INFINITY);

  public HourSpan {
    if (!(from >= 0) || !(to >= from)) {
      throw new IllegalArgumentException("a stretch begins at 0 or later and ends after that");
    }
  }

  public boolean holds(double hour) {
    return hour >= from && hour < to;
  }

  double length() {
    return to - from;
  }

  /** What overlaps or touches becomes one. */
  public static List<HourSpan> joined(List<HourSpan> stretches) {
    List<HourSpan> out = new ArrayList<>();
    for (HourSpan s :
        stretches.stream()
            .filter(x -> x.length() > 0)
            .sorted(Comparator.comparingDouble(HourSpan::from))
            .toList()) {
      HourSpan last = out.isEmpty() ? null : out.get(out.size() - 1);
      if (last != null && s.from() <= last.to()) {
        out.set(out.size() - 1, new HourSpan(last.from(), Math.max(last.to(), s.to())));
      } else {
        out.add(s);
      }
    }
    return out;
  }
}

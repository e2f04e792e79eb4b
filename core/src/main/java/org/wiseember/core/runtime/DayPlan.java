package org.wiseember.core.runtime;

import java.util.List;
import java.util.Optional;

/**
 * Appliances over a time of up to a fortnight.
 *
 * @param hours the plan covers, h
 * @param appliances in the order of the list; those that come on together come on in this order
 * @param acAlwaysOn whether the AC output stays on while nothing hangs on it
 * @param uneven how many times what cycling loads cost beyond their mean is counted; 0 where they
 *     count with their mean alone
 */
public record DayPlan(double hours, List<Appliance> appliances, boolean acAlwaysOn, double uneven) {
  /** A fortnight, h. */
  public static final double LONGEST = 14 * 24;

  public DayPlan {
    appliances = List.copyOf(appliances);
    if (!(hours > 0) || hours > LONGEST) {
      throw new IllegalArgumentException("a plan covers more than 0 and at most 336 h");
    }
  }

  /** One whose cycling loads count with their mean. */
  public DayPlan(double hours, List<Appliance> appliances, boolean acAlwaysOn) {
    this(hours, appliances, acAlwaysOn, 0);
  }

  /** What is left of it from an hour on, counted from there; empty where nothing is. */
  Optional<DayPlan> after(double hour) {
    if (!(hours - hour > 1e-9)) {
      return Optional.empty();
    }
    return Optional.of(
        new DayPlan(
            hours - hour,
            appliances.stream().map(a -> a.after(hour)).toList(),
            acAlwaysOn,
            uneven));
  }

  /** The same with other appliances. */
  public DayPlan with(List<Appliance> others) {
    return new DayPlan(hours, others, acAlwaysOn, uneven);
  }

  /** The same counting what cycling costs beyond the mean so many times. */
  DayPlan uneven(double times) {
    return new DayPlan(hours, appliances, acAlwaysOn, times);
  }
}

package org.wiseember.core.runtime;

import java.time.LocalTime;
import org.wiseember.core.quantity.ReaderUnits;

/**
 * A moment of a plan by the clock.
 *
 * @param day of the plan by the calendar, 1 the first
 */
public record ClockTime(int day, LocalTime time) {
  private static final int MINUTES_A_DAY = 24 * 60;

  /** So many hours after a start, to the minute. */
  public static ClockTime of(LocalTime start, double hour) {
    long minutes = start.toSecondOfDay() / 60 + Math.round(hour * 60);
    return new ClockTime(
        (int) Math.floorDiv(minutes, MINUTES_A_DAY) + 1,
        LocalTime.MIN.plusMinutes(Math.floorMod(minutes, MINUTES_A_DAY)));
  }

  /**
   * {@code 22:25}, or {@code day 3 22:25}.
   *
   * @param withDay whether days after the first are named
   */
  public String words(ReaderUnits units, boolean withDay) {
    return (withDay && day > 1 ? "day " + day + " " : "") + units.time(time);
  }
}

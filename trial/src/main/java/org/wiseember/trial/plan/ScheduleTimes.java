package org.wiseember.trial.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.wiseember.core.quantity.ReaderUnits;

/**
 * Moments of a plan as people say them.
 *
 * @param now what is today
 * @param units how the reader wants times of day
 */
public record ScheduleTimes(Instant now, ZoneId zone, ReaderUnits units) {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  /** {@code 14:20}, or {@code Tue 5 May 14:20} on another day. */
  public String words(Instant at) {
    LocalDate day = LocalDate.ofInstant(at, zone);
    String time = units.time(at.atZone(zone).toLocalTime());
    return day.equals(LocalDate.ofInstant(now, zone)) ? time : DAY.format(day) + " " + time;
  }

  /** {@code 14:20 to 16:05}. */
  public String words(ScheduleStep step) {
    String from = words(step.from());
    LocalDate day = LocalDate.ofInstant(step.from(), zone);
    boolean same = day.equals(LocalDate.ofInstant(step.to(), zone));
    return from
        + " to "
        + (same ? units.time(step.to().atZone(zone).toLocalTime()) : words(step.to()));
  }

  /** {@code 1 h 45 min}. */
  public static String words(Duration lasts) {
    long minutes = Math.max(0, Math.round(lasts.toSeconds() / 60.0));
    return minutes < 60
        ? minutes + " min"
        : minutes / 60 + " h" + (minutes % 60 == 0 ? "" : " " + minutes % 60 + " min");
  }
}

package org.wiseember.workbook.log;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** How the time of a row is written. */
public enum TimeForm {
  SECONDS("seconds", 1),
  MILLISECONDS("milliseconds", 0.001),
  MINUTES("minutes", 60),
  HOURS("hours", 3600),
  ISO("2026-05-04T18:30:00", 0),
  DAY_FIRST("4.5.2026 18:30:00", 0),
  MONTH_FIRST("5/4/2026 6:30:00 PM", 0),
  CLOCK("18:30:00", 0);

  private static final Pattern DATED =
      Pattern.compile(
          "(\\d{1,4})[./-](\\d{1,2})[./-](\\d{1,4})[ T,]+(\\d{1,2}):(\\d{2})(?::(\\d{2})(?:[.,](\\d{1,9}))?)?"
              + "\\s*([AaPp][Mm])?");
  private static final Pattern CLOCKED =
      Pattern.compile("(\\d{1,4}):(\\d{2})(?::(\\d{2})(?:[.,](\\d{1,9}))?)?\\s*([AaPp][Mm])?");

  private final String words;
  private final double factor;

  TimeForm(String words, double factor) {
    this.words = words;
    this.factor = factor;
  }

  public String words() {
    return words;
  }

  /** Seconds in one of it; 0 for stamps. */
  double factor() {
    return factor;
  }

  /** Whether it is a plain number. */
  boolean number() {
    return factor > 0;
  }

  /**
   * A stamp's moment.
   *
   * @param seconds of the clock, from its own origin
   * @param local whether it says nothing of its offset, so that the clock may have been set
   */
  record Moment(double seconds, boolean local) {}

  /**
   * Reads a stamp.
   *
   * @throws DateTimeException where it is none of this form
   */
  Moment moment(String text) {
    return switch (this) {
      case ISO -> iso(text);
      case DAY_FIRST, MONTH_FIRST -> dated(text);
      case CLOCK -> clock(text);
      default -> throw new DateTimeException("a number is no stamp");
    };
  }

  private static Moment iso(String text) {
    String joined = text.strip().replace(' ', 'T');
    try {
      OffsetDateTime stamp = OffsetDateTime.parse(joined);
      return new Moment(Duration.between(Instant.EPOCH, stamp).toNanos() / 1e9, false);
    } catch (DateTimeException noOffset) {
      return local(LocalDateTime.parse(joined.replace('/', '-')));
    }
  }

  private static Moment local(LocalDateTime stamp) {
    return new Moment(
        Duration.between(LocalDateTime.of(1970, 1, 1, 0, 0), stamp).toNanos() / 1e9, true);
  }

  private Moment dated(String text) {
    Matcher m = DATED.matcher(text.strip());
    if (!m.matches()) {
      throw new DateTimeException("no date");
    }
    int first = Integer.parseInt(m.group(1));
    int second = Integer.parseInt(m.group(2));
    int third = Integer.parseInt(m.group(3));
    boolean yearFirst = m.group(1).length() > 2;
    int year = yearFirst ? first : third < 100 ? 2000 + third : third;
    int month = yearFirst ? second : this == DAY_FIRST ? second : first;
    int day = yearFirst ? third : this == DAY_FIRST ? first : second;
    double fraction = fraction(m.group(7));
    int hour = hour(Integer.parseInt(m.group(4)), m.group(8));
    int seconds = m.group(6) == null ? 0 : Integer.parseInt(m.group(6));
    LocalDateTime stamp =
        LocalDateTime.of(year, month, day, hour, Integer.parseInt(m.group(5)), seconds);
    return new Moment(stamp.toEpochSecond(ZoneOffset.UTC) + fraction, true);
  }

  private static Moment clock(String text) {
    Matcher m = CLOCKED.matcher(text.strip());
    if (!m.matches()) {
      throw new DateTimeException("no time");
    }
    double seconds = m.group(3) == null ? 0 : Integer.parseInt(m.group(3)) + fraction(m.group(4));
    int hour = hour(Integer.parseInt(m.group(1)), m.group(5));
    return new Moment(3600.0 * hour + 60.0 * Integer.parseInt(m.group(2)) + seconds, true);
  }

  private static int hour(int written, String half) {
    if (half == null) {
      return written;
    }
    boolean afternoon = half.toLowerCase(Locale.ROOT).equals("pm");
    return written % 12 + (afternoon ? 12 : 0);
  }

  private static double fraction(String digits) {
    return digits == null ? 0 : Double.parseDouble("0." + digits);
  }
}

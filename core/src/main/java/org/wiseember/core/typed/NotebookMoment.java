package org.wiseember.core.typed;

import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.hand.Moment;

/**
 * The moment a line of the notebook names: {@code it tripped at 14:32 or a little later}. A time is
 * one of the day where that moment lies between the start of the run and now, else one since the
 * start.
 *
 * @param moment empty where none is named
 * @param rest the line without it
 * @param trouble why a named moment cannot be, one sentence; empty where it can
 */
record NotebookMoment(Optional<Moment> moment, String rest, String trouble) {
  private static final String TIME =
      "(?<h>\\d{1,2}):(?<m>[0-5]\\d)(?::(?<s>[0-5]\\d))?(?:\\s?(?<half>[ap])\\.?m\\b\\.?)?";

  private static final Pattern LAST =
      Pattern.compile(
          "(?<rest>.*?\\S)[\\s,]+(?:at|about|around) "
              + TIME
              + "(?<later>,? or (?:a (?:little|bit) later|soon after|so))?\\.?",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern FIRST =
      Pattern.compile(
          "(?:at )?" + TIME + "(?<later> or (?:a (?:little|bit) later|so))?[\\s,:]+(?<rest>\\S.*)",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern STILL_TO_COME =
      Pattern.compile("(?:h |hours? )?(?:to|until|left|h\\b).*", Pattern.CASE_INSENSITIVE);

  /** "A little later" is taken as so long, s. */
  private static final double LITTLE = 120;

  /** A moment typed a little ahead of the clock is now, s. */
  private static final double AHEAD = 60;

  /**
   * Looks for one.
   *
   * @param twelveHours whether a time of day without am or pm may be one after noon
   * @param started when the run began, by the wall clock
   * @param now s on the run's clock
   */
  static NotebookMoment in(String line, boolean twelveHours, LocalDateTime started, double now) {
    Matcher m = LAST.matcher(line);
    boolean found = m.matches();
    if (!found) {
      m = FIRST.matcher(line);
      found = m.matches() && !STILL_TO_COME.matcher(m.group("rest")).matches();
    }
    if (!found) {
      return new NotebookMoment(Optional.empty(), line, "");
    }
    boolean toTheSecond = m.group("s") != null;
    double step = toTheSecond ? 1 : 60;
    double at = seconds(m, twelveHours, started, now);
    if (Double.isNaN(at)) {
      return new NotebookMoment(
          Optional.empty(),
          line,
          "That time is not between the start of this test and now. Write one that is.");
    }
    double latest = Math.min(now + AHEAD, at + step + (m.group("later") == null ? 0 : LITTLE));
    return new NotebookMoment(
        Optional.of(Moment.between(at, Math.max(at, latest))), m.group("rest").strip(), "");
  }

  /** s on the run's clock at which the named minute or second begins; NaN where it cannot be. */
  private static double seconds(Matcher m, boolean twelveHours, LocalDateTime started, double now) {
    int h = Integer.parseInt(m.group("h"));
    int min = Integer.parseInt(m.group("m"));
    int s = m.group("s") == null ? 0 : Integer.parseInt(m.group("s"));
    double step = m.group("s") == null ? 60 : 1;
    String half = m.group("half");
    if (half != null) {
      int hour = h % 12 + (half.equalsIgnoreCase("p") ? 12 : 0);
      return h < 1 || h > 12 ? Double.NaN : upToNow(ofDay(hour, min, s, step, started), now);
    }
    double wall = upToNow(ofDay(h, min, s, step, started), now);
    double afterNoon =
        twelveHours && h <= 12
            ? upToNow(ofDay(h % 12 + 12, min, s, step, started), now)
            : Double.NaN;
    double since = upToNow(3600.0 * h + 60 * min + s, now);
    return !Double.isNaN(wall) ? wall : !Double.isNaN(afterNoon) ? afterNoon : since;
  }

  /** s from the start to the next such time of the day; NaN where there is none. */
  private static double ofDay(int h, int min, int s, double step, LocalDateTime started) {
    try {
      LocalDateTime at = started.toLocalDate().atTime(LocalTime.of(h, min, s));
      double wall = ChronoUnit.MILLIS.between(started, at) / 1000.0;
      return wall <= -step ? wall + 86_400 : wall;
    } catch (DateTimeException noTimeOfDay) {
      return Double.NaN;
    }
  }

  private static double upToNow(double seconds, double now) {
    return seconds <= now + AHEAD ? Math.max(0, seconds) : Double.NaN;
  }
}

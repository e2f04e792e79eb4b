package org.wiseember.workbook.day;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.workbook.strict.JsonUnreadable;

/**
 * Times as a person types them, {@code 18:00-22:00, day 2 7:30-9:00}, by 24 or 12 hours; {@code
 * always} for all of the day.
 *
 * <pre>{@code
 * WrittenTimes times = new WrittenTimes(LocalTime.of(17, 0), 24, ReaderUnits.AS_KEPT);
 * List<HourSpan> on = times.stretches("18:00-22:00");   // 1 h to 5 h after the start
 * }</pre>
 *
 * @param start of the day
 * @param hours it covers
 * @param units how the reader wants times of day
 */
public record WrittenTimes(LocalTime start, double hours, ReaderUnits units) {
  /** All of the day. */
  public static final String ALWAYS = "always";

  private static final String ONE = "(\\d{1,2})(?:[:.](\\d{2}))?\\s*(am|pm)?";
  private static final Pattern MOMENT = Pattern.compile("(?:day\\s*(\\d{1,2})\\s+)?" + ONE);
  private static final Pattern WINDOW =
      Pattern.compile("(?:day\\s*(\\d{1,2})\\s+)?" + ONE + "\\s*(?:-|–|to|until)\\s*" + ONE);
  private static final int MOST = 2_000;
  private static final int MOST_DAYS = 15;

  private DayClock clock() {
    return DayClock.from(start);
  }

  private static List<String> parts(String text) throws JsonUnreadable {
    List<String> parts = new ArrayList<>();
    for (String part : text.toLowerCase(Locale.ROOT).split("[,;\\n]")) {
      if (!part.isBlank()) {
        parts.add(part.strip());
      }
    }
    if (parts.size() > MOST) {
      throw new JsonUnreadable("More than 2 000 times; leave some out.");
    }
    return parts;
  }

  /**
   * Reads windows; nothing typed is always.
   *
   * @throws JsonUnreadable with a sentence about the first that is none
   */
  public List<HourSpan> stretches(String text) throws JsonUnreadable {
    List<HourSpan> all = new ArrayList<>();
    List<String> parts = parts(text);
    if (parts.isEmpty() || parts.equals(List.of(ALWAYS))) {
      return List.of(HourSpan.ALWAYS);
    }
    for (String part : parts) {
      Matcher m = WINDOW.matcher(part);
      if (!m.matches()) {
        throw new JsonUnreadable(
            "“" + shortened(part) + "” is no time it is on; type it as 18:00-22:00, or always.");
      }
      DayClock.Window window =
          new DayClock.Window(minutes(m, 2, part), minutes(m, 5, part), day(m.group(1), part));
      clock().stretch(window).ifPresent(all::add);
    }
    return all;
  }

  /**
   * Reads moments; nothing typed is never.
   *
   * @throws JsonUnreadable with a sentence about the first that is none
   */
  public List<Double> moments(String text) throws JsonUnreadable {
    List<Double> all = new ArrayList<>();
    for (String part : parts(text)) {
      Matcher m = MOMENT.matcher(part);
      if (!m.matches()) {
        throw new JsonUnreadable(
            "“" + shortened(part) + "” is no moment of the day; type it as 19:00, 20:30.");
      }
      all.add(clock().moment(minutes(m, 2, part), day(m.group(1), part)));
    }
    return all;
  }

  private static int day(String typed, String part) throws JsonUnreadable {
    int day = typed == null ? 1 : Integer.parseInt(typed);
    if (day < 1 || day > MOST_DAYS) {
      throw new JsonUnreadable("“" + shortened(part) + "”: days are counted from 1 to 15.");
    }
    return day - 1;
  }

  private static int minutes(Matcher m, int group, String part) throws JsonUnreadable {
    int hour = Integer.parseInt(m.group(group));
    int minute = m.group(group + 1) == null ? 0 : Integer.parseInt(m.group(group + 1));
    String half = m.group(group + 2);
    if (half != null && hour >= 1 && hour <= 12) {
      hour = hour % 12 + (half.equals("pm") ? 12 : 0);
    } else if (half != null) {
      hour = 99;
    }
    if (hour > 24 || minute > 59 || (hour == 24 && minute > 0)) {
      throw new JsonUnreadable("“" + shortened(part) + "” holds no time of day; type it as 18:30.");
    }
    return hour * 60 + minute;
  }

  private static String shortened(String text) {
    return text.length() > 40 ? text.substring(0, 40) + "…" : text;
  }

  /** Writes windows as they are read. */
  public String written(List<HourSpan> on) {
    if (on.equals(List.of(HourSpan.ALWAYS))) {
      return ALWAYS;
    }
    return on.stream()
        .flatMap(s -> clock().windows(s, hours).stream())
        .map(w -> day(w) + time(w.from()) + "–" + time(w.to()))
        .collect(Collectors.joining(", "));
  }

  /** Writes moments as they are read. */
  public String writtenMoments(List<Double> at) {
    return at.stream()
        .map(h -> clock().written(h))
        .map(w -> day(w) + time(w.from()))
        .collect(Collectors.joining(", "));
  }

  private static String day(DayClock.Window window) {
    return window.day() == 0 ? "" : "day " + (window.day() + 1) + " ";
  }

  private String time(int minutes) {
    return units.time(LocalTime.MIN.plusMinutes(minutes));
  }
}

package org.wiseember.workbook.day;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.workbook.strict.Fields;
import org.wiseember.workbook.strict.JsonUnreadable;

/**
 * Times of day as hours after the start of a plan. A time before the start is the next day's, a
 * window that is open at the start begins there, and nothing repeats by itself: other days are
 * named, 0 the first.
 *
 * @param startMinutes when the plan begins, minutes of the day
 */
record DayClock(int startMinutes) {
  private static final Pattern TIME = Pattern.compile("([01]?\\d|2[0-4]):([0-5]\\d)");
  private static final int DAY = 24 * 60;
  private static final double MINUTES = 60;
  private static final int MOST_DAYS = 14;

  /**
   * A window by the clock.
   *
   * @param from minutes of the day
   * @param to minutes of the day
   * @param day it begins on, 0 the first
   */
  record Window(int from, int to, int day) {}

  /** Of a day that begins then. */
  static DayClock from(LocalTime start) {
    return new DayClock(start.getHour() * 60 + start.getMinute());
  }

  /** Minutes of the day, {@code 24:00} among them. */
  static int minutes(String text, String place) throws JsonUnreadable {
    Matcher m = TIME.matcher(text.strip());
    int minutes =
        m.matches() ? Integer.parseInt(m.group(1)) * 60 + Integer.parseInt(m.group(2)) : -1;
    if (minutes < 0 || minutes > DAY) {
      throw new JsonUnreadable(
          "“" + text + "” of " + place + " is no time of day; write it as 18:30.");
    }
    return minutes;
  }

  /** A window; empty where it was over before the start. */
  Optional<HourSpan> window(JsonNode node, String place) throws JsonUnreadable {
    return window(new Fields(node, place));
  }

  /** A window with whatever else was read of it before. */
  Optional<HourSpan> window(Fields fields) throws JsonUnreadable {
    String place = fields.place();
    int from = minutes(fields.text("from", ""), "“from” of " + place);
    int to = minutes(fields.text("to", ""), "“to” of " + place);
    int day = fields.whole("day", 0, MOST_DAYS);
    fields.end();
    return stretch(new Window(from, to, day));
  }

  /** A window in hours after the start; empty where it was over before that. */
  Optional<HourSpan> stretch(Window window) {
    int from = window.from();
    int to = window.to();
    if (window.day() > 0) {
      int begin = window.day() * DAY + from - startMinutes;
      return stretch(Math.max(0, begin), Math.max(0, begin + length(from, to)));
    }
    int begin = Math.floorMod(from - startMinutes, DAY);
    int end = Math.floorMod(to - startMinutes, DAY);
    boolean openAtTheStart = end > 0 && end < begin;
    return openAtTheStart ? stretch(0, end) : stretch(begin, begin + length(from, to));
  }

  /** From one time of day to the next such other one. */
  private static int length(int from, int to) {
    return to > from ? to - from : to - from + DAY;
  }

  private static Optional<HourSpan> stretch(int from, int to) {
    return from == to ? Optional.empty() : Optional.of(new HourSpan(from / MINUTES, to / MINUTES));
  }

  /** A moment: a time, or a time with its day. */
  double moment(JsonNode node, String place) throws JsonUnreadable {
    if (node.isTextual()) {
      return moment(minutes(node.asText(), place), 0);
    }
    Fields fields = new Fields(node, place);
    String time = fields.text("at", "");
    int day = fields.whole("day", 0, MOST_DAYS);
    fields.end();
    return moment(minutes(time, place), day);
  }

  /** A moment in hours after the start. */
  double moment(int minutes, int day) {
    int at = day * DAY + minutes - startMinutes;
    return (at < 0 ? at + DAY : at) / MINUTES;
  }

  /** Minutes of the day as a time. */
  static String written(int minutes) {
    return String.format(Locale.ROOT, "%02d:%02d", minutes / 60, minutes % 60);
  }

  private static int minute(double hour) {
    return (int) Math.rint(hour * MINUTES);
  }

  /** A moment as it is read back by {@link #moment}. */
  JsonNode writtenMoment(double hour) {
    Window at = written(hour);
    if (at.day() == 0) {
      return JsonNodeFactory.instance.textNode(written(at.from()));
    }
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    node.put("at", written(at.from()));
    node.put("day", at.day());
    return node;
  }

  /**
   * A moment by the clock; its day is named from 24 h after the start on, when times come round.
   */
  Window written(double hour) {
    int since = minute(hour);
    int at = startMinutes + since;
    return new Window(at % DAY, at % DAY, since < DAY ? 0 : at / DAY);
  }

  /**
   * A stretch by the clock: one window for every 24 h, since a time of day comes round after that.
   *
   * @param end of the plan, h, which is where a stretch without end is cut off
   */
  List<Window> windows(HourSpan stretch, double end) {
    List<Window> all = new ArrayList<>();
    int from = minute(stretch.from());
    int to = minute(Double.isInfinite(stretch.to()) ? Math.max(end, stretch.from()) : stretch.to());
    while (from < to) {
      int until = Math.min(to, (from / DAY + 1) * DAY);
      Window at = written(from / MINUTES);
      all.add(new Window(at.from(), (startMinutes + until) % DAY, at.day()));
      from = until;
    }
    return all;
  }

  /** The same as JSON that is read back by {@link #window}. */
  List<ObjectNode> writtenWindows(HourSpan stretch, double end) {
    List<ObjectNode> all = new ArrayList<>();
    for (Window window : windows(stretch, end)) {
      ObjectNode node = JsonNodeFactory.instance.objectNode();
      node.put("from", written(window.from()));
      node.put("to", written(window.to()));
      if (window.day() > 0) {
        node.put("day", window.day());
      }
      all.add(node);
    }
    return all;
  }
}

package org.wiseember.core.notes;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.typed.NotebookReader;

/**
 * A moment as it stands on a line, before it is known what the lines around it say.
 *
 * @param kind by which clock
 * @param from s since midnight, or since the first entry; its beginning
 * @param to its end, s
 * @param instant whether it was written to the second or finer, so that what happened and what was
 *     read lie apart by no more than a hand needs
 * @param rest the line without it
 */
record WrittenMoment(Kind kind, double from, double to, boolean instant, String rest) {
  /** By which clock. */
  enum Kind {
    OF_DAY,
    SINCE_FIRST,
    NONE
  }

  private static final String CLOCK =
      "\\d{1,2}:[0-5]\\d(?::[0-5]\\d)?(?:\\s?[ap]\\.?m\\b\\.?)?|\\d{1,2}\\s?[ap]m\\b";
  private static final String ELAPSED =
      "\\+\\s?(?:\\d{1,4}:[0-5]\\d(?::[0-5]\\d)?|\\d[\\d.,]*\\s?(?:hours?|hrs?|h|minutes?|mins?|m|seconds?|secs?|s)\\b)";
  private static final String ONE = "(?:" + CLOCK + "|" + ELAPSED + ")";
  private static final String ABOUT = "(?:about|around|approx\\.?|ca\\.?|roughly|~)\\s*";

  private static final Pattern FIRST =
      Pattern.compile(
          "(?:at )?(?:between (?<a>"
              + ONE
              + ") and (?<b>"
              + ONE
              + ")|(?<about>"
              + ABOUT
              + ")?(?<one>"
              + ONE
              + "))(?:[\\s,:]+(?<rest>\\S.*)|\\s*)",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern LAST =
      Pattern.compile(
          "(?<rest>.*?\\S)[\\s,]+(?:between (?<a>"
              + ONE
              + ") and (?<b>"
              + ONE
              + ")|(?:(?:at )?(?<about>"
              + ABOUT
              + ")|at )(?<one>"
              + ONE
              + "))\\.?",
          Pattern.CASE_INSENSITIVE);

  /** What may stand behind a time that is still to come: it is a reading of the display. */
  private static final Pattern STILL_TO_COME =
      Pattern.compile("(?:h |hours? )?(?:to|until|left|h\\b).*", Pattern.CASE_INSENSITIVE);

  private static final Pattern PARTS = Pattern.compile("(\\d+):(\\d+)(?::(\\d+))?(.*)");
  private static final Pattern COUNTED = Pattern.compile("(\\d[\\d.,]*)\\s*([a-z]+)");

  /** "About" an hour of the day: five minutes either way; common practice, no published source. */
  private static final double ABOUT_SECONDS = 300;

  /** "About" so long: a tenth either way; common practice, no published source. */
  private static final double ABOUT_SHARE = 0.1;

  /** Nobody notes how long it was to better than a hand needs, s. */
  private static final double LEAST_ELAPSED = 0.3;

  private static final double DAY = 86_400;

  /** What stands on a line; its moment is {@code NONE} where none does. */
  static WrittenMoment of(String line) {
    if (line.length() > NotebookReader.LONGEST) {
      return none(line);
    }
    Matcher m = FIRST.matcher(line);
    if (m.matches()
        && (m.group("rest") == null || !STILL_TO_COME.matcher(m.group("rest")).matches())) {
      return read(m).orElseGet(() -> none(line));
    }
    Matcher last = LAST.matcher(line);
    return last.matches() ? read(last).orElseGet(() -> none(line)) : none(line);
  }

  private static WrittenMoment none(String line) {
    return new WrittenMoment(Kind.NONE, Double.NaN, Double.NaN, false, line);
  }

  private static Optional<WrittenMoment> read(Matcher m) {
    String rest = m.group("rest") == null ? "" : m.group("rest").strip();
    if (m.group("one") != null) {
      return one(m.group("one"), m.group("about") != null, rest);
    }
    Optional<WrittenMoment> a = one(m.group("a"), false, rest);
    Optional<WrittenMoment> b = one(m.group("b"), false, rest);
    if (a.isEmpty() || b.isEmpty() || a.get().kind != b.get().kind) {
      return Optional.empty();
    }
    boolean overMidnight = a.get().kind == Kind.OF_DAY && b.get().to < a.get().from;
    double to = b.get().to + (overMidnight ? DAY : 0);
    return to < a.get().from
        ? Optional.empty()
        : Optional.of(new WrittenMoment(a.get().kind, a.get().from, to, false, rest));
  }

  private static Optional<WrittenMoment> one(String written, boolean about, String rest) {
    String text = written.toLowerCase(Locale.ROOT).strip();
    return text.startsWith("+")
        ? sinceFirst(text.substring(1).strip(), about, rest)
        : ofDay(text, about, rest);
  }

  private static Optional<WrittenMoment> ofDay(String text, boolean about, String rest) {
    Matcher m = PARTS.matcher(text);
    boolean parted = m.matches();
    String digits = text.replaceAll("\\D.*", "");
    int h = Integer.parseInt(parted ? m.group(1) : digits);
    int min = parted ? Integer.parseInt(m.group(2)) : 0;
    int s = parted && m.group(3) != null ? Integer.parseInt(m.group(3)) : 0;
    String half = (parted ? m.group(4) : text.substring(digits.length())).strip();
    if (!half.isEmpty() && (h < 1 || h > 12)) {
      return Optional.empty();
    }
    if (!half.isEmpty()) {
      h = h % 12 + (half.startsWith("p") ? 12 : 0);
    }
    if (h > 23) {
      return Optional.empty();
    }
    double at = 3600.0 * h + 60 * min + s;
    if (about) {
      return Optional.of(
          new WrittenMoment(Kind.OF_DAY, at - ABOUT_SECONDS, at + ABOUT_SECONDS, false, rest));
    }
    boolean second = parted && m.group(3) != null;
    double step = second ? 0 : parted ? 60 : 3600;
    return Optional.of(new WrittenMoment(Kind.OF_DAY, at, at + step, second, rest));
  }

  private static Optional<WrittenMoment> sinceFirst(String text, boolean about, String rest) {
    Matcher clock = PARTS.matcher(text);
    double seconds;
    double step;
    if (clock.matches()) {
      double a = Double.parseDouble(clock.group(1));
      double b = Double.parseDouble(clock.group(2));
      boolean hours = clock.group(3) != null;
      seconds = hours ? 3600 * a + 60 * b + Double.parseDouble(clock.group(3)) : 60 * a + b;
      step = 1;
    } else {
      Matcher m = COUNTED.matcher(text);
      if (!m.matches()) {
        return Optional.empty();
      }
      String number = m.group(1).replace(',', '.');
      if (number.indexOf('.') != number.lastIndexOf('.') || number.length() > 9) {
        return Optional.empty();
      }
      double unit = m.group(2).startsWith("h") ? 3600 : m.group(2).startsWith("m") ? 60 : 1;
      int point = number.indexOf('.');
      int decimals = point < 0 ? 0 : number.length() - point - 1;
      seconds = Double.parseDouble(number) * unit;
      step = unit * Math.pow(10, -decimals);
    }
    double half = Math.max(LEAST_ELAPSED, about ? ABOUT_SHARE * seconds : step / 2);
    return Optional.of(
        new WrittenMoment(
            Kind.SINCE_FIRST, Math.max(0, seconds - half), seconds + half, false, rest));
  }
}

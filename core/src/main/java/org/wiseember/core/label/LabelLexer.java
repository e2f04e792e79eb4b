package org.wiseember.core.label;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Finds the measured values in a line of a label: a sign, a number or a range, and a unit, in the
 * many ways they are printed. Units come out in one spelling, figures in its scale.
 */
final class LabelLexer {
  /** One spelling for each unit the reader knows. */
  enum Mark {
    W,
    VA,
    V,
    A,
    WH,
    AH,
    HZ,
    PERCENT,
    KG,
    TIME,
    DB,
    CELSIUS,
    C_RATE,
    METRE,
    CYCLES,
    YEARS,
    CELLS,
    OUTLETS,
    TIMES,
    BARE
  }

  /**
   * A measured value.
   *
   * @param sign {@code <}, {@code >}, {@code ±} or empty
   * @param low the figure, or the lower end of a range
   * @param high the upper end of a range, else NaN
   * @param milli whether a time was printed in milliseconds
   * @param alternating whether the unit itself said AC
   */
  record Measure(
      String sign,
      double low,
      double high,
      Mark mark,
      boolean milli,
      boolean alternating,
      int start,
      int end) {
    boolean isRange() {
      return !Double.isNaN(high);
    }

    /** The same figures counted in another unit. */
    Measure scaled(double factor) {
      return new Measure(sign, low * factor, high * factor, mark, milli, alternating, start, end);
    }

    double most() {
      return isRange() ? high : low;
    }
  }

  private record Scale(Mark mark, double factor, double offset) {}

  private static final Map<String, Scale> UNITS = new HashMap<>();

  static {
    unit(Mark.W, 1, "w", "watt", "watts", "wp", "wpk", "w.");
    unit(Mark.W, 1000, "kw", "kilowatt", "kilowatts");
    unit(Mark.VA, 1, "va", "volt-ampere");
    unit(Mark.VA, 1000, "kva");
    unit(Mark.V, 1, "v", "volt", "volts", "vac", "vdc", "v~", "v⎓", "v=", "vmax", "voc");
    unit(Mark.V, 0.001, "mv");
    unit(Mark.A, 1, "a", "amp", "amps", "ampere", "amperes", "aac", "adc", "a~", "a⎓");
    unit(Mark.A, 0.001, "ma");
    unit(Mark.WH, 1, "wh", "whr", "whrs", "w·h", "w.h");
    unit(Mark.WH, 1000, "kwh", "kwhr");
    unit(Mark.AH, 1, "ah", "ahr");
    unit(Mark.AH, 0.001, "mah");
    unit(Mark.HZ, 1, "hz", "hertz");
    unit(Mark.PERCENT, 1, "%", "percent", "pct");
    unit(Mark.KG, 1, "kg", "kgs", "kilo", "kilos", "kilogram", "kilograms");
    unit(Mark.KG, 0.001, "g", "grams");
    unit(Mark.KG, 0.45359237, "lb", "lbs", "pound", "pounds");
    unit(Mark.TIME, 0.001, "ms", "msec", "millisecond", "milliseconds");
    unit(Mark.TIME, 1, "s", "sec", "secs", "second", "seconds");
    unit(Mark.TIME, 60, "min", "mins", "minute", "minutes");
    unit(Mark.TIME, 3600, "h", "hr", "hrs", "hour", "hours");
    unit(Mark.DB, 1, "db", "dba", "decibel", "decibels");
    unit(Mark.CELSIUS, 1, "°c", "℃", "degc", "celsius", "ºc");
    UNITS.put("°f", new Scale(Mark.CELSIUS, 5.0 / 9, -32 * 5.0 / 9));
    UNITS.put("℉", new Scale(Mark.CELSIUS, 5.0 / 9, -32 * 5.0 / 9));
    UNITS.put("degf", new Scale(Mark.CELSIUS, 5.0 / 9, -32 * 5.0 / 9));
    unit(Mark.METRE, 1, "m", "metre", "metres", "meter", "meters");
    unit(Mark.METRE, 0.01, "cm");
    unit(Mark.CYCLES, 1, "cycles", "cycle", "charges", "times");
    unit(Mark.YEARS, 1, "y", "yr", "yrs", "year", "years");
    unit(Mark.YEARS, 1.0 / 12, "month", "months");
    unit(Mark.CELLS, 1, "cells", "cell");
    unit(Mark.OUTLETS, 1, "outlets", "outlet", "sockets", "socket");
  }

  private static void unit(Mark mark, double factor, String... spellings) {
    for (String spelling : spellings) {
      UNITS.put(spelling, new Scale(mark, factor, 0));
    }
  }

  private static final String NUMBER =
      "(?:\\d{1,3}(?:[ ,']\\d{3})+(?!\\d)(?:\\.\\d+)?|\\d*[.,]?\\d+)";

  private static final String UNIT = "(?:[a-z]*(?:·h|\\.h)|°c|°f|ºc|℃|℉|v[~⎓=]|a[~⎓]|%|[a-z]+)";

  private static final Pattern MEASURE =
      Pattern.compile(
          "(?<sign><=|>=|<|>|≤|≥|±|\\+/-|≈|(?<![a-z0-9%)°] ?)[-−](?=\\d)|(?<=^|[ (:])[-−](?=\\d))?"
              + "\\s*(?<low>"
              + NUMBER
              + ")(?:\\s?\\+)?"
              + "(?:\\s*(?<lowunit>"
              + UNIT
              + ")?\\s*(?<to>-|−|–|—|~|\\.\\.\\.?|…|to\\b|/)\\s*(?<highsign>[-−])?(?<high>"
              + NUMBER
              + "))?"
              + "(?:[\\s-]?(?<unit>"
              + UNIT
              + "))?",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern TIMES =
      Pattern.compile(
          "(?:^|[\\s(])(?:x\\s?(?<after>\\d{1,2})(?!\\s?[a-z0-9.%°])|(?<before>\\d{1,2})\\s?x(?=\\s))",
          Pattern.CASE_INSENSITIVE);

  private static final Pattern SERIES =
      Pattern.compile("(?<![\\w.])(?<cells>\\d{1,3})S(?:\\d{1,3}P)?\\b");

  private LabelLexer() {}

  /** All measured values of a tidied line, in order. */
  static List<Measure> measures(String line) {
    List<Measure> found = new ArrayList<>();
    char[] left = line.toCharArray();
    Matcher series = SERIES.matcher(line);
    while (series.find()) {
      found.add(plain(Mark.CELLS, Double.parseDouble(series.group("cells")), series));
      blank(left, series.start(), series.end());
    }
    Matcher times = TIMES.matcher(new String(left));
    while (times.find()) {
      String n = times.group("after") != null ? times.group("after") : times.group("before");
      found.add(plain(Mark.TIMES, Double.parseDouble(n), times));
      blank(left, times.start(), times.end());
    }
    String rest = new String(left);
    Matcher matcher = MEASURE.matcher(rest);
    int at = 0;
    while (at <= rest.length() && matcher.find(at)) {
      if (partOfWord(rest, matcher.start("low"))) {
        at = skipWord(rest, matcher.start("low"));
        continue;
      }
      Measure measure = read(rest, matcher);
      found.add(measure);
      at = Math.max(measure.end(), matcher.start("low") + 1);
    }
    found.sort((a, b) -> Integer.compare(a.start(), b.start()));
    return found;
  }

  private static void blank(char[] text, int start, int end) {
    for (int i = start; i < end; i++) {
      text[i] = ' ';
    }
  }

  private static Measure plain(Mark mark, double value, Matcher m) {
    return new Measure("", value, Double.NaN, mark, false, false, m.start(), m.end());
  }

  /** A digit glued to a letter, as in LiFePO4 or DC5521, is a name, not a figure. */
  private static boolean partOfWord(String line, int start) {
    if (start == 0) {
      return false;
    }
    char before = line.charAt(start - 1);
    return Character.isLetter(before) && before != '≤' && before != '≥';
  }

  private static int skipWord(String line, int start) {
    int i = start;
    while (i < line.length() && Character.isLetterOrDigit(line.charAt(i))) {
      i++;
    }
    return Math.max(i, start + 1);
  }

  private static Measure read(String line, Matcher m) {
    String unitText = m.group("unit");
    int end = m.end();
    boolean range = m.group("high") != null;
    String lowUnit = m.group("lowunit");
    Scale scale = scaleOf(line, unitText, m.start("low"), m.start("unit"), range);
    Scale lowScale = lowUnit == null ? null : UNITS.get(lowUnit.toLowerCase(Locale.ROOT));
    boolean slash = range && m.group("to").equals("/");
    boolean conversion =
        range && lowUnit != null && scale != null && scale.mark() == Mark.V && converts(m);
    if (range
        && (conversion
            || mismatch(lowUnit, lowScale, scale)
            || (slash && !slashIsRange(m, lowUnit)))) {
      // Two separate figures, as in "21 Ah / 51.2 V": take the first, leave the second.
      range = false;
      boolean glued = lowUnit != null && lowScale != null;
      scale = glued ? lowScale : scaleOf(line, lowUnit, m.start("low"), m.start("lowunit"), false);
      end = scale != null && lowUnit != null ? m.end("lowunit") : m.end("low");
      unitText = scale == null ? null : lowUnit;
    } else if (scale == null) {
      end = range ? m.end("high") : m.end("low");
      unitText = null;
    }
    Scale used = scale == null ? new Scale(Mark.BARE, 1, 0) : scale;
    String sign = sign(m.group("sign"));
    double low = number(m.group("low")) * (sign.equals("-") ? -1 : 1);
    double high = range ? number(m.group("high")) * (m.group("highsign") == null ? 1 : -1) : 0;
    low = low * used.factor() + used.offset();
    high = range ? high * used.factor() + used.offset() : Double.NaN;
    String lower = unitText == null ? "" : unitText.toLowerCase(Locale.ROOT);
    return new Measure(
        sign.equals("-") ? "" : sign,
        low,
        high,
        used.mark(),
        used.mark() == Mark.TIME && used.factor() < 0.5,
        lower.equals("vac") || lower.equals("v~") || lower.equals("a~"),
        m.start("sign") >= 0 ? m.start("sign") : m.start("low"),
        Math.max(end, m.end("low")));
  }

  private static boolean mismatch(String lowUnit, Scale lowScale, Scale scale) {
    if (lowUnit == null) {
      return false;
    }
    return lowScale == null || scale == null || lowScale.mark() != scale.mark();
  }

  /** "12 V to 230 V" is what an inverter does, not a range. */
  private static boolean converts(Matcher m) {
    return number(m.group("low")) < 65 && number(m.group("high")) >= 100;
  }

  /** "50/60 Hz" and "110/120 V" are ranges; "12 V / 24 V" too; "1200 W / 2400 W" are two claims. */
  private static boolean slashIsRange(Matcher m, String lowUnit) {
    if (lowUnit != null) {
      return false;
    }
    double low = number(m.group("low"));
    double high = number(m.group("high"));
    return low < high && high <= 2 * low;
  }

  private static Scale scaleOf(String line, String unit, int start, int unitStart, boolean range) {
    if (unit == null) {
      return null;
    }
    if (unit.equals("C")) {
      String figure = line.substring(start, unitStart).strip();
      boolean small = number(figure.replaceAll("[^0-9.,]", "")) <= 5;
      return small && !range ? new Scale(Mark.C_RATE, 1, 0) : new Scale(Mark.CELSIUS, 1, 0);
    }
    if (unit.equals("F") && range) {
      return UNITS.get("°f");
    }
    return UNITS.get(unit.toLowerCase(Locale.ROOT));
  }

  private static String sign(String printed) {
    if (printed == null) {
      return "";
    }
    return switch (printed) {
      case "<", "<=", "≤" -> "<";
      case ">", ">=", "≥" -> ">";
      case "±", "+/-" -> "±";
      case "-", "−" -> "-";
      default -> "";
    };
  }

  /**
   * A comma or space before exactly three digits groups thousands; a comma elsewhere is a decimal
   * point.
   */
  static double number(String printed) {
    String text = printed.strip();
    if (text.isEmpty()) {
      return Double.NaN;
    }
    if (text.matches("[1-9]\\d{0,2}(?:[ ,']\\d{3})+(?:\\.\\d+)?")) {
      return Double.parseDouble(text.replaceAll("[ ,']", ""));
    }
    return Double.parseDouble(text.replace(" ", "").replace("'", "").replace(',', '.'));
  }
}

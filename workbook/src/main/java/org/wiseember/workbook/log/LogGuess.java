package org.wiseember.workbook.log;

import java.time.DateTimeException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.trace.Channel;

/** Guesses what the columns of a meter's file are, from their headings and first figures. */
final class LogGuess {
  /** Above this volts are an outlet's, below a battery's or a port's. */
  private static final double MAINS_FROM = 75;

  private static final int LONGEST_HEADING = 200;

  private static final Pattern DATE = Pattern.compile("\\d{1,4}[./-]\\d{1,2}[./-]\\d{1,4}");
  private static final Pattern UNIT =
      Pattern.compile(
          "(?i)(?:^|[\\s_/(\\[,-])(kwh|mwh|wh|kw|mw|w|kv|mv|v|ma|a|hz|°c|°f|degc|degf|%|klx|lx)[)\\]]?$");

  private final List<String> headings;
  private final List<List<String>> rows;
  private final char separator;
  private final boolean decimalComma;

  LogGuess(List<String> headings, List<List<String>> rows, char separator) {
    this.headings = headings;
    this.rows = rows;
    this.separator = separator;
    this.decimalComma =
        separator != ','
            && rows.stream().flatMap(List::stream).anyMatch(c -> c.matches("-?\\d+,\\d+"));
  }

  /** Whether a cell holds figures: a number, a date, a time. */
  static boolean figures(String cell) {
    String text = cell.strip();
    long digits = text.chars().filter(Character::isDigit).count();
    return digits > 0 && digits * 2 >= text.replaceAll("[.,:/+\\-\\sTZ]", "").length();
  }

  LogMapping mapping(int headingRow) {
    int dated = find(name -> name.matches("date|datum|day"), i -> DATE.matcher(cell(i)).matches());
    int time =
        find(
            name ->
                name.matches(
                    "(time|timestamp|date_?time|date_and_time|elapsed|elapsed_time|t|zeit|clock"
                        + "|seconds|sec|minutes|hours|date|datum)(_.*)?"),
            i -> i != dated && formOf(i).isPresent());
    int date = dated;
    if (time < 0 && date < 0) {
      time = 0;
    }
    if (time < 0) {
      time = date;
      date = -1;
    }
    int dateAt = date == time ? -1 : date;
    TimeForm form = formOf(time).orElse(TimeForm.SECONDS);
    if (dateAt >= 0) {
      form = dated(cell(dateAt) + " " + cell(time)).orElse(form);
    }
    List<LogMapping.Use> uses = new ArrayList<>();
    Set<Channel> taken = EnumSet.noneOf(Channel.class);
    boolean direct = direct();
    for (int i = 0; i < headings.size(); i++) {
      if (i == time || i == dateAt) {
        continue;
      }
      Optional<Channel> channel = channel(i, direct);
      if (channel.isPresent() && taken.add(channel.get())) {
        uses.add(new LogMapping.Use(i, channel.get(), unit(i, channel.get())));
      }
    }
    return new LogMapping(headingRow, separator, decimalComma, time, dateAt, form, uses);
  }

  private interface Named {
    boolean test(String name);
  }

  private interface At {
    boolean test(int column);
  }

  private int find(Named named, At fits) {
    for (int i = 0; i < headings.size(); i++) {
      if (named.test(name(i)) && fits.test(i)) {
        return i;
      }
    }
    return -1;
  }

  private String name(int column) {
    return heading(column)
        .replaceAll("[\\[(].*?[\\])]", "")
        .replaceAll("[^a-z0-9°%]+", "_")
        .replaceAll("^_|_$", "");
  }

  /** What is longer than any heading is not looked at to its end. */
  private String heading(int column) {
    String heading = headings.get(column);
    return heading
        .substring(0, Math.min(LONGEST_HEADING, heading.length()))
        .toLowerCase(Locale.ROOT);
  }

  private String cell(int column) {
    return rows.stream()
        .filter(r -> column < r.size() && !r.get(column).isBlank())
        .map(r -> r.get(column).strip())
        .findFirst()
        .orElse("");
  }

  private double number(int column) {
    char[] text = cell(column).toCharArray();
    return Decimal.parse(text, 0, text.length, decimalComma ? ',' : '.');
  }

  private Optional<TimeForm> formOf(int column) {
    String cell = cell(column);
    if (!Double.isNaN(number(column))) {
      String heading = heading(column);
      double value = number(column);
      if (heading.matches(".*\\b(ms|milliseconds?)\\b.*") || value > 1e11) {
        return Optional.of(TimeForm.MILLISECONDS);
      }
      if (heading.matches(".*\\b(min|minutes?)\\b.*")) {
        return Optional.of(TimeForm.MINUTES);
      }
      return Optional.of(
          heading.matches(".*\\b(h|hours?|hrs?)\\b.*") ? TimeForm.HOURS : TimeForm.SECONDS);
    }
    if (works(TimeForm.CLOCK, cell)) {
      return Optional.of(TimeForm.CLOCK);
    }
    return dated(cell);
  }

  /** Day or month first: told by a number above 12, by points, else by AM and PM. */
  private Optional<TimeForm> dated(String cell) {
    if (works(TimeForm.ISO, cell)) {
      return Optional.of(TimeForm.ISO);
    }
    boolean american = cell.indexOf('/') >= 0 && cell.toLowerCase(Locale.ROOT).endsWith("m");
    TimeForm first = american ? TimeForm.MONTH_FIRST : TimeForm.DAY_FIRST;
    TimeForm second = american ? TimeForm.DAY_FIRST : TimeForm.MONTH_FIRST;
    return works(first, cell)
        ? Optional.of(first)
        : works(second, cell) ? Optional.of(second) : Optional.empty();
  }

  private static boolean works(TimeForm form, String cell) {
    try {
      return Double.isFinite(form.moment(cell).seconds());
    } catch (DateTimeException no) {
      return false;
    }
  }

  /** Whether the file is about a battery: its volts are low, or its headings say DC. */
  private boolean direct() {
    for (int i = 0; i < headings.size(); i++) {
      if (name(i).matches("(voltage|volts?|u|v|vdc|vbat|battery_voltage)(_v)?")) {
        return number(i) < MAINS_FROM;
      }
    }
    return headings.stream().anyMatch(h -> h.toLowerCase(Locale.ROOT).contains("dc"));
  }

  private Optional<Channel> channel(int column, boolean direct) {
    String name = name(column);
    Optional<Channel> own = Channel.byKey(name);
    if (own.isPresent()) {
      return own;
    }
    boolean dc = name.contains("dc") || name.contains("bat") || (direct && !name.contains("ac"));
    String unit = unitIn(headings.get(column)).orElse("").toLowerCase(Locale.ROOT);
    if (name.matches(".*(energy|consum|kwh|wh\\b|total).*") || unit.endsWith("wh")) {
      return Optional.of(Channel.AC_ENERGY);
    }
    if (name.matches(".*(freq|hertz|hz).*") || unit.equals("hz")) {
      return Optional.of(Channel.FREQUENCY);
    }
    if (name.matches(".*(room|ambient).*")) {
      return Optional.of(Channel.ROOM_TEMPERATURE);
    }
    if (name.matches(".*(temp|case|probe).*") || unit.contains("°")) {
      return Optional.of(Channel.CASE_TEMPERATURE);
    }
    if (name.matches(".*(soc|charge|battery_level|percent).*") || unit.equals("%")) {
      return Optional.of(Channel.DISPLAY_CHARGE);
    }
    if (name.matches(".*(lux|light|illum).*") || unit.endsWith("lx")) {
      return Optional.of(Channel.ILLUMINANCE);
    }
    if (name.matches(".*(apparent|reactive|factor|\\bva\\b|cos).*")) {
      return Optional.empty();
    }
    if (name.matches(".*(input|charge_power|pv|solar).*")
        && (unit.endsWith("w") || name.contains("power"))) {
      return Optional.of(Channel.IN_POWER);
    }
    if (name.matches(".*(power|watt|load).*|p|w|kw") || unit.matches("k?w|mw")) {
      return Optional.of(dc ? Channel.DC_POWER : Channel.AC_POWER);
    }
    if (name.matches(".*(volt).*|u|v|vac|vdc|vbat") || unit.matches("[mk]?v")) {
      return Optional.of(dc ? Channel.DC_VOLTAGE : Channel.AC_VOLTAGE);
    }
    if (name.matches(".*(current|amp).*|i|a|iac|idc") || unit.matches("m?a")) {
      return Optional.of(dc ? Channel.DC_CURRENT : Channel.AC_CURRENT);
    }
    return Optional.empty();
  }

  private static Optional<String> unitIn(String heading) {
    Matcher m = UNIT.matcher(heading.strip());
    return m.find() ? Optional.of(m.group(1)) : Optional.empty();
  }

  /** The unit written in a heading, where the channel knows it; else the channel's own. */
  private String unit(int column, Channel channel) {
    Optional<String> written = unitIn(headings.get(column));
    return written
        .flatMap(
            w ->
                LogColumn.units(channel).stream()
                    .filter(u -> u.equals(w) || (u.equalsIgnoreCase(w) && !w.startsWith("M")))
                    .findFirst())
        .orElse(channel.unit().symbol());
  }
}

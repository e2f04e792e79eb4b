package org.wiseember.workbook.log;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What the lines above the samples of a capture say: which column is which, in which unit, and how
 * far apart samples are where there is no time column.
 *
 * @param time column of the time, −1 for none
 * @param timeFactor its unit in seconds
 * @param volts column of the volts
 * @param voltFactor its unit in volts
 * @param voltName as headed
 * @param voltsAssumed whether no heading says volts
 * @param amps column of the amps, −1 for none
 * @param ampFactor its unit in amperes
 * @param perSecond samples a second, where a line says it
 * @param passedOver a sentence about columns that are not used
 */
record WaveHeadings(
    int time,
    double timeFactor,
    int volts,
    double voltFactor,
    String voltName,
    boolean voltsAssumed,
    int amps,
    double ampFactor,
    OptionalDouble perSecond,
    Optional<String> passedOver) {
  private static final int LONGEST_LINE = 2_000;

  private static final Pattern UNIT = Pattern.compile("[\\[(]\\s*([^\\])]*?)\\s*[\\])]");
  private static final Pattern RATE =
      Pattern.compile(
          "(?i)sampl\\w*\\s*(?:rate|frequency)|samples?\\s*(?:per|/|a)\\s*s(?:ec\\w*)?\\b");
  private static final Pattern STEP =
      Pattern.compile(
          "(?i)(?:sampl\\w*|time)\\s*(?:interval|step|increment|period|spacing)|increment");
  private static final Pattern PER_COUNT =
      Pattern.compile("(?i)v(?:olts?)?\\s*(?:per|/|a)\\s*(?:count|bit|lsb|step)");
  private static final Pattern NUMBER =
      Pattern.compile("[-+]?(?:\\d+(?:[.,]\\d+)?|\\.\\d+)(?:[eE][-+]?\\d+)?");

  /**
   * Reads the lines above the samples.
   *
   * @param lines above, possibly none
   * @param columns of the samples
   * @param channel heading of the column to take for the volts; empty for the first that has volts
   */
  static WaveHeadings of(
      List<String> lines, int columns, char separator, Optional<String> channel) {
    List<String> read = lines.stream().map(WaveHeadings::head).toList();
    List<String[]> rows = new ArrayList<>();
    for (String line : read) {
      rows.add(cells(line, separator));
    }
    String[] names = new String[columns];
    String[] units = new String[columns];
    Arrays.fill(names, "");
    Arrays.fill(units, "");
    nameColumns(rows, names, units);
    return assign(read, names, units, columns, channel.map(String::strip));
  }

  /** What is longer than any preamble's line is not looked at to its end. */
  private static String head(String line) {
    return line.substring(0, Math.min(LONGEST_LINE, line.length()));
  }

  /** The cells of a line, without the blanks and the quotes around them. */
  static String[] cells(String line, char separator) {
    String[] cells = line.split(Pattern.quote(String.valueOf(separator)), -1);
    for (int i = 0; i < cells.length; i++) {
      String cell = cells[i].strip();
      int from = cell.startsWith("\"") ? 1 : 0;
      int to = cell.length() > from && cell.endsWith("\"") ? cell.length() - 1 : cell.length();
      cells[i] = cell.substring(from, to).strip();
    }
    return cells;
  }

  /** The last line or two above the samples, as far as they have a cell a column. */
  private static void nameColumns(List<String[]> rows, String[] names, String[] units) {
    int last = rows.size() - 1;
    while (last >= 0 && String.join("", rows.get(last)).isEmpty()) {
      last--;
    }
    if (last < 0) {
      return;
    }
    String[] bottom = rows.get(last);
    boolean onlyUnits =
        last > 0
            && Arrays.stream(bottom).allMatch(c -> c.isEmpty() || unitOf(c) != null)
            && rows.get(last - 1).length >= Math.min(2, names.length);
    String[] named = onlyUnits ? rows.get(last - 1) : bottom;
    for (int i = 0; i < names.length; i++) {
      names[i] = i < named.length ? named[i] : "";
      Matcher m = UNIT.matcher(names[i]);
      units[i] = m.find() ? m.group(1) : onlyUnits && i < bottom.length ? strip(bottom[i]) : "";
    }
  }

  private static String strip(String unit) {
    return unit.replaceAll("[\\[\\]()]", "").strip();
  }

  /** What a cell that holds nothing but a unit means; null where it is none. */
  private static String unitOf(String cell) {
    String unit = strip(cell);
    return factor(unit, 's') > 0
            || factor(unit, 'v') > 0
            || factor(unit, 'a') > 0
            || unit.equalsIgnoreCase("counts")
        ? unit
        : null;
  }

  private static double factor(String unit, char base) {
    String u = unit.strip();
    if (u.isEmpty() || Character.toLowerCase(u.charAt(u.length() - 1)) != base) {
      String lower = u.toLowerCase(Locale.ROOT);
      boolean word =
          (base == 's' && lower.matches("sec(ond)?s?"))
              || (base == 'v' && lower.matches("volts?"))
              || (base == 'a' && lower.matches("amp(ere)?s?"));
      return word ? 1 : 0;
    }
    return switch (u.substring(0, u.length() - 1)) {
      case "" -> 1;
      case "m" -> 1e-3;
      case "u", "µ", "μ" -> 1e-6;
      case "n" -> 1e-9;
      case "k" -> 1e3;
      default -> 0;
    };
  }

  private static boolean says(String name, String unit, String words, char base) {
    boolean byUnit = factor(unit, base) > 0;
    return byUnit || (unit.isEmpty() && name.toLowerCase(Locale.ROOT).matches(words));
  }

  private static WaveHeadings assign(
      List<String> lines, String[] names, String[] units, int columns, Optional<String> channel) {
    int time = -1;
    int volts = -1;
    int amps = -1;
    List<String> over = new ArrayList<>();
    for (int i = 0; i < columns; i++) {
      if (channel.isPresent() && volts < 0 && names[i].equalsIgnoreCase(channel.get())) {
        volts = i;
      } else if (time < 0 && says(names[i], units[i], ".*\\b(time|second|sec|t)\\b.*|x", 's')) {
        time = i;
      } else if (volts < 0
          && channel.isEmpty()
          && says(names[i], units[i], ".*(volt|spannung|tension).*|u|v|ac_voltage", 'v')) {
        volts = i;
      } else if (amps < 0 && says(names[i], units[i], ".*(current|amp).*|i", 'a')) {
        amps = i;
      } else {
        over.add(names[i].isEmpty() ? "column " + (i + 1) : names[i]);
      }
    }
    boolean nameless = Arrays.stream(names).allMatch(String::isEmpty);
    if (time < 0 && nameless && columns > 1) {
      time = 0;
      over.remove("column 1");
    }
    boolean assumed = volts < 0;
    for (int i = 0; i < columns && volts < 0; i++) {
      if (i != time && i != amps) {
        volts = i;
        over.remove(names[i].isEmpty() ? "column " + (i + 1) : names[i]);
      }
    }
    volts = Math.max(0, volts);
    double voltFactor = factor(units[volts], 'v');
    double perCount = after(lines, PER_COUNT).orElse(1);
    return new WaveHeadings(
        time,
        time < 0 ? 1 : orOne(factor(units[time], 's')),
        volts,
        voltFactor > 0 ? voltFactor : perCount,
        names[volts].isEmpty() ? "column " + (volts + 1) : names[volts],
        assumed && !nameless,
        amps,
        amps < 0 ? 1 : orOne(factor(units[amps], 'a')),
        rate(lines),
        over.isEmpty()
            ? Optional.empty()
            : Optional.of("Passed over: " + String.join(", ", over) + "."));
  }

  private static double orOne(double factor) {
    return factor > 0 ? factor : 1;
  }

  private static OptionalDouble rate(List<String> lines) {
    OptionalDouble rate = after(lines, RATE);
    if (rate.isPresent()) {
      return rate;
    }
    OptionalDouble step = after(lines, STEP);
    return step.isPresent() ? OptionalDouble.of(1 / step.getAsDouble()) : OptionalDouble.empty();
  }

  /** The first number above 0 behind words like these, with the unit that follows it. */
  private static OptionalDouble after(List<String> lines, Pattern words) {
    for (String line : lines) {
      Matcher found = words.matcher(line);
      if (!found.find()) {
        continue;
      }
      Matcher number = NUMBER.matcher(line).region(found.end(), line.length());
      if (number.find()) {
        double value = Double.parseDouble(number.group().replace(',', '.'));
        String behind = line.substring(number.end()).strip().replaceAll("[^\\p{L}µ/].*", "");
        double factor =
            behind.matches("(?i)k(s/s|sa/s|hz)?")
                ? 1e3
                : behind.matches("M(S/s|Sa/s|Hz)?")
                    ? 1e6
                    : factor(behind, 's') > 0 ? factor(behind, 's') : 1;
        if (value > 0 && Double.isFinite(value)) {
          return OptionalDouble.of(value * factor);
        }
      }
    }
    return OptionalDouble.empty();
  }
}

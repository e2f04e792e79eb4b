package org.wiseember.core.quantity;

import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a reader wants temperatures, wires, lengths, weights and times of day told in. The program
 * keeps, calculates and saves in °C, metres, kilograms, AWG with mm² and 24 hours; a figure is
 * turned on its way to the eye, and back on its way in.
 *
 * <p>Within a sentence such figures are known by the no-break space that {@link Figures} puts
 * before their unit. What a person wrote, a label or a note, has plain spaces and stays as written.
 *
 * @param fahrenheit °F for °C
 * @param wire which of the two sizes of a wire
 * @param feet feet for metres
 * @param pounds lb for kg
 * @param twelveHours {@code 2:32 pm} for {@code 14:32}
 */
public record ReaderUnits(
    boolean fahrenheit, Wire wire, boolean feet, boolean pounds, boolean twelveHours) {
  /** Everything as it is kept. */
  public static final ReaderUnits AS_KEPT = new ReaderUnits(false, Wire.BOTH, false, false, false);

  /** What readers in the United States are used to. */
  public static final ReaderUnits CUSTOMARY = new ReaderUnits(true, Wire.AWG, true, true, true);

  /** Exactly: International Yard and Pound Agreement of 1959. */
  private static final double METRES_A_FOOT = 0.3048;

  /** Exactly, by the same agreement. */
  private static final double KILOGRAMS_A_POUND = 0.45359237;

  private static final DateTimeFormatter OF_24 =
      DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
  private static final DateTimeFormatter OF_12 =
      DateTimeFormatter.ofPattern("h:mm a", Locale.ENGLISH);

  private static final String NUMBER = "[\u2212-]?\\d[\\d\u2009]*(?:\\.\\d+)?";

  /** A figure alone, of a range, or with its uncertainty; or an uncertainty alone. */
  private static final Pattern FIGURE =
      Pattern.compile(
          "(?<plus>± )?(?<one>"
              + NUMBER
              + ")(?:(?<between> ± | to )(?<two>"
              + NUMBER
              + "))?"
              + Figures.NO_BREAK
              + "(?<unit>°C|K|m|kg)(?![\\p{L}\\d²/])");

  /** A wire by both its sizes, as {@code Gauge.words()} has them. */
  private static final Pattern GAUGE =
      Pattern.compile(
          "(?<awg>[\\d/]+"
              + Figures.NO_BREAK
              + "AWG) or (?<metric>[\\d.]+"
              + Figures.NO_BREAK
              + "mm²)");

  /** Which size of a wire is told. */
  public enum Wire {
    BOTH,
    SQUARE_MILLIMETRES,
    AWG
  }

  /** What a reader of this country is used to, as long as nothing else is chosen. */
  public static ReaderUnits of(Locale locale) {
    return locale.getCountry().equals("US") ? CUSTOMARY : AS_KEPT;
  }

  /**
   * Reads what {@link #words()} writes: any of {@code c f}, {@code both mm2 awg}, {@code m ft},
   * {@code kg lb}, {@code 24h 12h}, with commas between; what is not named is as it is kept.
   *
   * @throws IllegalArgumentException with a sentence, for anything else
   */
  public static ReaderUnits named(String words) {
    ReaderUnits units = AS_KEPT;
    for (String word : words.toLowerCase(Locale.ROOT).split(",")) {
      units =
          switch (word.strip()) {
            case "" -> units;
            case "c" -> units.temperature(false);
            case "f" -> units.temperature(true);
            case "both" -> units.wire(Wire.BOTH);
            case "mm2" -> units.wire(Wire.SQUARE_MILLIMETRES);
            case "awg" -> units.wire(Wire.AWG);
            case "m" -> units.length(false);
            case "ft" -> units.length(true);
            case "kg" -> units.weight(false);
            case "lb" -> units.weight(true);
            case "24h" -> units.day(false);
            case "12h" -> units.day(true);
            default ->
                throw new IllegalArgumentException(
                    "“"
                        + word.strip()
                        + "” is none of the units to choose: c or f, both, mm2 or awg, m or ft, kg or"
                        + " lb, 24h or 12h.");
          };
    }
    return units;
  }

  /** {@code f,awg,ft,lb,12h}. */
  public String words() {
    String size =
        switch (wire) {
          case BOTH -> "both";
          case SQUARE_MILLIMETRES -> "mm2";
          case AWG -> "awg";
        };
    return String.join(
        ",",
        fahrenheit ? "f" : "c",
        size,
        feet ? "ft" : "m",
        pounds ? "lb" : "kg",
        twelveHours ? "12h" : "24h");
  }

  /** The same with temperatures in °F, or in °C. */
  public ReaderUnits temperature(boolean inFahrenheit) {
    return new ReaderUnits(inFahrenheit, wire, feet, pounds, twelveHours);
  }

  /** The same with this size of a wire. */
  public ReaderUnits wire(Wire size) {
    return new ReaderUnits(fahrenheit, size, feet, pounds, twelveHours);
  }

  /** The same with lengths in feet, or in metres. */
  public ReaderUnits length(boolean inFeet) {
    return new ReaderUnits(fahrenheit, wire, inFeet, pounds, twelveHours);
  }

  /** The same with weights in lb, or in kg. */
  public ReaderUnits weight(boolean inPounds) {
    return new ReaderUnits(fahrenheit, wire, feet, inPounds, twelveHours);
  }

  /** The same with a day of twice 12 hours, or of 24. */
  public ReaderUnits day(boolean ofTwelve) {
    return new ReaderUnits(fahrenheit, wire, feet, pounds, ofTwelve);
  }

  /** The symbol that figures kept in this unit are shown with. */
  public String symbol(Unit kept) {
    return scale(kept).symbol;
  }

  /** A value as it is shown. */
  public double shown(double value, Unit kept) {
    return value / scale(kept).size + scale(kept).zero;
  }

  /** A difference or an uncertainty as it is shown. */
  public double shownDifference(double value, Unit kept) {
    return value / scale(kept).size;
  }

  /** What was typed in the reader's unit, in the one it is kept in. */
  public double kept(double typed, Unit kept) {
    return (typed - scale(kept).zero) * scale(kept).size;
  }

  /** {@code 14:32} or {@code 2:32 pm}. */
  public String time(LocalTime time) {
    return twelveHours ? OF_12.format(time).toLowerCase(Locale.ENGLISH) : OF_24.format(time);
  }

  /** Words of the program with the figures in them in the reader's units. */
  public String told(String words) {
    if (equals(AS_KEPT) || words.indexOf(Figures.NO_BREAK) < 0) {
      return words;
    }
    StringBuilder out = new StringBuilder();
    Matcher m = FIGURE.matcher(words);
    while (m.find()) {
      m.appendReplacement(out, Matcher.quoteReplacement(turned(m)));
    }
    m.appendTail(out);
    return switch (wire) {
      case BOTH -> out.toString();
      case AWG -> GAUGE.matcher(out).replaceAll("${awg}");
      case SQUARE_MILLIMETRES -> GAUGE.matcher(out).replaceAll("${metric}");
    };
  }

  /**
   * Words of a person, to be quoted among ours: a label pasted from a page may have no-break spaces
   * of its own, and stays as printed.
   */
  public static String quoted(String words) {
    return words.replace(Figures.NO_BREAK, ' ');
  }

  private String turned(Matcher m) {
    Unit unit = unit(m.group("unit"));
    if (scale(unit).size == 1) {
      return m.group();
    }
    boolean difference = m.group("plus") != null;
    StringBuilder out = new StringBuilder();
    out.append(difference ? "± " : "").append(turned(m.group("one"), unit, difference));
    if (m.group("between") != null) {
      String between = m.group("between");
      out.append(between).append(turned(m.group("two"), unit, between.contains("±")));
    }
    return out.append(Figures.NO_BREAK).append(symbol(unit)).toString();
  }

  /** As many decimals as the figure had; a foot and a pound want one more than a whole number. */
  private String turned(String number, Unit unit, boolean difference) {
    double value = Double.parseDouble(number.replace("\u2009", "").replace('\u2212', '-'));
    int point = number.indexOf('.');
    int decimals = point < 0 ? 0 : number.length() - point - 1;
    boolean degrees = unit == Unit.CELSIUS || unit == Unit.KELVIN;
    return Figures.fixed(
        difference ? shownDifference(value, unit) : shown(value, unit),
        degrees ? decimals : Math.max(1, decimals));
  }

  private static Unit unit(String symbol) {
    return switch (symbol) {
      case "°C" -> Unit.CELSIUS;
      case "K" -> Unit.KELVIN;
      case "m" -> Unit.METRE;
      default -> Unit.KILOGRAM;
    };
  }

  /** How large the reader's unit is in the one kept, and what it shows at its zero. */
  private record Scale(String symbol, double size, double zero) {}

  private Scale scale(Unit kept) {
    return switch (kept) {
      case CELSIUS -> fahrenheit ? new Scale("°F", 5.0 / 9, 32) : new Scale("°C", 1, 0);
      case KELVIN -> fahrenheit ? new Scale("°F", 5.0 / 9, 0) : new Scale("K", 1, 0);
      case METRE -> feet ? new Scale("ft", METRES_A_FOOT, 0) : new Scale("m", 1, 0);
      case KILOGRAM -> pounds ? new Scale("lb", KILOGRAMS_A_POUND, 0) : new Scale("kg", 1, 0);
      default -> new Scale(kept.symbol(), 1, 0);
    };
  }
}

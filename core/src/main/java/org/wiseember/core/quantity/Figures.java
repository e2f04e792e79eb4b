package org.wiseember.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Locale;

/**
 * Writes numbers the way the whole program shows them: a thin space between thousands, a true minus
 * sign, and no more digits than the uncertainty supports.
 */
public final class Figures {
  /** U+2009, which every face we ship contains. */
  public static final char THIN_SPACE = '\u2009';

  /**
   * U+00A0, before the units a reader may choose: {@link ReaderUnits} knows figures of ours by it.
   */
  public static final char NO_BREAK = '\u00a0';

  private static final String NO_VALUE = "–";

  private Figures() {}

  /**
   * Writes a value with a fixed number of decimals.
   *
   * @param value any number; a value that is not finite is written as a dash
   * @param decimals digits after the point, 0 to 9
   */
  public static String fixed(double value, int decimals) {
    if (!Double.isFinite(value)) {
      return NO_VALUE;
    }
    BigDecimal rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
    return spaced(rounded.toPlainString());
  }

  /**
   * Writes a number as somebody would jot it down: up to four significant digits, no tail zeros.
   */
  public static String plain(double value) {
    if (!Double.isFinite(value)) {
      return NO_VALUE;
    }
    if (value == 0) {
      return "0";
    }
    int digits = Math.abs(value) >= 10_000 ? 6 : 4;
    BigDecimal rounded =
        BigDecimal.valueOf(value).round(new MathContext(digits, RoundingMode.HALF_UP));
    return spaced(rounded.stripTrailingZeros().toPlainString());
  }

  /** Like {@link #plain(double)}, followed by the unit's symbol. */
  public static String plain(double value, Unit unit) {
    return withUnit(plain(value), unit);
  }

  /** Like {@link #fixed(double, int)}, followed by the unit's symbol. */
  public static String fixed(double value, int decimals, Unit unit) {
    return withUnit(fixed(value, decimals), unit);
  }

  /**
   * How many decimals a figure with this uncertainty deserves: the uncertainty keeps two
   * significant digits when it starts with 1 or 2, else one (GUM 7.2.6 asks for no more than two).
   *
   * @param u95 expanded uncertainty in the figure's unit; zero or less gives one decimal
   */
  public static int decimalsFor(double u95) {
    if (!(u95 > 0) || !Double.isFinite(u95)) {
      return 1;
    }
    int exponent = (int) Math.floor(Math.log10(u95));
    double lead = u95 / Math.pow(10, exponent);
    int digits = lead < 2.95 ? 2 : 1;
    return Math.max(0, Math.min(9, digits - 1 - exponent));
  }

  /** The value alone, rounded to where its uncertainty ends. */
  public static String rounded(double value, double u95) {
    return fixed(value, decimalsFor(u95));
  }

  /** {@code 921 ± 9}, without the unit. */
  public static String withUncertainty(double value, double u95) {
    int decimals = decimalsFor(u95);
    return fixed(value, decimals) + " ± " + fixed(u95, decimals);
  }

  /** {@code 921 ± 9 Wh}. */
  public static String withUncertainty(double value, double u95, Unit unit) {
    return withUnit(withUncertainty(value, u95), unit);
  }

  /** Puts the unit's symbol after a written number; a plain count stays as it is. */
  public static String withUnit(String number, Unit unit) {
    return unit.symbol().isEmpty()
        ? number
        : number + (unit.readersChoice() ? NO_BREAK : ' ') + unit.symbol();
  }

  /** {@code 3rd}, {@code 11th}, {@code 22nd}. */
  public static String ordinal(int n) {
    int tens = n % 100;
    int ones = n % 10;
    String ending =
        tens >= 11 && tens <= 13
            ? "th"
            : ones == 1 ? "st" : ones == 2 ? "nd" : ones == 3 ? "rd" : "th";
    return n + ending;
  }

  /** {@code 1 h 32 min 24 s}; whole seconds, leading zero parts left out. */
  public static String duration(double seconds) {
    if (!Double.isFinite(seconds)) {
      return NO_VALUE;
    }
    long whole = Math.round(Math.abs(seconds));
    String sign = seconds < 0 && whole > 0 ? "\u2212" : "";
    long hours = whole / 3600;
    long minutes = whole / 60 % 60;
    long rest = whole % 60;
    if (hours > 0) {
      return sign + hours + " h " + minutes + " min" + (rest > 0 ? " " + rest + " s" : "");
    }
    if (minutes > 0) {
      return sign + minutes + " min" + (rest > 0 ? " " + rest + " s" : "");
    }
    return sign + rest + " s";
  }

  /** {@code 1:32:24}, as a bench clock shows it. */
  public static String clock(double seconds) {
    if (!Double.isFinite(seconds)) {
      return NO_VALUE;
    }
    long whole = (long) Math.floor(Math.max(0, seconds));
    return String.format(Locale.ROOT, "%d:%02d:%02d", whole / 3600, whole / 60 % 60, whole % 60);
  }

  private static String spaced(String plain) {
    boolean negative = plain.startsWith("-");
    String digits = negative ? plain.substring(1) : plain;
    int point = digits.indexOf('.');
    String whole = point < 0 ? digits : digits.substring(0, point);
    String fraction = point < 0 ? "" : digits.substring(point);
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < whole.length(); i++) {
      if (i > 0 && (whole.length() - i) % 3 == 0 && whole.length() > 3) {
        out.append(THIN_SPACE);
      }
      out.append(whole.charAt(i));
    }
    boolean zero = digits.chars().allMatch(c -> c == '0' || c == '.');
    return (negative && !zero ? "\u2212" : "") + out + fraction;
  }
}

package org.wiseember.core.typed;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number as people write it, taken apart from its unit.
 *
 * @param value the number
 * @param resolution step of its last digit
 * @param unit what follows it, lower case where case does not matter; empty for nothing
 * @param groupedInstead the other reading of a comma before three digits, NaN where there is none
 */
public record TypedNumber(double value, double resolution, String unit, double groupedInstead) {
  private static final Pattern TEXT =
      Pattern.compile(
          "(?<sign>[-\u2212]?)\\s*(?<number>\\d[\\d \u2009\u00a0\u202f'.,]*|[.,]\\d+)\\s*"
              + "(?<unit>[a-zA-Z°%]*)\\.?");
  private static final Pattern BLANK = Pattern.compile("[ \u2009\u00a0\u202f']");

  /** Blanks stand between groups of three digits, and a number does not begin with noughts. */
  private static final Pattern PARTED =
      Pattern.compile("[1-9]\\d{0,2}(?:[ \u2009\u00a0\u202f']\\d{3})+(?:[.,]\\d+)?");

  private static final Pattern GROUPS =
      Pattern.compile("\\d{1,3}(?:\\.\\d{3})+|\\d{1,3}(?:,\\d{3})+");
  private static final Pattern THOUSANDS = Pattern.compile("\\d{1,3}([.,])\\d{3}");

  /** Reads a number with its unit; empty when the text is something else. */
  public static Optional<TypedNumber> of(String text) {
    Matcher m = TEXT.matcher(text.strip());
    if (!m.matches()) {
      return Optional.empty();
    }
    String parted = m.group("number").replaceAll("[ \u2009\u00a0\u202f]+$", "");
    if (BLANK.matcher(parted).find() && !PARTED.matcher(parted).matches()) {
      return Optional.empty();
    }
    String number = BLANK.matcher(parted).replaceAll("");
    boolean negative = !m.group("sign").isEmpty();
    int commas = count(number, ',');
    int points = count(number, '.');
    double grouped = Double.NaN;
    if (commas > 0 && points > 0) {
      // The one that comes last parts the decimals.
      char decimal = number.lastIndexOf(',') > number.lastIndexOf('.') ? ',' : '.';
      if (!GROUPS.matcher(number.substring(0, number.lastIndexOf(decimal))).matches()) {
        return Optional.empty();
      }
      number = number.replace(decimal == ',' ? "." : ",", "").replace(',', '.');
    } else if (commas > 1 || points > 1) {
      if (!GROUPS.matcher(number).matches()) {
        return Optional.empty();
      }
      number = number.replaceAll("[.,]", "");
    } else {
      Matcher thousands = THOUSANDS.matcher(number);
      if (thousands.matches() && thousands.group(1).equals(",") && !number.startsWith("0")) {
        grouped = Double.parseDouble(number.replace(",", ""));
      }
      number = number.replace(',', '.');
    }
    if (count(number, '.') > 1 || number.length() > 18) {
      return Optional.empty();
    }
    double value = Double.parseDouble(number) * (negative ? -1 : 1);
    int point = number.indexOf('.');
    int decimals = point < 0 ? 0 : number.length() - point - 1;
    return Optional.of(
        new TypedNumber(
            value, Math.pow(10, -decimals), m.group("unit"), negative ? -grouped : grouped));
  }

  private static int count(String text, char c) {
    return (int) text.chars().filter(x -> x == c).count();
  }

  String unitLowerCase() {
    return unit.toLowerCase(Locale.ROOT);
  }

  /** The same number with the comma taken for thousands. */
  TypedNumber grouped() {
    return new TypedNumber(groupedInstead, 1, unit, Double.NaN);
  }

  TypedNumber scaled(double factor) {
    return new TypedNumber(value * factor, resolution * factor, unit, groupedInstead * factor);
  }
}

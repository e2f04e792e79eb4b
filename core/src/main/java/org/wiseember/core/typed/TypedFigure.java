package org.wiseember.core.typed;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Supplier;
import org.wiseember.core.quantity.Figures;

/**
 * One number typed where its unit is known, in any notation: {@code 1 500}, {@code 1,500 W}, {@code
 * 1.5 kW} and {@code 1500,0} are the same to a field of watts.
 *
 * <p>A comma before three digits may part thousands or decimals. Of watts, volt-amperes and
 * watt-hours nobody writes thousandths, so there it parts thousands; elsewhere that reading is
 * taken which the range allows, and where it allows both, who typed it is asked.
 *
 * <pre>{@code
 * TypedFigure.read("Running amps", "3,4 A", "A", 0, 1000); // 3.4
 * }</pre>
 */
public final class TypedFigure {
  private static final Set<String> WHOLE = Set.of("w", "va", "wh", "lx");

  /** What is told apart from a slip of the keys. */
  private static final Set<String> UNITS =
      Set.of(
          "v", "a", "w", "kw", "va", "kva", "wh", "kwh", "ah", "mah", "ma", "mv", "hz", "%", "h",
          "min", "s", "ms", "m", "ft", "kg", "lb", "c", "f", "°c", "°f", "db", "lx", "hp");

  private static final double KILO = 1000;

  private TypedFigure() {}

  /** Whether a comma before three digits can only part thousands of this unit. */
  static boolean whole(String symbol) {
    return WHOLE.contains(symbol.toLowerCase(Locale.ROOT));
  }

  /**
   * Reads one.
   *
   * @param name of the field, for the sentence
   * @param symbol of the unit it is kept in, which may be typed behind it, also with a k for a
   *     thousand; empty where it has none
   * @param least the range it must lie in, both ends included
   * @return empty for nothing typed
   * @throws IllegalArgumentException with a sentence where it is no such number, or may be two
   */
  public static OptionalDouble read(
      String name, String text, String symbol, double least, double most) {
    if (text.isBlank()) {
      return OptionalDouble.empty();
    }
    TypedNumber number = TypedNumber.of(text).orElseThrow(() -> none(name, text, least, most));
    String unit = number.unitLowerCase();
    String own = symbol.toLowerCase(Locale.ROOT);
    boolean kilo = !own.isEmpty() && unit.equals("k" + own);
    if (!kilo && !unit.isEmpty() && !unit.equals(own)) {
      if (!UNITS.contains(unit)) {
        throw none(name, text, least, most);
      }
      throw new IllegalArgumentException(
          name
              + ": “"
              + text.strip()
              + "” has a unit that does not fit here. Type the number"
              + (own.isEmpty() ? " alone." : " in " + symbol + "."));
    }
    double factor = kilo ? KILO : 1;
    double decimal = number.value() * factor;
    double thousands = number.groupedInstead() * factor;
    if (Double.isNaN(thousands)) {
      return within(decimal, least, most, () -> none(name, text, least, most));
    }
    if (whole(symbol) && !kilo) {
      return within(thousands, least, most, () -> none(name, text, least, most));
    }
    boolean either = decimal >= least && decimal <= most;
    boolean other = thousands >= least && thousands <= most;
    if (either && other) {
      throw new IllegalArgumentException(
          name
              + ": “"
              + text.strip()
              + "” may be "
              + Figures.plain(number.value())
              + " or "
              + Figures.plain(number.groupedInstead())
              + ". Type it with a point, or without the comma.");
    }
    return within(other ? thousands : decimal, least, most, () -> none(name, text, least, most));
  }

  private static OptionalDouble within(
      double value, double least, double most, Supplier<IllegalArgumentException> otherwise) {
    if (!(value >= least && value <= most)) {
      throw otherwise.get();
    }
    return OptionalDouble.of(value);
  }

  private static IllegalArgumentException none(
      String name, String text, double least, double most) {
    boolean bounded = !Double.isInfinite(least) && !Double.isInfinite(most);
    return new IllegalArgumentException(
        name
            + ": “"
            + text.strip()
            + "” is no number"
            + (bounded ? " from " + Figures.plain(least) + " to " + Figures.plain(most) : "")
            + ".");
  }
}

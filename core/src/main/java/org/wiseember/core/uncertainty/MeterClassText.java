package org.wiseember.core.uncertainty;

import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.quantity.Unit;

/**
 * A meter's class as one copies it off the data sheet: {@code 0.5 % + 2 digits}, {@code 1 %},
 * {@code 0.5 % + 0.1 A}.
 *
 * @param percent of reading
 * @param digits of the last place
 * @param fixed limits that do not depend on the reading, in {@code of}; 0 for none
 * @param of what the fixed part is in
 */
public record MeterClassText(double percent, int digits, double fixed, Optional<Unit> of) {
  private static final Pattern TEXT =
      Pattern.compile(
          "[±]?\\s*(?:(?<percent>\\d{1,3}(?:[.,]\\d+)?)\\s*%(?:\\s*of reading)?)?"
              + "\\s*(?:\\+?\\s*(?:(?<digits>\\d{1,4})\\s*(?:d|dgt|digits?)"
              + "|(?<fixed>\\d{1,6}(?:[.,]\\d+)?)\\s*(?<unit>[A-Za-z°]{1,3})))?");

  /** Reads it; empty where it is no class. */
  public static Optional<MeterClassText> read(String text) {
    Matcher m = TEXT.matcher(text.strip());
    if (!m.matches()
        || (m.group("percent") == null && m.group("digits") == null && m.group("fixed") == null)) {
      return Optional.empty();
    }
    double percent = number(m.group("percent"));
    String symbol = m.group("unit");
    Optional<Unit> unit =
        Arrays.stream(Unit.values()).filter(u -> u.symbol().equals(symbol)).findFirst();
    int digits = m.group("digits") == null ? 0 : Integer.parseInt(m.group("digits"));
    return percent > 100 || (symbol != null && unit.isEmpty())
        ? Optional.empty()
        : Optional.of(new MeterClassText(percent, digits, number(m.group("fixed")), unit));
  }

  private static double number(String text) {
    return text == null ? 0 : Double.parseDouble(text.replace(',', '.'));
  }

  /**
   * The class of one of its readings.
   *
   * @param unit it is in; a fixed part in another unit is not its
   * @param resolution step of its last digit, which the text does not tell
   */
  public MeterClass at(Unit unit, double resolution) {
    boolean own = fixed > 0 && of.filter(unit::equals).isPresent();
    return new MeterClass(percent, own ? 100 : 0, own ? fixed : 0, resolution, digits);
  }
}

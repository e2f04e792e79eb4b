package org.wiseember.desktop.bench;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.typed.TypedNumber;
import org.wiseember.core.uncertainty.MeterClass;

/** A meter's class as one types it off the data sheet: {@code 0.5 % + 2 digits}. */
final class ClassText {
  private static final Pattern TEXT =
      Pattern.compile(
          "(?:[±]?\\s*(?<percent>\\d{1,3}(?:[.,]\\d+)?)\\s*%(?:\\s*of reading)?)?"
              + "\\s*(?:\\+?\\s*(?<digits>\\d{1,4})\\s*(?:d|dgt|digits?))?");

  private ClassText() {}

  /**
   * Reads it.
   *
   * @param resolution of the meter, which its text does not tell
   */
  static Optional<MeterClass> read(String text, double resolution) {
    Matcher m = TEXT.matcher(text.strip());
    if (!m.matches() || (m.group("percent") == null && m.group("digits") == null)) {
      return Optional.empty();
    }
    double percent =
        m.group("percent") == null
            ? 0
            : TypedNumber.of(m.group("percent")).map(TypedNumber::value).orElse(Double.NaN);
    int digits = m.group("digits") == null ? 0 : Integer.parseInt(m.group("digits"));
    return !(percent <= 100)
        ? Optional.empty()
        : Optional.of(MeterClass.ofReading(percent, digits, resolution));
  }
}

package org.wiseember.workbook.comtrade;

import java.util.Locale;

/**
 * One analog channel of a configuration: a value is {@code factor · number + offset} in its unit.
 *
 * @param name as the recorder calls it
 * @param unit such as {@code V} or {@code kA}
 * @param factor a
 * @param offset b
 * @param primary of the transformer's ratio, above 0
 * @param secondary of it, above 0
 * @param inSecondary whether the values are those behind the transformer
 */
record AnalogChannel(
    String name,
    String unit,
    double factor,
    double offset,
    double primary,
    double secondary,
    boolean inSecondary) {
  private double multiplier() {
    String u = unit.strip();
    return u.length() < 2
        ? 1
        : switch (u.charAt(0)) {
          case 'k', 'K' -> 1e3;
          case 'm' -> 1e-3;
          case 'M' -> 1e6;
          case 'u', 'µ', 'μ' -> 1e-6;
          default -> 1;
        };
  }

  private boolean measures(String base) {
    String u = unit.strip().toUpperCase(Locale.ROOT);
    return u.equals(base) || (u.length() == 2 && u.endsWith(base));
  }

  boolean volts() {
    return measures("V");
  }

  boolean amps() {
    return measures("A");
  }

  /** By how much the number behind a transformer is multiplied to be the one before it. */
  double ratio() {
    return inSecondary ? primary / secondary : 1;
  }

  /** A number as volts or amps before the transformer. */
  double value(double number) {
    return (factor * number + offset) * multiplier() * ratio();
  }
}

package org.wiseember.core.quantity;

/** The units figures are kept and shown in. Inside the program one quantity has one unit. */
public enum Unit {
  WATT("W"),
  VOLT_AMPERE("VA"),
  VOLT("V"),
  AMPERE("A"),
  WATT_HOUR("Wh"),
  AMPERE_HOUR("Ah"),
  SECOND("s"),
  MILLISECOND("ms"),
  MINUTE("min"),
  HOUR("h"),
  HERTZ("Hz"),
  CELSIUS("°C"),
  /** A difference of temperatures. */
  KELVIN("K"),
  PERCENT("%"),
  KILOGRAM("kg"),
  DECIBEL("dB"),
  YEAR("years"),
  LUX("lx"),
  PER_WATT("1/W"),
  /** A plain count, such as cells or cycles. */
  ONE("");

  private final String symbol;

  Unit(String symbol) {
    this.symbol = symbol;
  }

  /** The symbol as printed after a figure; empty for a plain count. */
  public String symbol() {
    return symbol;
  }
}

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
  METRE("m"),
  /** Of a wire. */
  SQUARE_MILLIMETRE("mm²"),
  DECIBEL("dB"),
  YEAR("years"),
  LUX("lx"),
  OHM("Ω"),
  PER_WATT("1/W"),
  WATT_HOUR_PER_KILOGRAM("Wh/kg"),
  WATT_PER_KILOGRAM("W/kg"),
  /** Of money, whose currency stands in the name. */
  PER_WATT_HOUR("per Wh"),
  PER_KILOWATT_HOUR("per kWh"),
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

  /** Whether readers choose what a figure of it is shown in: {@link ReaderUnits}. */
  public boolean readersChoice() {
    return switch (this) {
      case CELSIUS, KELVIN, KILOGRAM, METRE, SQUARE_MILLIMETRE -> true;
      default -> false;
    };
  }

  /**
   * How many of another unit one of this is: {@code SECOND.in(HOUR)} is 1 ÷ 3 600.
   *
   * @throws IllegalArgumentException for a unit of another quantity
   */
  public double in(Unit other) {
    if (this == other) {
      return 1;
    }
    double here = seconds();
    double there = other.seconds();
    if (Double.isNaN(here) || Double.isNaN(there)) {
      throw new IllegalArgumentException(this + " is no " + other);
    }
    return here / there;
  }

  /** Of a unit of time; NaN for another. */
  private double seconds() {
    return switch (this) {
      case MILLISECOND -> 0.001;
      case SECOND -> 1;
      case MINUTE -> 60;
      case HOUR -> 3600;
      default -> Double.NaN;
    };
  }
}

package org.wiseember.bench.simulated;

import org.wiseember.bench.simulated.design.PackDesign;

/** The battery management: what it forbids, and the code the unit then shows. */
public enum BatteryManagement {
  FINE("", ""),
  EMPTY("E01", "battery empty"),
  LOW_CELL("E02", "low volts on one cell"),
  TOO_HOT("E05", "battery too hot"),
  TOO_COLD("E06", "battery too cold to charge");

  /** Above this it stops all output, °C: common practice, no published source. */
  static final double HOT_CELSIUS = 60;

  private final String code;
  private final String words;

  BatteryManagement(String code, String words) {
    this.code = code;
    this.words = words;
  }

  /** As shown by the unit; empty when all is well. */
  public String code() {
    return code;
  }

  public String words() {
    return words;
  }

  /** Whether the pack may give these watts. */
  static BatteryManagement discharging(Pack pack, PackDesign design, double watts) {
    if (pack.celsius() > HOT_CELSIUS) {
      return TOO_HOT;
    }
    if (pack.stateOfCharge() <= design.reserve()) {
      return EMPTY;
    }
    return pack.weakestVolts(watts) < design.chemistry().cutOffVolts() ? LOW_CELL : FINE;
  }
}

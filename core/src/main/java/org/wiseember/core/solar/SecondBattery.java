package org.wiseember.core.solar;

import java.util.List;
import org.wiseember.core.quantity.Figures;

/**
 * A battery that feeds a port in place of panels. Volts of the cells: common practice, no published
 * source.
 *
 * @param name {@code 24 V lithium iron phosphate}
 * @param emptyVolts at which its own management stops, V
 * @param usualVolts for most of its charge, V
 * @param fullVolts while it is charged, V
 */
public record SecondBattery(String name, double emptyVolts, double usualVolts, double fullVolts) {
  /** The one the bench has beside it. */
  public static final SecondBattery LITHIUM_24 =
      new SecondBattery("24 V lithium iron phosphate", 20, 26.2, 29.2);

  /** What people have. */
  public static List<SecondBattery> usual() {
    return List.of(
        new SecondBattery("12 V lead-acid", 10.8, 12.5, 14.8),
        new SecondBattery("12 V lithium iron phosphate", 10, 13.1, 14.6),
        new SecondBattery("24 V lead-acid", 21.6, 25, 29.6),
        LITHIUM_24,
        new SecondBattery("36 V lithium-ion, 10 cells", 30, 36.5, 42),
        new SecondBattery("48 V lithium iron phosphate", 40, 52.4, 58.4));
  }

  /** Whether the port may ever see it: its volts while it is charged stay within. */
  public boolean allowed(Port port) {
    return fullVolts <= port.mostVolts();
  }

  /** What the port draws from it for most of its charge, W; 0 where it does not begin. */
  public double watts(Port port) {
    return allowed(port) ? port.takes(usualVolts) : 0;
  }

  /** How it stands, a few words. */
  public String standing(Port port) {
    if (!allowed(port)) {
      return "Never: " + Figures.plain(fullVolts) + " V while it is charged";
    }
    if (usualVolts < port.leastVolts()) {
      return "Gives nothing: the port begins at " + Figures.plain(port.leastVolts()) + " V";
    }
    return emptyVolts < port.leastVolts()
        ? "Allowed; stops at " + Figures.plain(port.leastVolts()) + " V, before it is empty"
        : "Allowed";
  }
}

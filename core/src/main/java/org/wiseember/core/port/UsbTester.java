package org.wiseember.core.port;

/**
 * What a USB tester can ask of a port. One that asks for nothing gets 5 V, whatever the port could
 * do. Voltages and currents of USB Power Delivery 3.1, recalled from memory.
 */
public enum UsbTester {
  FIVE_VOLT("5 V tester", 5, 3),
  FAST_CHARGE("fast-charge trigger, up to 12 V", 12, 1.5),
  PD_60("PD trigger, up to 20 V 3 A", 20, 3),
  PD_100("PD trigger with a 5 A cable, up to 20 V 5 A", 20, 5),
  PD_240("extended-range PD trigger, up to 48 V 5 A", 48, 5);

  private final String words;
  private final double volts;
  private final double amps;

  UsbTester(String words, double volts, double amps) {
    this.words = words;
    this.volts = volts;
    this.amps = amps;
  }

  public String words() {
    return words;
  }

  /** The most it can get out of any port, W. */
  public double mostWatts() {
    return volts * amps;
  }

  /** Whether a claim of so many watts is within its reach. */
  public boolean canShow(double watts) {
    return mostWatts() >= watts;
  }

  /** What it takes to show a claim, for the sentence beside it. */
  public static String needed(double watts) {
    for (UsbTester t : values()) {
      if (t.canShow(watts)) {
        return t.words;
      }
    }
    return "a load beyond USB Power Delivery";
  }
}

package org.wiseember.bench.simulated;

/** Practice faults that can be switched on for training; the software should notice each. */
public enum Fault {
  FROZEN_DISPLAY("Frozen display", "The unit's display stops following at some moment."),
  THERMOSTAT("Thermostat cycling", "The heater goes off and on by its thermostat."),
  LOOSE_LEAD("Loose lead", "A plug makes poor contact and the volts dip for a second or two."),
  AVERAGING_METER(
      "Averaging meter",
      "The meter's amps answer to the rectified mean, and half of the load is a rectifier."),
  WRONG_METER_CLOCK(
      "Meter clock wrong", "The clock by which the meter counts its total runs off by percents.");

  private final String title;
  private final String words;

  Fault(String title, String words) {
    this.title = title;
    this.words = words;
  }

  public String title() {
    return title;
  }

  public String words() {
    return words;
  }
}

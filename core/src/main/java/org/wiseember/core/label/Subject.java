package org.wiseember.core.label;

import static org.wiseember.core.label.Direction.AT_LEAST;
import static org.wiseember.core.label.Direction.AT_MOST;
import static org.wiseember.core.label.Direction.BAND;
import static org.wiseember.core.label.Direction.STATED;

import org.wiseember.core.quantity.Unit;

/**
 * What a label can claim. The plausible range, in the subject's unit, is generous: a figure outside
 * it is a slip of the pen or of the unit, and is asked about instead of taken.
 */
public enum Subject {
  CAPACITY("Capacity", Group.ENERGY, Unit.WATT_HOUR, AT_LEAST, 1, 100_000),
  EXPANDABLE("Expandable to", Group.ENERGY, Unit.WATT_HOUR, STATED, 1, 1_000_000),
  CHARGE_CAPACITY("Amp-hours", Group.ENERGY, Unit.AMPERE_HOUR, AT_LEAST, 0.1, 10_000),
  NOMINAL_VOLTAGE("Pack volts", Group.ENERGY, Unit.VOLT, STATED, 1, 1_000),
  CELLS("Cells", Group.ENERGY, Unit.ONE, STATED, 1, 400),
  CHEMISTRY("Chemistry", Group.ENERGY, Unit.ONE, STATED, 0, 0),
  EFFICIENCY("Conversion efficiency", Group.ENERGY, Unit.PERCENT, AT_LEAST, 1, 100),
  ROUND_TRIP("Round trip", Group.ENERGY, Unit.PERCENT, AT_LEAST, 1, 100),
  IDLE("Idle draw", Group.IDLE, Unit.WATT, AT_MOST, 0.001, 500),
  IDLE_CURRENT("Idle amps", Group.IDLE, Unit.AMPERE, AT_MOST, 0.001, 100),
  STANDBY("Standby draw", Group.IDLE, Unit.WATT, AT_MOST, 0, 500),
  CONTINUOUS_POWER("Continuous power", Group.POWER, Unit.WATT, AT_LEAST, 1, 100_000),
  APPARENT_POWER("Continuous VA", Group.POWER, Unit.VOLT_AMPERE, AT_LEAST, 1, 100_000),
  OVERLOAD("Overload", Group.POWER, Unit.WATT, AT_LEAST, 1, 200_000),
  /** Never printed by itself: what a promised overload is judged by, the time it is borne. */
  OVERLOAD_TIME("Overload time", Group.POWER, Unit.SECOND, AT_LEAST, 0.001, 1_000_000),
  /** A share of the rating; a label that prints the rating makes watts of it. */
  OVERLOAD_SHARE("Overload, of the rating", Group.POWER, Unit.PERCENT, AT_LEAST, 100, 1_000),
  SURGE_SHARE("Surge, of the rating", Group.POWER, Unit.PERCENT, AT_LEAST, 100, 2_000),
  SURGE("Surge", Group.POWER, Unit.WATT, AT_LEAST, 1, 400_000),
  OUTPUT_CURRENT("AC amps", Group.POWER, Unit.AMPERE, AT_LEAST, 0.1, 500),
  SWITCH_OVER("Switch-over", Group.POWER, Unit.MILLISECOND, AT_MOST, 0, 60_000),
  PASS_THROUGH("Pass-through", Group.POWER, Unit.ONE, STATED, 0, 0),
  WAVEFORM("Waveform", Group.WAVEFORM, Unit.ONE, STATED, 0, 0),
  OUTPUT_VOLTAGE("Output volts", Group.WAVEFORM, Unit.VOLT, BAND, 10, 1_000),
  OUTPUT_FREQUENCY("Output frequency", Group.WAVEFORM, Unit.HERTZ, BAND, 10, 500),
  DISTORTION("Distortion", Group.WAVEFORM, Unit.PERCENT, AT_MOST, 0.01, 100),
  MAINS_POWER("Mains charging", Group.CHARGING, Unit.WATT, AT_LEAST, 1, 50_000),
  MAINS_VOLTAGE("Mains volts", Group.CHARGING, Unit.VOLT, BAND, 50, 500),
  MAINS_CURRENT("Mains amps", Group.CHARGING, Unit.AMPERE, AT_MOST, 0.1, 200),
  CHARGE_TIME("Full charge", Group.CHARGING, Unit.HOUR, AT_MOST, 0.05, 200),
  SOLAR_VOLTAGE("Solar window", Group.CHARGING, Unit.VOLT, BAND, 3, 1_000),
  SOLAR_CURRENT("Solar amps", Group.CHARGING, Unit.AMPERE, AT_LEAST, 0.1, 200),
  SOLAR_POWER("Solar charging", Group.CHARGING, Unit.WATT, AT_LEAST, 1, 50_000),
  TRACKER_EFFICIENCY("Tracker efficiency", Group.CHARGING, Unit.PERCENT, AT_LEAST, 1, 100),
  CAR_VOLTAGE("Car input volts", Group.CHARGING, Unit.VOLT, BAND, 3, 100),
  CAR_CURRENT("Car input amps", Group.CHARGING, Unit.AMPERE, AT_LEAST, 0.1, 200),
  CAR_POWER("Car charging", Group.CHARGING, Unit.WATT, AT_LEAST, 1, 5_000),
  USB_INPUT("USB-C charging", Group.CHARGING, Unit.WATT, AT_LEAST, 1, 500),
  INPUT_VOLTAGE("Battery input volts", Group.CHARGING, Unit.VOLT, BAND, 3, 1_000),
  TOTAL_INPUT("All inputs together", Group.CHARGING, Unit.WATT, AT_LEAST, 1, 50_000),
  DC_PORT_VOLTAGE("12 V port volts", Group.PORTS, Unit.VOLT, BAND, 1, 100),
  DC_PORT_CURRENT("12 V port", Group.PORTS, Unit.AMPERE, AT_LEAST, 0.1, 200),
  DC_PORT_POWER("12 V port power", Group.PORTS, Unit.WATT, AT_LEAST, 1, 5_000),
  DC_PORT_REGULATED("12 V regulation", Group.PORTS, Unit.ONE, STATED, 0, 0),
  USB_C_POWER("USB-C", Group.PORTS, Unit.WATT, AT_LEAST, 1, 500),
  USB_A_POWER("USB-A", Group.PORTS, Unit.WATT, AT_LEAST, 1, 500),
  WIRELESS_POWER("Wireless pad", Group.PORTS, Unit.WATT, AT_LEAST, 1, 200),
  AC_OUTLETS("AC outlets", Group.PORTS, Unit.ONE, STATED, 1, 40),
  CYCLE_LIFE("Cycle life", Group.BODY, Unit.ONE, AT_LEAST, 10, 100_000),
  WARRANTY("Warranty", Group.BODY, Unit.YEAR, STATED, 0.1, 50),
  WEIGHT("Weight", Group.BODY, Unit.KILOGRAM, AT_MOST, 0.05, 1_000),
  OPERATING_TEMPERATURE("Works from", Group.BODY, Unit.CELSIUS, STATED, -80, 150),
  CHARGING_TEMPERATURE("Charges from", Group.BODY, Unit.CELSIUS, STATED, -80, 150),
  NOISE("Noise", Group.BODY, Unit.DECIBEL, AT_MOST, 1, 150);

  private final String words;
  private final Group group;
  private final Unit unit;
  private final Direction usual;
  private final double least;
  private final double most;

  Subject(String words, Group group, Unit unit, Direction usual, double least, double most) {
    this.words = words;
    this.group = group;
    this.unit = unit;
    this.usual = usual;
    this.least = least;
    this.most = most;
  }

  public String words() {
    return words;
  }

  /** The same inside a sentence; what is spelled in capitals stays so, as AC and USB-C. */
  public String inSentence() {
    return Character.isLowerCase(words.charAt(1))
        ? Character.toLowerCase(words.charAt(0)) + words.substring(1)
        : words;
  }

  public Group group() {
    return group;
  }

  public Unit unit() {
    return unit;
  }

  /** The direction a label means when it prints no sign. */
  public Direction usualDirection() {
    return usual;
  }

  /** Whether the claim is a word rather than a figure. */
  public boolean isWord() {
    return least == 0 && most == 0;
  }

  /** Whether a figure of this subject may be below zero; only temperatures are. */
  public boolean mayBeNegative() {
    return unit == Unit.CELSIUS;
  }

  public boolean plausible(double value) {
    return value >= least && value <= most;
  }
}

package org.wiseember.core.trace;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.quantity.Keyed;
import org.wiseember.core.quantity.Unit;

/**
 * The channels a bench can record. The key is the name used in log files and in the workbook.
 * Current is positive out of the pack.
 */
public enum Channel implements Keyed {
  AC_POWER("ac_power", Unit.WATT, "AC power"),
  AC_VOLTAGE("ac_voltage", Unit.VOLT, "AC volts"),
  AC_CURRENT("ac_current", Unit.AMPERE, "AC amps"),
  AC_ENERGY("ac_energy", Unit.WATT_HOUR, "AC energy total"),
  FREQUENCY("frequency", Unit.HERTZ, "frequency"),
  /** A second meter in line with the first, to check one against the other. */
  SECOND_AC_POWER("second_ac_power", Unit.WATT, "AC power, second meter"),
  SECOND_AC_VOLTAGE("second_ac_voltage", Unit.VOLT, "AC volts, second meter"),
  SECOND_AC_ENERGY("second_ac_energy", Unit.WATT_HOUR, "AC energy total, second meter"),
  DC_VOLTAGE("dc_voltage", Unit.VOLT, "DC volts"),
  DC_CURRENT("dc_current", Unit.AMPERE, "DC amps"),
  DC_POWER("dc_power", Unit.WATT, "DC power"),
  /** Running totals of a tester on the DC side. */
  DC_ENERGY("dc_energy", Unit.WATT_HOUR, "DC energy total"),
  DC_CHARGE("dc_charge", Unit.AMPERE_HOUR, "DC charge total"),
  /** All that goes into the unit. */
  IN_POWER("in_power", Unit.WATT, "charge power"),
  /** At the DC input: panels, a car, a second battery. */
  IN_VOLTAGE("in_voltage", Unit.VOLT, "charge volts"),
  IN_CURRENT("in_current", Unit.AMPERE, "charge amps"),
  /** The wall's part where several sources charge. */
  WALL_POWER("wall_power", Unit.WATT, "from the wall"),
  /** The part that comes through a USB-C port. */
  USB_IN_POWER("usb_in_power", Unit.WATT, "from USB-C"),
  CASE_TEMPERATURE("case_temperature", Unit.CELSIUS, "case"),
  ROOM_TEMPERATURE("room_temperature", Unit.CELSIUS, "room"),
  DISPLAY_CHARGE("display_charge", Unit.PERCENT, "display charge"),
  DISPLAY_POWER("display_power", Unit.WATT, "display power"),
  /** Watts in as the unit shows them. */
  DISPLAY_IN("display_in", Unit.WATT, "display power in"),
  /** Time to empty as the unit shows it while something draws. */
  DISPLAY_TIME_LEFT("display_time_left", Unit.MINUTE, "display time to empty"),
  /** Total harmonic distortion as a meter shows it, of the fundamental. */
  DISTORTION("distortion", Unit.PERCENT, "distortion"),
  /** Time to full as the unit shows it while it charges. */
  DISPLAY_TIME("display_time", Unit.MINUTE, "display time to full"),
  ILLUMINANCE("illuminance", Unit.LUX, "light"),
  /** Highest reading of a clamp's inrush mode. */
  PEAK_CURRENT("peak_current", Unit.AMPERE, "inrush peak"),
  SOUND_LEVEL("sound_level", Unit.DECIBEL, "sound"),
  /** The hottest place a thermal camera or a moved probe finds. */
  SPOT_TEMPERATURE("spot_temperature", Unit.CELSIUS, "hottest spot"),
  /** Which step the unit's fan runs at, 0 for off. */
  FAN_STEP("fan_step", Unit.ONE, "fan step"),
  /** How often the wall plug was pulled so far. */
  PULLS("pulls", Unit.ONE, "pulls of the plug"),
  /** At how many of them a lamp did not blink. */
  LAMP_STEADY("lamp_steady", Unit.ONE, "lamp steady"),
  /** At how many of them a computer without battery stayed on. */
  COMPUTER_STAYED("computer_stayed", Unit.ONE, "computer stayed on"),
  /** While it charges: 0 for off, 1 for on, 2 for one that went off and came back. */
  AC_ALIVE("ac_alive", Unit.ONE, "AC outlet while charging"),
  DC_ALIVE("dc_alive", Unit.ONE, "12 V port while charging"),
  USB_ALIVE("usb_alive", Unit.ONE, "USB while charging"),
  /** Of the unit on a scale. */
  WEIGHT("weight", Unit.KILOGRAM, "weight"),
  /** From its button to the first watt. */
  START_UP("start_up", Unit.SECOND, "start-up"),
  /** Volts × amps of what hangs on the outlet. */
  APPARENT_POWER("apparent_power", Unit.VOLT_AMPERE, "volts × amps");

  private final String key;
  private final Unit unit;
  private final String words;

  Channel(String key, Unit unit, String words) {
    this.key = key;
    this.unit = unit;
    this.words = words;
  }

  @Override
  public String key() {
    return key;
  }

  public Unit unit() {
    return unit;
  }

  public String words() {
    return words;
  }

  /**
   * Channels by their keys with commas between.
   *
   * @throws IllegalArgumentException where one is none
   */
  public static List<Channel> listed(String keys) {
    return Arrays.stream(keys.split(","))
        .filter(key -> !key.isEmpty())
        .map(
            key ->
                byKey(key).orElseThrow(() -> new IllegalArgumentException(key + " is no channel")))
        .toList();
  }

  public static Optional<Channel> byKey(String key) {
    return Arrays.stream(values()).filter(c -> c.key.equals(key)).findFirst();
  }
}

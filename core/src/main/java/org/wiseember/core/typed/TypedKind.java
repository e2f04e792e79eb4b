package org.wiseember.core.typed;

import java.util.Optional;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;

/** What a person reads off and types. */
public enum TypedKind {
  TOTAL("Meter total", Unit.WATT_HOUR, Channel.AC_ENERGY, "0.609 kWh"),
  CLOCK("Clock", Unit.SECOND, null, "1:01"),
  DISPLAY("Display", Unit.PERCENT, Channel.DISPLAY_CHARGE, "38 %"),
  POWER("Watts", Unit.WATT, Channel.AC_POWER, "598 W"),
  VOLTS("Volts", Unit.VOLT, Channel.AC_VOLTAGE, "198 V"),
  SECOND_TOTAL("Second meter's total", Unit.WATT_HOUR, Channel.SECOND_AC_ENERGY, "0.604 kWh"),
  HERTZ("Frequency", Unit.HERTZ, Channel.FREQUENCY, "50.0 Hz"),
  DISTORTION("Distortion", Unit.PERCENT, Channel.DISTORTION, "3.2 % THD"),
  DC_TOTAL("DC total", Unit.WATT_HOUR, Channel.DC_ENERGY, "477 Wh"),
  DC_CHARGE("DC amp-hours", Unit.AMPERE_HOUR, Channel.DC_CHARGE, "36.89 Ah"),
  DC_POWER("DC watts", Unit.WATT, Channel.DC_POWER, "107 W"),
  DISPLAY_OUT("Display, watts out", Unit.WATT, Channel.DISPLAY_POWER, "590 W"),
  DISPLAY_IN("Display, watts in", Unit.WATT, Channel.DISPLAY_IN, "440 W"),
  TIME_LEFT("Display, to empty", Unit.MINUTE, Channel.DISPLAY_TIME_LEFT, "1:20"),
  DC_VOLTS("DC volts", Unit.VOLT, Channel.DC_VOLTAGE, "12.34 V"),
  DC_AMPS("DC amps", Unit.AMPERE, Channel.DC_CURRENT, "18.44 A"),
  CASE("Case", Unit.CELSIUS, Channel.CASE_TEMPERATURE, "44.6\u00a0°C"),
  ROOM("Room", Unit.CELSIUS, Channel.ROOM_TEMPERATURE, "21.8\u00a0°C"),
  PEAK("Inrush peak", Unit.AMPERE, Channel.PEAK_CURRENT, "29 A"),
  SOUND("Sound", Unit.DECIBEL, Channel.SOUND_LEVEL, "42 dB"),
  IN_POWER("Watts in", Unit.WATT, Channel.IN_POWER, "900 W"),
  WALL_POWER("Watts in, wall", Unit.WATT, Channel.WALL_POWER, "900 W"),
  USB_POWER("Watts in, USB-C", Unit.WATT, Channel.USB_IN_POWER, "96 W"),
  IN_VOLTS("Volts in, DC", Unit.VOLT, Channel.IN_VOLTAGE, "38.2 V"),
  IN_AMPS("Amps in, DC", Unit.AMPERE, Channel.IN_CURRENT, "9.8 A"),
  LIGHT("Light", Unit.LUX, Channel.ILLUMINANCE, "79 800 lx"),
  TIME_TO_FULL("Display, to full", Unit.MINUTE, Channel.DISPLAY_TIME, "1:24 or 84 min"),
  SPOT("Hottest spot", Unit.CELSIUS, Channel.SPOT_TEMPERATURE, "61\u00a0°C at the plug"),
  FAN("Fan step", Unit.ONE, Channel.FAN_STEP, "off, 1, 2"),
  OTHER_POWER("Watts, other leg", Unit.WATT, Channel.SECOND_AC_POWER, "1 480 W"),
  PULLS("Pulls of the plug", Unit.ONE, Channel.PULLS, "5"),
  LAMP_STEADY("Lamp did not blink", Unit.ONE, Channel.LAMP_STEADY, "4 times"),
  COMPUTER_STAYED("Computer stayed on", Unit.ONE, Channel.COMPUTER_STAYED, "5 times"),
  AC_ALIVE("AC outlet", Unit.ONE, Channel.AC_ALIVE, "on, off, back"),
  DC_ALIVE("12 V port", Unit.ONE, Channel.DC_ALIVE, "on, off, back"),
  USB_ALIVE("USB", Unit.ONE, Channel.USB_ALIVE, "on, off, back"),
  WEIGHT("Weight", Unit.KILOGRAM, Channel.WEIGHT, "11.2\u00a0kg"),
  START_UP("Start-up", Unit.SECOND, Channel.START_UP, "4 s");

  private final String words;
  private final Unit unit;
  private final Channel channel;
  private final String example;

  TypedKind(String words, Unit unit, Channel channel, String example) {
    this.words = words;
    this.unit = unit;
    this.channel = channel;
    this.example = example;
  }

  public String words() {
    return words;
  }

  /** Whether it is seen by eye and read off no meter. */
  public boolean byEye() {
    return onDisplay() || unit == Unit.ONE;
  }

  /** Whether it stands on the unit's own display. */
  public boolean onDisplay() {
    return this == DISPLAY
        || this == DISPLAY_OUT
        || this == DISPLAY_IN
        || this == TIME_LEFT
        || this == TIME_TO_FULL;
  }

  /** As it may be typed. */
  public String example() {
    return example;
  }

  /** The unit its values are kept in. */
  public Unit unit() {
    return unit;
  }

  /** The channel it becomes; empty for the clock, which is when the others were read. */
  public Optional<Channel> channel() {
    return Optional.ofNullable(channel);
  }
}

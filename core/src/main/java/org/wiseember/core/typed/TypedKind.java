package org.wiseember.core.typed;

import java.util.Optional;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;

/** What a person reads off and types. */
public enum TypedKind {
  TOTAL("Meter total", Unit.WATT_HOUR, Channel.AC_ENERGY),
  CLOCK("Clock", Unit.SECOND, null),
  DISPLAY("Display", Unit.PERCENT, Channel.DISPLAY_CHARGE),
  POWER("Watts", Unit.WATT, Channel.AC_POWER),
  VOLTS("Volts", Unit.VOLT, Channel.AC_VOLTAGE),
  DC_VOLTS("DC volts", Unit.VOLT, Channel.DC_VOLTAGE),
  DC_AMPS("DC amps", Unit.AMPERE, Channel.DC_CURRENT),
  CASE("Case", Unit.CELSIUS, Channel.CASE_TEMPERATURE),
  ROOM("Room", Unit.CELSIUS, Channel.ROOM_TEMPERATURE),
  PEAK("Inrush peak", Unit.AMPERE, Channel.PEAK_CURRENT),
  SOUND("Sound", Unit.DECIBEL, Channel.SOUND_LEVEL),
  IN_POWER("Watts in", Unit.WATT, Channel.IN_POWER),
  WALL_POWER("Watts in, wall", Unit.WATT, Channel.WALL_POWER),
  USB_POWER("Watts in, USB-C", Unit.WATT, Channel.USB_IN_POWER),
  IN_VOLTS("Volts in, DC", Unit.VOLT, Channel.IN_VOLTAGE),
  IN_AMPS("Amps in, DC", Unit.AMPERE, Channel.IN_CURRENT),
  LIGHT("Light", Unit.LUX, Channel.ILLUMINANCE),
  TIME_TO_FULL("Display, to full", Unit.MINUTE, Channel.DISPLAY_TIME),
  SPOT("Hottest spot", Unit.CELSIUS, Channel.SPOT_TEMPERATURE),
  FAN("Fan step", Unit.ONE, Channel.FAN_STEP),
  OTHER_POWER("Watts, other leg", Unit.WATT, Channel.SECOND_AC_POWER);

  private final String words;
  private final Unit unit;
  private final Channel channel;

  TypedKind(String words, Unit unit, Channel channel) {
    this.words = words;
    this.unit = unit;
    this.channel = channel;
  }

  public String words() {
    return words;
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

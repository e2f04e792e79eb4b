package org.wiseember.core.charge;

import java.util.Arrays;
import java.util.Optional;

/**
 * What a unit is charged from. Panels, a car, a second battery and a bench supply share its one DC
 * input.
 */
public enum ChargeSource {
  WALL("the wall", Inlet.WALL),
  CAR("a car socket", Inlet.DC),
  SOLAR("solar panels", Inlet.DC),
  BATTERY("a second battery", Inlet.DC),
  USB_C("USB-C", Inlet.USB_C),
  /** Set to volts in the port's window, its current limit at all it has. */
  SUPPLY("a bench supply", Inlet.DC),
  TWO_USB_C("USB-C in two ports", Inlet.USB_C),
  /** Feeds the charger as the wall does; what the charger asks for may be too much for it. */
  GENERATOR("a generator", Inlet.WALL);

  private final String words;
  private final Inlet inlet;

  ChargeSource(String words, Inlet inlet) {
    this.words = words;
    this.inlet = inlet;
  }

  /** {@code the wall}, {@code solar panels}. */
  public String words() {
    return words;
  }

  /** Where it goes in. */
  public Inlet inlet() {
    return inlet;
  }

  /** The source of this name; empty for none. */
  public static Optional<ChargeSource> byName(String name) {
    return Arrays.stream(values()).filter(s -> s.name().equals(name)).findFirst();
  }
}

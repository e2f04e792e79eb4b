package org.wiseember.core.charge;

import java.util.Arrays;
import java.util.Optional;

/** What a unit is charged from. Panels, a car and a second battery share its one DC input. */
public enum ChargeSource {
  WALL("the wall", Inlet.WALL),
  CAR("a car socket", Inlet.DC),
  SOLAR("solar panels", Inlet.DC),
  BATTERY("a second battery", Inlet.DC),
  USB_C("USB-C", Inlet.USB_C);

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

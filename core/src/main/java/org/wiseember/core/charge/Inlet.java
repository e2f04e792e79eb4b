package org.wiseember.core.charge;

/** Where power goes into a unit. */
public enum Inlet {
  WALL("mains"),
  DC("DC input"),
  USB_C("USB-C"),
  /** Where a log tells only the whole. */
  ANY("input");

  private final String words;

  Inlet(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

package org.wiseember.core.wiring;

/**
 * How a lead of a rig is joined, and what to know of it. Amps for hours: common practice, no
 * published source; what is printed on the part comes first.
 */
public enum Connector {
  MAINS_PLUG(
      "mains plug and strip",
      10,
      "Plug, strip and reel carry what is printed on them; unroll a reel, and feel the plug."),
  CAR_PLUG(
      "car plug", 10, "A car plug runs hot well before its 10 A are over: feel it, keep it short."),
  BARREL("barrel plug", 6, "A barrel plug carries 5 to 8 A; take the thickest that fits."),
  SOLAR_PLUG(
      "solar connectors",
      25,
      "Both halves of one make, never pulled under load, kept off the wet ground."),
  LUG(
      "crimped ring lugs",
      300,
      "Crimped, not soldered, tightened to what the terminal withstands; a loose lug burns."),
  BATTERY_PLUG(
      "two-pole battery connector",
      40,
      "Keyed so that it cannot be turned round; check polarity first."),
  USB_C("USB-C cable", 5, "Above 60 W a cable marked for 5 A; above 100 W one marked for 48 V.");

  private final String words;
  private final double amps;
  private final String note;

  Connector(String words, double amps, String note) {
    this.words = words;
    this.amps = amps;
    this.note = note;
  }

  public String words() {
    return words;
  }

  /** What it carries for hours, A. */
  public double amps() {
    return amps;
  }

  /** One sentence. */
  public String note() {
    return note;
  }
}

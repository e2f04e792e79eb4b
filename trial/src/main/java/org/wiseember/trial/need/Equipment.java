package org.wiseember.trial.need;

/** What tests share, one of a kind at a time. */
public enum Equipment {
  LOADS("Load", "loads"),
  MAINS("Source", "metered outlet"),
  PANELS("Source", "panels"),
  SUPPLY("Source", "battery or supply"),
  AC_METER("Meters", "AC meter"),
  DC_METER("Meters", "DC meter"),
  SCOPE("Meters", "scope"),
  USB_TESTER("Meters", "USB tester");

  private final String lane;
  private final String words;

  Equipment(String lane, String words) {
    this.lane = lane;
    this.words = words;
  }

  /** The lane of a plan it is told on. */
  public String lane() {
    return lane;
  }

  public String words() {
    return words;
  }
}

package org.wiseember.core.label;

/** The parts of a verdict page, in the order they are shown. */
public enum Group {
  ENERGY("Energy"),
  IDLE("Idle"),
  POWER("Power"),
  WAVEFORM("Waveform"),
  CHARGING("Charging"),
  PORTS("Ports"),
  BODY("Body and life");

  private final String words;

  Group(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

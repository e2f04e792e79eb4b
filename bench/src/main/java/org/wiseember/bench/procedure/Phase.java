package org.wiseember.bench.procedure;

/** Where a procedure is. */
public enum Phase {
  BASELINE("Reading without load"),
  SETTLING("Settling"),
  MEASURING("Measuring"),
  WINDING_DOWN("Shut off, reading on"),
  DONE("Ended by itself"),
  STOPPED("Stopped by hand");

  private final String words;

  Phase(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  public boolean over() {
    return this == DONE || this == STOPPED;
  }
}

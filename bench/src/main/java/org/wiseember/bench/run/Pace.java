package org.wiseember.bench.run;

/** How fast the bench clock of a simulated bench runs. */
public enum Pace {
  REAL("1×", 1),
  TEN("10×", 10),
  SIXTY("60×", 60),
  SIX_HUNDRED("600×", 600),
  /** As fast as the machine goes. */
  FULL("max", Double.POSITIVE_INFINITY);

  private final String words;
  private final double factor;

  Pace(String words, double factor) {
    this.words = words;
    this.factor = factor;
  }

  public String words() {
    return words;
  }

  /** Bench seconds per second on the wall. */
  public double factor() {
    return factor;
  }
}

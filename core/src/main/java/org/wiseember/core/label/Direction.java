package org.wiseember.core.label;

/** Which side of its limit keeps a claim. */
public enum Direction {
  AT_LEAST("≥"),
  AT_MOST("≤"),
  /** Between two limits. */
  BAND(""),
  /** Said in a word or as a plain fact; there is no better or worse side. */
  STATED("");

  private final String sign;

  Direction(String sign) {
    this.sign = sign;
  }

  public String sign() {
    return sign;
  }
}

package org.wiseember.core.figure;

/** How far a figure may be taken: as the thing itself, or only as a bound of it. */
public enum Bound {
  /** The figure is the thing itself. */
  EXACT("exact", ""),
  /** The thing is this or more: the test, not the unit, ended there. */
  AT_LEAST("at-least", "≥ "),
  /** The thing is this or less: something else was in the reading too. */
  AT_MOST("at-most", "≤ ");

  private final String key;
  private final String sign;

  Bound(String key, String sign) {
    this.key = key;
    this.sign = sign;
  }

  /** As it stands in JSON. */
  public String key() {
    return key;
  }

  /** Stands before the written figure; empty for an exact one. */
  public String sign() {
    return sign;
  }
}

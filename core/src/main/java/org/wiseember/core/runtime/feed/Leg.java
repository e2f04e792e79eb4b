package org.wiseember.core.runtime.feed;

/** Which of two joined units an appliance hangs on. */
public enum Leg {
  /** On the first. */
  FIRST("one", "first unit"),
  /** On the second. */
  SECOND("two", "second unit"),
  /** Across both legs, or on outlets in parallel: half from each. */
  BOTH("both", "both");

  private final String key;
  private final String words;

  Leg(String key, String words) {
    this.key = key;
    this.words = words;
  }

  /** As days are written. */
  public String key() {
    return key;
  }

  public String words() {
    return words;
  }
}

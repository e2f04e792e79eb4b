package org.wiseember.core.verdict;

/** How a claim stands. */
public enum Standing {
  KEPT("Kept"),
  SHORT("Short"),
  TOO_CLOSE("Too close to call"),
  RIG_CANNOT_SHOW("Rig cannot show it"),
  NOT_TESTED("Not tested yet");

  private final String words;

  Standing(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

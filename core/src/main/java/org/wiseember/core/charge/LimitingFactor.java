package org.wiseember.core.charge;

/** What keeps a charge from being faster at a moment. */
public enum LimitingFactor {
  VOLTS("volts", "The source's volts lie at an end of the input's window, or outside it."),
  AMPS("amps", "The input draws its most amps; a source of more volts would give more watts."),
  WATTS("watts", "The input takes its most watts."),
  SOURCE("source", "The source gives no more."),
  TEMPERATURE("temperature", "The pack is too warm or too cold for its full current."),
  SHARED_CAP("shared cap", "All sources together reach what the unit takes."),
  TAPER("taper", "The bins are nearly full and take less and less."),
  UNKNOWN("held back", "It takes less than it did, and nothing that was logged tells why."),
  NOTHING("nothing", "Nothing goes in.");

  private final String words;
  private final String meaning;

  LimitingFactor(String words, String meaning) {
    this.words = words;
    this.meaning = meaning;
  }

  public String words() {
    return words;
  }

  /** One sentence. */
  public String meaning() {
    return meaning;
  }
}

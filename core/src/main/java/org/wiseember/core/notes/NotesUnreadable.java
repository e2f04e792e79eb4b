package org.wiseember.core.notes;

/** Notes that cannot be taken as they stand; the message says which line, what, and what now. */
public final class NotesUnreadable extends Exception {
  private static final long serialVersionUID = 1;

  private final boolean header;

  private NotesUnreadable(String message, boolean header) {
    super(message);
    this.header = header;
  }

  /**
   * The head says what cannot be.
   *
   * @param line it says so in; 0 where it was told beside the text
   */
  public static NotesUnreadable header(int line, String sentence) {
    return new NotesUnreadable((line > 0 ? "Line " + line + ": " : "") + sentence, true);
  }

  static NotesUnreadable entry(int line, String sentence) {
    return new NotesUnreadable("Line " + line + ": " + sentence, false);
  }

  /** It is no text that could be notes. */
  public static NotesUnreadable text(String sentence) {
    return new NotesUnreadable(sentence, false);
  }

  /** Whether what was told of the run is wrong, and not what was noted in it. */
  public boolean isHeader() {
    return header;
  }
}

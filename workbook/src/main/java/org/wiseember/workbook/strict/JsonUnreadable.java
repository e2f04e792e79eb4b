package org.wiseember.workbook.strict;

/** A file of JSON that cannot be taken, in one sentence for the person who wrote it. */
public final class JsonUnreadable extends Exception {
  private static final long serialVersionUID = 1;

  public JsonUnreadable(String sentence) {
    super(sentence);
  }
}

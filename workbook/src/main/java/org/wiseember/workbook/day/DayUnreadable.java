package org.wiseember.workbook.day;

/** A day that cannot be read, in one sentence for the person who wrote it. */
public final class DayUnreadable extends Exception {
  private static final long serialVersionUID = 1;

  DayUnreadable(String sentence) {
    super(sentence);
  }
}

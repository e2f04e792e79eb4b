package org.wiseember.workbook.log;

/**
 * A log file that cannot be read; the message is one sentence saying what and where. Of what it
 * echoes from the file, signs that are no writing are shown as question marks.
 */
public final class LogUnreadable extends Exception {
  private static final long serialVersionUID = 1L;

  public LogUnreadable(String message) {
    super(message.replaceAll("\\p{Cntrl}", "?"));
  }
}

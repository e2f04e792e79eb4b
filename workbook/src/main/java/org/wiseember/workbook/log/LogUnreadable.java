package org.wiseember.workbook.log;

/** A log file that cannot be read; the message is one sentence saying what and where. */
public final class LogUnreadable extends Exception {
  private static final long serialVersionUID = 1L;

  public LogUnreadable(String message) {
    super(message);
  }
}

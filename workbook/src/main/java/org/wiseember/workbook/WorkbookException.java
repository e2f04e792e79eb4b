package org.wiseember.workbook;

/** A workbook that cannot be opened or written; the message is one sentence for the tester. */
public final class WorkbookException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public WorkbookException(String message) {
    super(message);
  }

  public WorkbookException(String message, Throwable cause) {
    super(message, cause);
  }
}

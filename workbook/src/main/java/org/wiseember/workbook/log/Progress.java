package org.wiseember.workbook.log;

/** Hears how far long work is, and may end it. */
public interface Progress {
  /** Hears nothing and ends nothing. */
  Progress NONE = share -> true;

  /**
   * Told now and then from the working thread.
   *
   * @param share done, 0 to 1
   * @return false to end the work
   */
  boolean at(double share);
}

package org.wiseember.bench.connect;

import java.io.IOException;
import java.util.concurrent.TimeUnit;

/**
 * Keeps questions and answers of one line in step. On a line without connections of its own, and
 * behind a bridge to one, an answer that comes too late would be taken for the answer to the next
 * question, and so on for good. So after a failure, and where a program before may have left
 * something, the line is listened to until it is quiet; the first readings after that count only
 * once no further answer has come; and an answer nobody waits for ends the connection.
 */
final class InStep {
  /** After an answer was given up, another may still be due for as long. */
  private static final int QUIET_AFTER_FAILURE = Drivers.TIMEOUT_MILLIS;

  private static final int QUIET_AT_FIRST = 200;
  private static final long LONGEST_DIN = TimeUnit.SECONDS.toNanos(10);

  private final Line line;
  private final int quiet;
  private boolean sure;

  /** What comes in on a line. */
  interface Line {
    /**
     * Whether anything comes in; that is dropped.
     *
     * @param millis to wait for it
     */
    boolean heard(int millis) throws IOException;
  }

  private InStep(Line line, int quiet, boolean sure) {
    this.line = line;
    this.quiet = quiet;
    this.sure = sure;
  }

  /** On a fresh connection of its own there is nothing that could be out of step. */
  static InStep fresh(Line line) {
    return new InStep(line, 0, true);
  }

  /**
   * Listens until the line is quiet.
   *
   * @param again whether an answer was given up on it just before
   * @throws IOException when it never is
   */
  static InStep onceQuiet(Line line, boolean again) throws IOException {
    int quiet = again ? QUIET_AFTER_FAILURE : QUIET_AT_FIRST;
    long end = System.nanoTime() + LONGEST_DIN;
    while (line.heard(quiet)) {
      if (System.nanoTime() > end) {
        throw new IOException("it never stops sending what nobody asked for");
      }
    }
    return new InStep(line, quiet, false);
  }

  /** Before a question nothing may be left of the one before. */
  void ask() throws IOException {
    if (line.heard(0)) {
      throw outOfStep();
    }
  }

  /** After the last answer of a reading. */
  void read() throws IOException {
    if (!sure && line.heard(quiet)) {
      throw outOfStep();
    }
    sure = true;
  }

  private static IOException outOfStep() {
    return new IOException("its answers come too late and are not taken");
  }
}

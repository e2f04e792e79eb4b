package org.wiseember.bench.connect;

import java.io.IOException;

/**
 * A line to an instrument that takes text lines and answers with lines or blocks. Every call ends
 * within its time limit. For one thread.
 */
interface Link extends AutoCloseable {
  /** Longest line taken from an instrument; longer ones are garbage. */
  int LONGEST_LINE = 65_536;

  /** Largest block taken from an instrument, 64 MiB. */
  int LARGEST_BLOCK = 64 << 20;

  void send(String line) throws IOException;

  /**
   * Reads one byte.
   *
   * @return the byte, never −1
   * @throws IOException when none comes in time or the other end is gone
   */
  int readByte() throws IOException;

  /**
   * Whether anything comes in that nobody asked for; it is dropped.
   *
   * @param millis to wait for it
   * @throws IOException when the other end is gone
   */
  boolean heard(int millis) throws IOException;

  /** Starts the time limit of an answer. */
  void startDeadline();

  @Override
  void close() throws IOException;
}

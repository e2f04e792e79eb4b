package org.wiseember.workbook.pack;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** A stream that ends with an error once so much was read, over several of them. */
final class Counted extends FilterInputStream {
  private final long[] left;

  /** More than was allowed. */
  static final class TooMuch extends IOException {
    private static final long serialVersionUID = 1;
  }

  /**
   * Counts one.
   *
   * @param left bytes, shared by all that count together
   */
  Counted(InputStream in, long[] left) {
    super(in);
    this.left = left;
  }

  @Override
  public int read() throws IOException {
    int one = in.read();
    count(one < 0 ? 0 : 1);
    return one;
  }

  @Override
  public int read(byte[] into, int from, int length) throws IOException {
    int read = in.read(into, from, length);
    count(Math.max(0, read));
    return read;
  }

  private void count(int bytes) throws TooMuch {
    left[0] -= bytes;
    if (left[0] < 0) {
      throw new TooMuch();
    }
  }
}

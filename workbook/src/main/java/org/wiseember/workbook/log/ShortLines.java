package org.wiseember.workbook.log;

import java.io.FilterReader;
import java.io.IOException;
import java.io.Reader;

/** Refuses a line that has no end, before it fills the memory. */
final class ShortLines extends FilterReader {
  /** Longer lines are in no log and in no capture. */
  static final int LONGEST = 1 << 20;

  private boolean looking = true;
  private int length;

  ShortLines(Reader in) {
    super(in);
  }

  /** A line that goes on and on. */
  static final class Endless extends IOException {
    private static final long serialVersionUID = 1L;

    Endless() {
      super("a line is longer than a million signs, so this is no table; choose another file");
    }
  }

  /** From here on whoever reads looks after himself. */
  void stopLooking() {
    looking = false;
  }

  @Override
  public int read() throws IOException {
    char[] one = new char[1];
    return read(one, 0, 1) < 0 ? -1 : one[0];
  }

  @Override
  public int read(char[] buffer, int offset, int wanted) throws IOException {
    int n = super.read(buffer, offset, wanted);
    for (int i = offset; looking && i < offset + n; i++) {
      boolean end = buffer[i] == '\n' || buffer[i] == '\r';
      length = end ? 0 : length + 1;
      if (length > LONGEST) {
        throw new Endless();
      }
    }
    return n;
  }
}

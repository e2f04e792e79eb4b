package org.wiseember.workbook.comtrade;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** How the samples of a record are written. */
public enum DataFormat {
  ASCII(0),
  /** 16-bit whole numbers. */
  BINARY(2),
  /** 32-bit whole numbers, from 2013 on. */
  BINARY32(4),
  /** 32-bit IEEE 754 numbers, from 2013 on. */
  FLOAT32(4);

  private final int bytes;

  DataFormat(int bytes) {
    this.bytes = bytes;
  }

  /** Bytes of one analog value; 0 in text. */
  int bytes() {
    return bytes;
  }

  /** The largest whole number a value may be; infinite for {@link #FLOAT32}. */
  double largest() {
    return switch (this) {
      case ASCII -> 99_998;
      case BINARY -> 32_767;
      case BINARY32 -> Integer.MAX_VALUE;
      case FLOAT32 -> Double.POSITIVE_INFINITY;
    };
  }

  /** Reads the name a configuration gives. */
  public static Optional<DataFormat> of(String name) {
    return Arrays.stream(values())
        .filter(f -> f.name().equals(name.strip().toUpperCase(Locale.ROOT)))
        .findFirst();
  }
}

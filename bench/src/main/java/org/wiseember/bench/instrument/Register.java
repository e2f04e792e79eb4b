package org.wiseember.bench.instrument;

import java.util.Locale;

/**
 * Where a quantity stands in a Modbus device.
 *
 * @param table input registers (function 4) or holding registers (function 3)
 * @param address of the first register, counted from 0, 0 to 65535
 * @param type how its bits are read
 * @param lowWordFirst whether the less significant register comes first
 * @param scale the raw number is multiplied by this to come into the channel's unit
 */
public record Register(Table table, int address, Type type, boolean lowWordFirst, double scale) {
  public Register {
    if (address < 0 || address + type.words() > 65_536) {
      throw new IllegalArgumentException("a register address is between 0 and 65535");
    }
    if (!Double.isFinite(scale) || scale == 0) {
      throw new IllegalArgumentException("a register's scale is a number other than 0");
    }
  }

  /** Which of a device's tables. */
  public enum Table {
    INPUT,
    HOLDING;

    /** As it stands in a description file. */
    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** How registers become a number. */
  public enum Type {
    INT16(1),
    UINT16(1),
    INT32(2),
    UINT32(2),
    FLOAT32(2);

    private final int words;

    Type(int words) {
      this.words = words;
    }

    /** How many registers it takes. */
    public int words() {
      return words;
    }

    /** As it stands in a description file. */
    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * The number in these registers.
   *
   * @param words as they came, each 0 to 65535
   * @return NaN where a float says it is none
   */
  public double value(int... words) {
    int high = words[lowWordFirst && type.words() == 2 ? 1 : 0];
    int low = type.words() == 2 ? words[lowWordFirst ? 0 : 1] : 0;
    int both = high << 16 | low;
    double raw =
        switch (type) {
          case INT16 -> (short) high;
          case UINT16 -> high;
          case INT32 -> both;
          case UINT32 -> Integer.toUnsignedLong(both);
          case FLOAT32 -> Float.intBitsToFloat(both);
        };
    return Double.isInfinite(raw) ? Double.NaN : raw * scale;
  }
}

package org.wiseember.workbook.log;

/**
 * Reads decimal numbers out of a buffer without making a string of them. Up to fifteen digits and a
 * small exponent the result is exact to the last bit, since both the digits and the power of ten
 * are whole numbers a double holds and one division rounds once; longer ones go to the library.
 */
final class Decimal {
  private static final int MOST_DIGITS = 18;

  /** Every whole number up to here is a double. */
  private static final long EXACT = 1L << 53;

  private static final double[] TENS = new double[23];

  static {
    TENS[0] = 1;
    for (int i = 1; i < TENS.length; i++) {
      TENS[i] = TENS[i - 1] * 10;
    }
  }

  private Decimal() {}

  /**
   * Reads a number.
   *
   * @param comma the sign for the decimal point beside the point itself; a point for none
   * @return NaN where the text is no finite decimal number
   */
  static double parse(char[] buf, int offset, int length, char comma) {
    int at = offset;
    int end = offset + length;
    boolean negative = false;
    if (at < end && (buf[at] == '-' || buf[at] == '+')) {
      negative = buf[at] == '-';
      at++;
    }
    int first = at;
    int point = -1;
    // More than eighteen digits overflow here and are read anew by the library below.
    long digits = 0;
    for (; at < end; at++) {
      int digit = buf[at] - '0';
      if (digit >= 0 && digit <= 9) {
        digits = digits * 10 + digit;
      } else if (point < 0 && (buf[at] == '.' || buf[at] == comma)) {
        point = at;
      } else {
        break;
      }
    }
    int count = at - first - (point < 0 ? 0 : 1);
    if (count == 0) {
      return Double.NaN;
    }
    if (at < end) {
      return buf[at] == 'e' || buf[at] == 'E' ? slow(buf, offset, length, comma) : Double.NaN;
    }
    int scale = point < 0 ? 0 : end - point - 1;
    if (count > MOST_DIGITS || scale >= TENS.length || digits > EXACT) {
      return slow(buf, offset, length, comma);
    }
    double value = scale == 0 ? digits : digits / TENS[scale];
    return negative ? -value : value;
  }

  private static double slow(char[] buf, int offset, int length, char comma) {
    String text = new String(buf, offset, length).replace(comma, '.');
    if (length > 400 || !text.matches("[+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d{1,4})?")) {
      return Double.NaN;
    }
    double value = Double.parseDouble(text);
    return Double.isFinite(value) ? value : Double.NaN;
  }
}

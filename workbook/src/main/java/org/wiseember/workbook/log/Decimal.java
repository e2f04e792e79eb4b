package org.wiseember.workbook.log;

/**
 * Reads decimal numbers out of a buffer without making a string of them. Up to fifteen digits and a
 * small exponent the result is exact to the last bit, since both the digits and the power of ten
 * are whole numbers a double holds and one division rounds once; longer ones go to the library.
 */
final class Decimal {
  private static final int MOST_DIGITS = 15;
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
    long digits = 0;
    int count = 0;
    int scale = 0;
    int seen = 0;
    boolean point = false;
    while (at < end) {
      char c = buf[at];
      if (c >= '0' && c <= '9') {
        seen++;
        if (count < MOST_DIGITS + 3) {
          digits = digits * 10 + (c - '0');
          count += digits == 0 ? 0 : 1;
        } else {
          return slow(buf, offset, length, comma);
        }
        scale += point ? 1 : 0;
      } else if ((c == '.' || c == comma) && !point) {
        point = true;
      } else {
        break;
      }
      at++;
    }
    if (seen == 0) {
      return Double.NaN;
    }
    if (at < end) {
      return buf[at] == 'e' || buf[at] == 'E' ? slow(buf, offset, length, comma) : Double.NaN;
    }
    if (count > MOST_DIGITS || scale >= TENS.length) {
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

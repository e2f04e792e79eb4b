package org.wiseember.report.chart;

import java.text.FieldPosition;
import java.text.NumberFormat;
import java.text.ParsePosition;
import org.wiseember.core.quantity.Figures;

/** Figures on axes as the program writes them everywhere: thousands apart, a true minus sign. */
final class AxisFigures extends NumberFormat {
  private static final long serialVersionUID = 1L;

  private final int decimals;

  /**
   * For an axis.
   *
   * @param step between its ticks, which says how many decimals it needs
   */
  AxisFigures(double step) {
    this.decimals = step >= 1 ? 0 : step >= 0.1 ? 1 : 2;
  }

  @Override
  public StringBuffer format(double value, StringBuffer out, FieldPosition position) {
    return out.append(Figures.fixed(value, decimals).replace(Figures.THIN_SPACE, '\u00a0'));
  }

  @Override
  public StringBuffer format(long value, StringBuffer out, FieldPosition position) {
    return format((double) value, out, position);
  }

  @Override
  public Number parse(String text, ParsePosition position) {
    throw new UnsupportedOperationException("axes are written, not read");
  }
}

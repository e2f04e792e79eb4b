package org.wiseember.report.chart;

import org.jfree.chart.JFreeChart;
import org.wiseember.report.drawing.Drawing;
import org.wiseember.report.look.Palette;

/** Draws what is described by data. */
public final class Charts {
  private Charts() {}

  /**
   * Draws it.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(Drawing drawing, Palette palette, double scale) {
    return new PlotChart(palette, scale).of(drawing.plot(scale));
  }
}

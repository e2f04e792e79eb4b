package org.wiseember.report.chart;

import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import org.jfree.chart.JFreeChart;

/** Writes a chart as an SVG element. */
public final class ChartSvg {
  private ChartSvg() {}

  /**
   * Draws a chart.
   *
   * @param width in CSS pixels
   * @param height in CSS pixels
   */
  public static String of(JFreeChart chart, int width, int height) {
    return SvgSurface.of(width, height, false, surface -> draw(chart, surface, width, height));
  }

  /** Draws a chart on any surface. */
  public static void draw(JFreeChart chart, Graphics2D surface, double width, double height) {
    chart.draw(surface, new Rectangle2D.Double(0, 0, width, height));
  }
}

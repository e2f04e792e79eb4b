package org.wiseember.report.chart;

import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import org.jfree.chart.JFreeChart;
import org.jfree.svg.SVGGraphics2D;
import org.jfree.svg.ViewBox;

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
    SVGGraphics2D svg = new SVGGraphics2D(width, height);
    draw(chart, svg, width, height);
    String element = svg.getSVGElement(null, false, new ViewBox(0, 0, width, height), null, null);
    // Whole numbers: the page layout does not take "680.0" for a size.
    return element.replaceFirst("<svg ", "<svg width=\"" + width + "\" height=\"" + height + "\" ");
  }

  /** Draws a chart on any surface. */
  public static void draw(JFreeChart chart, Graphics2D surface, double width, double height) {
    chart.draw(surface, new Rectangle2D.Double(0, 0, width, height));
  }
}

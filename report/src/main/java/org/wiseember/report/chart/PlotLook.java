package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Stroke;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.plot.DatasetRenderingOrder;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.RectangleInsets;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/**
 * What all charts have in common: sheet, hairlines, faces.
 *
 * @param text size of the text, px
 */
record PlotLook(Palette palette, float text) {
  static final Stroke LINE = new BasicStroke(1.6f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND);

  private static final Stroke HAIR = new BasicStroke(1f);
  private static final float BASE = 12;

  /**
   * The look at a size.
   *
   * @param scale of the text, 1 for its usual size
   */
  static PlotLook of(Palette palette, double scale) {
    return new PlotLook(palette, (float) (BASE * scale));
  }

  /** An empty plot on the sheet with hairlines across. */
  XYPlot plot() {
    XYPlot plot = new XYPlot();
    plot.setBackgroundPaint(Palette.awt(palette.sheet()));
    plot.setOutlineVisible(false);
    plot.setRangeGridlinePaint(Palette.awt(palette.rule()));
    plot.setDomainGridlinePaint(Palette.awt(palette.rule()));
    plot.setRangeGridlineStroke(HAIR);
    plot.setDomainGridlineStroke(HAIR);
    plot.setDomainGridlinesVisible(false);
    plot.setAxisOffset(RectangleInsets.ZERO_INSETS);
    plot.setDatasetRenderingOrder(DatasetRenderingOrder.FORWARD);
    return plot;
  }

  /** The chart around a plot. */
  JFreeChart chart(XYPlot plot) {
    JFreeChart chart = new JFreeChart(null, JFreeChart.DEFAULT_TITLE_FONT, plot, false);
    chart.setBackgroundPaint(Palette.awt(palette.sheet()));
    chart.setPadding(new RectangleInsets(8, 6, 4, 12));
    return chart;
  }

  /** A plain axis with round steps, at most so many. */
  NumberAxis axis(String name, double least, double most, int steps, String colour) {
    NumberAxis axis = new NumberAxis(name);
    axis.setRange(least, most);
    double step = TraceChart.step(most - least, steps);
    axis.setTickUnit(new NumberTickUnit(step));
    axis.setNumberFormatOverride(new AxisFigures(step));
    style(axis, colour);
    return axis;
  }

  /** Faces and colours of an axis. */
  void style(NumberAxis axis, String colour) {
    axis.setTickLabelFont(Face.FIGURE.awt(text));
    axis.setLabelFont(Face.FIGURE.awt(text));
    axis.setTickLabelPaint(Palette.awt(colour));
    axis.setLabelPaint(Palette.awt(colour));
    axis.setAxisLinePaint(Palette.awt(palette.rule()));
    axis.setTickMarkPaint(Palette.awt(palette.rule()));
    axis.setLabelInsets(new RectangleInsets(3, 3, 3, 3));
  }

  /** A line without marks. */
  static XYLineAndShapeRenderer line(String colour) {
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
    renderer.setSeriesPaint(0, Palette.awt(colour));
    renderer.setSeriesStroke(0, LINE);
    renderer.setDrawSeriesLineAsPath(true);
    return renderer;
  }
}

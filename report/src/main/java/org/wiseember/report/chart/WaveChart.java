package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Stroke;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.plot.IntervalMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.RectangleAnchor;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Volts and amps of a capture against milliseconds, one stretch marked. */
public final class WaveChart {
  private static final Stroke LINE =
      new BasicStroke(1.5f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND);

  /** Widest a line is drawn with, in points; more would only be drawn over. */
  private static final int POINTS = 3000;

  private final WaveFigure figure;
  private final Palette palette;
  private final float text;

  private WaveChart(WaveFigure figure, Palette palette, double scale) {
    this.figure = figure;
    this.palette = palette;
    this.text = (float) (12 * scale);
  }

  /**
   * Builds the chart.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(WaveFigure figure, Palette palette, double scale) {
    return new WaveChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    XYPlot plot = new XYPlot();
    double[] t = figure.milliseconds();
    double first = t.length == 0 ? 0 : t[0];
    double last = t.length == 0 ? 1 : t[t.length - 1];
    plot.setDomainAxis(axis("time, ms", first, Math.max(last, first + 1), 8, palette.quiet()));
    double volts = most(figure.volts());
    plot.setRangeAxis(axis("volts, V", -volts, volts, 6, palette.emberInk()));
    plot.setBackgroundPaint(Palette.awt(palette.sheet()));
    plot.setOutlineVisible(false);
    plot.setRangeGridlinePaint(Palette.awt(palette.rule()));
    plot.setRangeGridlineStroke(new BasicStroke(1f));
    plot.setDomainGridlinesVisible(false);
    plot.setAxisOffset(RectangleInsets.ZERO_INSETS);
    if (figure.amps().length > 0) {
      double amps = most(figure.amps());
      plot.setRangeAxis(1, axis("amps, A", -amps, amps, 6, palette.ink()));
      plot.setDataset(1, dataset("amps", figure.amps()));
      plot.setRenderer(1, line(palette.ink()));
      plot.mapDatasetToRangeAxis(1, 1);
    }
    plot.setDataset(0, dataset("volts", figure.volts()));
    plot.setRenderer(0, line(palette.ember()));
    if (!Double.isNaN(figure.from())) {
      mark(plot, volts);
    }
    JFreeChart chart = new JFreeChart(null, JFreeChart.DEFAULT_TITLE_FONT, plot, false);
    chart.setBackgroundPaint(Palette.awt(palette.sheet()));
    chart.setPadding(new RectangleInsets(8, 6, 4, 12));
    return chart;
  }

  private void mark(XYPlot plot, double top) {
    IntervalMarker marker = new IntervalMarker(figure.from(), figure.to());
    marker.setPaint(Palette.awt(palette.emberWash()));
    marker.setAlpha(0.9f);
    marker.setOutlinePaint(Palette.awt(palette.shortOf()));
    marker.setLabelAnchor(RectangleAnchor.TOP);
    plot.addDomainMarker(marker, Layer.BACKGROUND);
    XYTextAnnotation words = new XYTextAnnotation(" " + figure.words(), figure.to(), top * 0.98);
    words.setFont(Face.FIGURE.awt(text));
    words.setPaint(Palette.awt(palette.shortOf()));
    words.setTextAnchor(TextAnchor.TOP_LEFT);
    plot.addAnnotation(words);
  }

  private static double most(double[] values) {
    double most = 1;
    for (double v : values) {
      most = Math.max(most, Math.abs(v));
    }
    return most * 1.25;
  }

  private NumberAxis axis(String name, double least, double most, int steps, String colour) {
    NumberAxis axis = new NumberAxis(name);
    axis.setRange(least, most);
    double step = TraceChart.step(most - least, steps);
    axis.setTickUnit(new NumberTickUnit(step));
    axis.setNumberFormatOverride(new AxisFigures(step));
    axis.setTickLabelFont(Face.FIGURE.awt(text));
    axis.setLabelFont(Face.FIGURE.awt(text));
    axis.setTickLabelPaint(Palette.awt(colour));
    axis.setLabelPaint(Palette.awt(colour));
    axis.setAxisLinePaint(Palette.awt(palette.rule()));
    axis.setTickMarkPaint(Palette.awt(palette.rule()));
    axis.setLabelInsets(new RectangleInsets(3, 3, 3, 3));
    return axis;
  }

  private DefaultXYDataset dataset(String name, double[] values) {
    TraceFigure.Line thin = TraceFigure.thin(figure.milliseconds(), values, POINTS);
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries(name, new double[][] {thin.seconds(), thin.values()});
    return data;
  }

  private XYLineAndShapeRenderer line(String colour) {
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
    renderer.setSeriesPaint(0, Palette.awt(colour));
    renderer.setSeriesStroke(0, LINE);
    renderer.setDrawSeriesLineAsPath(true);
    return renderer;
  }
}

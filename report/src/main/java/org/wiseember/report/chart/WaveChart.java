package org.wiseember.report.chart;

import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.plot.IntervalMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.RectangleAnchor;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.report.drawing.TraceDrawing;
import org.wiseember.report.drawing.WaveDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Volts and amps of a capture against milliseconds, one stretch marked. */
public final class WaveChart {

  /** Widest a line is drawn with, in points; more would only be drawn over. */
  private static final int POINTS = 3000;

  private final WaveDrawing figure;
  private final Palette palette;
  private final float text;
  private final PlotLook look;

  private WaveChart(WaveDrawing figure, Palette palette, double scale) {
    this.figure = figure;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
    this.text = look.text();
  }

  /**
   * Builds the chart.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(WaveDrawing figure, Palette palette, double scale) {
    return new WaveChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    XYPlot plot = look.plot();
    double[] t = figure.milliseconds();
    double first = t.length == 0 ? 0 : t[0];
    double last = t.length == 0 ? 1 : t[t.length - 1];
    plot.setDomainAxis(look.axis("time, ms", first, Math.max(last, first + 1), 8, palette.quiet()));
    double volts = most(figure.volts());
    plot.setRangeAxis(look.axis("volts, V", -volts, volts, 6, palette.emberInk()));
    if (figure.amps().length > 0) {
      double amps = most(figure.amps());
      plot.setRangeAxis(1, look.axis("amps, A", -amps, amps, 6, palette.ink()));
      plot.setDataset(1, dataset("amps", figure.amps()));
      plot.setRenderer(1, PlotLook.line(palette.ink()));
      plot.mapDatasetToRangeAxis(1, 1);
    }
    plot.setDataset(0, dataset("volts", figure.volts()));
    plot.setRenderer(0, PlotLook.line(palette.ember()));
    if (!Double.isNaN(figure.from())) {
      mark(plot, volts);
    }
    return look.chart(plot);
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

  private DefaultXYDataset dataset(String name, double[] values) {
    TraceDrawing.Line thin = TraceDrawing.thin(figure.milliseconds(), values, POINTS);
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries(name, new double[][] {thin.seconds(), thin.values()});
    return data;
  }
}

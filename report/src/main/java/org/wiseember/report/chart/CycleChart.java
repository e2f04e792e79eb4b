package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Stroke;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.CombinedDomainXYPlot;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.report.drawing.CycleDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** A wave over the best sine, what is left over on an axis of its own below it. */
public final class CycleChart {
  private static final Stroke BROAD =
      new BasicStroke(5f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND);
  private static final Stroke DASHES =
      new BasicStroke(
          1.4f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND, 1, new float[] {6, 4}, 0);

  /** The wave and what is left over share the room so. */
  private static final int WAVE_SHARE = 5;

  private static final int REST_SHARE = 2;

  private final CycleDrawing figure;
  private final Palette palette;
  private final PlotLook look;

  private CycleChart(CycleDrawing figure, Palette palette, double scale) {
    this.figure = figure;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
  }

  /**
   * Builds the chart.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(CycleDrawing figure, Palette palette, double scale) {
    return new CycleChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    NumberAxis time = look.axis("time, ms", figure.from(), figure.to(), 8, palette.quiet());
    CombinedDomainXYPlot both = new CombinedDomainXYPlot(time);
    both.setGap(10);
    both.setBackgroundPaint(Palette.awt(palette.sheet()));
    both.setOutlineVisible(false);
    both.setAxisOffset(RectangleInsets.ZERO_INSETS);
    both.add(wave(), WAVE_SHARE);
    both.add(rest(), REST_SHARE);
    return look.chart(both);
  }

  private XYPlot wave() {
    XYPlot plot = look.plot();
    double most = 1.18 * Math.max(most(figure.wave()), most(figure.sine()));
    plot.setRangeAxis(look.axis("volts, V", -most, most, 6, palette.emberInk()));
    add(plot, 0, "sine", figure.sine(), palette.steelWash(), BROAD);
    figure.beside().ifPresent(line -> add(plot, 1, "beside", line, palette.steel(), DASHES));
    add(plot, 2, "wave", figure.wave(), palette.ember(), PlotLook.LINE);
    double right = figure.to() - 0.01 * (figure.to() - figure.from());
    String beside = figure.beside().isPresent() ? "; dashed: " + figure.besideWords() : "";
    plot.addAnnotation(
        words("broad: pure sine of the same volts" + beside, right, 0.96 * most, palette.steel()));
    return plot;
  }

  private XYPlot rest() {
    XYPlot plot = look.plot();
    double most = 1.5 * Math.max(1e-3, most(figure.rest()));
    plot.setRangeAxis(look.axis("left over, V", -most, most, 4, palette.quiet()));
    add(plot, 0, "rest", figure.rest(), palette.ink(), PlotLook.LINE);
    return plot;
  }

  private XYTextAnnotation words(String text, double x, double y, String colour) {
    XYTextAnnotation words = new XYTextAnnotation(text, x, y);
    words.setFont(Face.FIGURE.awt(look.text()));
    words.setPaint(Palette.awt(colour));
    words.setTextAnchor(TextAnchor.TOP_RIGHT);
    return words;
  }

  private static void add(
      XYPlot plot, int index, String name, CycleDrawing.Line line, String colour, Stroke stroke) {
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries(name, new double[][] {line.milliseconds(), line.values()});
    XYLineAndShapeRenderer renderer = PlotLook.line(colour);
    renderer.setSeriesStroke(0, stroke);
    plot.setDataset(index, data);
    plot.setRenderer(index, renderer);
  }

  private static double most(CycleDrawing.Line line) {
    double most = 0;
    for (double v : line.values()) {
      most = Math.max(most, Double.isNaN(v) ? 0 : Math.abs(v));
    }
    return Math.max(most, 1e-9);
  }
}

package org.wiseember.report.chart;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.axis.LogAxis;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.axis.ValueAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.report.drawing.LinesDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Curves of several units over each other. */
public final class LinesChart {
  private static final double RADIUS = 4.6;
  private static final double ROOM = 0.06;

  private final LinesDrawing figure;
  private final Palette palette;
  private final PlotLook look;

  private LinesChart(LinesDrawing figure, Palette palette, double scale) {
    this.figure = figure;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
  }

  /**
   * Builds the chart.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(LinesDrawing figure, Palette palette, double scale) {
    return new LinesChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    XYPlot plot = look.plot();
    plot.setDomainAxis(axis(figure.across(), LinesDrawing.Point::x, true));
    plot.setRangeAxis(axis(figure.up(), LinesDrawing.Point::y, false));
    int index = 0;
    for (LinesDrawing.Line line : figure.lines()) {
      add(plot, index++, line, line.curve(), true);
      add(plot, index++, line, line.marks(), false);
    }
    return look.chart(plot);
  }

  private Stream<LinesDrawing.Point> points() {
    return figure.lines().stream()
        .flatMap(l -> Stream.concat(l.curve().stream(), l.marks().stream()));
  }

  private ValueAxis axis(String name, ToDoubleFunction<LinesDrawing.Point> of, boolean fromNought) {
    double least = points().mapToDouble(of).min().orElse(0);
    double most = points().mapToDouble(of).max().orElse(1);
    if (figure.logarithmic()) {
      LogAxis axis = new LogAxis(name);
      axis.setRange(Math.max(1e-3, least / 1.3), Math.max(1e-2, most * 1.3));
      axis.setBase(10);
      axis.setTickUnit(new NumberTickUnit(1));
      axis.setNumberFormatOverride(new AxisFigures(0.1));
      axis.setTickLabelFont(Face.FIGURE.awt(look.text()));
      axis.setLabelFont(Face.FIGURE.awt(look.text()));
      axis.setTickLabelPaint(Palette.awt(palette.quiet()));
      axis.setLabelPaint(Palette.awt(palette.quiet()));
      return axis;
    }
    double span = Math.max(1e-6, most - least);
    double low = fromNought || least < 0.4 * most ? Math.min(0, least) : least - ROOM * span;
    NumberAxis axis = look.axis(name, low, most + ROOM * span, 7, palette.quiet());
    return axis;
  }

  private void add(
      XYPlot plot,
      int index,
      LinesDrawing.Line line,
      List<LinesDrawing.Point> points,
      boolean joined) {
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries(
        line.name(),
        new double[][] {
          points.stream().mapToDouble(LinesDrawing.Point::x).toArray(),
          points.stream().mapToDouble(LinesDrawing.Point::y).toArray()
        });
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(joined, !joined);
    renderer.setSeriesPaint(0, Palette.awt(line.mark().colour(palette)));
    renderer.setSeriesStroke(0, PlotLook.LINE);
    renderer.setSeriesShape(0, line.mark().shape(RADIUS));
    renderer.setSeriesShapesFilled(0, line.mark().filled());
    renderer.setDrawSeriesLineAsPath(joined);
    plot.setDataset(index, data);
    plot.setRenderer(index, renderer);
  }
}

package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Shape;
import java.awt.Stroke;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYPolygonAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.core.quantity.Figures;
import org.wiseember.report.drawing.EnduranceDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/**
 * Watts against seconds, both on scales of factors: the label's steps as stairs, open marks for
 * loads that were held, filled ones for trips, and the curve through them with its band.
 */
public final class EnduranceChart {
  private static final Stroke LINE =
      new BasicStroke(1.8f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND);
  private static final double LEFT = 0.5;
  private static final double RIGHT = 5400;
  private static final double[] WATTS = {1, 1.5, 2, 3, 5, 7};
  private static final double DOT = 9;

  private final EnduranceDrawing figure;
  private final Palette palette;
  private final float text;
  private final PlotLook look;

  private EnduranceChart(EnduranceDrawing figure, Palette palette, double scale) {
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
  public static JFreeChart of(EnduranceDrawing figure, Palette palette, double scale) {
    return new EnduranceChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    double least = Double.POSITIVE_INFINITY;
    double most = 0;
    double longest = RIGHT;
    for (EnduranceDrawing.Try t : figure.tries()) {
      least = Math.min(least, t.watts());
      most = Math.max(most, t.watts());
      longest = Math.max(longest, t.seconds() * 1.5);
    }
    for (EnduranceDrawing.Step s : figure.promised()) {
      least = Math.min(least, s.watts());
      most = Math.max(most, s.watts());
    }
    if (!(most > 0)) {
      least = 100;
      most = 1000;
    }
    double bottom = Math.log10(least / 1.35);
    double top = Math.log10(most * 1.35);
    XYPlot plot = look.plot();
    plot.setDomainAxis(
        axis("held for", seconds(), Math.log10(LEFT), Math.log10(longest), palette.quiet()));
    plot.setRangeAxis(axis("load, W", watts(bottom, top), bottom, top, palette.emberInk()));
    plot.setDomainGridlinesVisible(true);
    stairs(plot, bottom, Math.log10(longest));
    curve(plot, top);
    marks(plot);
    return look.chart(plot);
  }

  private static Map<Double, String> seconds() {
    Map<Double, String> names = new LinkedHashMap<>();
    names.put(Math.log10(1), "1 s");
    names.put(Math.log10(10), "10 s");
    names.put(Math.log10(60), "1 min");
    names.put(Math.log10(600), "10 min");
    names.put(Math.log10(3600), "1 h");
    names.put(Math.log10(36_000), "10 h");
    return names;
  }

  private static Map<Double, String> watts(double bottom, double top) {
    Map<Double, String> names = new LinkedHashMap<>();
    for (int power = 0; power < 6; power++) {
      for (double w : WATTS) {
        double at = Math.log10(w * Math.pow(10, power));
        if (at > bottom && at < top) {
          names.put(
              at, Figures.plain(w * Math.pow(10, power)).replace(Figures.THIN_SPACE, '\u00a0'));
        }
      }
    }
    return names;
  }

  private NumberAxis axis(
      String name, Map<Double, String> ticks, double from, double to, String colour) {
    NamedTicksAxis axis = new NamedTicksAxis(name, ticks);
    axis.setRange(from, to);
    look.style(axis, colour);
    return axis;
  }

  /** What the label promises: each load as far as its time, the shortest and heaviest first. */
  private void stairs(XYPlot plot, double bottom, double right) {
    List<EnduranceDrawing.Step> steps = new ArrayList<>(figure.promised());
    if (steps.isEmpty()) {
      return;
    }
    steps.sort(Comparator.comparingDouble(EnduranceDrawing.Step::seconds));
    List<double[]> line = new ArrayList<>();
    double x = Math.log10(LEFT);
    for (EnduranceDrawing.Step s : steps) {
      double y = Math.log10(s.watts());
      double end = Double.isInfinite(s.seconds()) ? right : Math.log10(s.seconds());
      if (end <= x) {
        continue;
      }
      line.add(new double[] {x, y});
      line.add(new double[] {end, y});
      x = end;
    }
    if (line.isEmpty()) {
      return;
    }
    List<double[]> area = new ArrayList<>(line);
    area.add(new double[] {x, bottom});
    area.add(new double[] {Math.log10(LEFT), bottom});
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
    renderer.setSeriesPaint(0, Palette.awt(palette.steel()));
    renderer.setSeriesStroke(0, LINE);
    renderer.addAnnotation(polygon(area, palette.steelWash()), Layer.BACKGROUND);
    double[] last = line.get(line.size() - 1);
    XYTextAnnotation words = new XYTextAnnotation("promised on the label ", last[0], last[1]);
    words.setFont(Face.FIGURE.awt(text));
    words.setPaint(Palette.awt(palette.steel()));
    words.setTextAnchor(TextAnchor.TOP_RIGHT);
    renderer.addAnnotation(words);
    plot.setDataset(0, dataset("promised", line));
    plot.setRenderer(0, renderer);
  }

  private static XYPolygonAnnotation polygon(List<double[]> points, String colour) {
    double[] flat = new double[2 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      flat[2 * i] = points.get(i)[0];
      flat[2 * i + 1] = points.get(i)[1];
    }
    Color paint = Palette.awt(colour);
    return new XYPolygonAnnotation(
        flat, null, null, new Color(paint.getRed(), paint.getGreen(), paint.getBlue(), 150));
  }

  private void curve(XYPlot plot, double top) {
    List<double[]> line = new ArrayList<>();
    List<double[]> band = new ArrayList<>();
    List<double[]> back = new ArrayList<>();
    for (EnduranceDrawing.Point p : figure.curve()) {
      double y = Math.log10(p.watts());
      if (p.seconds() < LEFT || p.seconds() > 10 * RIGHT || y > top) {
        continue;
      }
      line.add(new double[] {Math.log10(p.seconds()), y});
      band.add(new double[] {Math.log10(Math.max(LEFT, p.low())), y});
      back.add(0, new double[] {Math.log10(Math.min(10 * RIGHT, p.high())), y});
    }
    if (line.size() < 2) {
      return;
    }
    band.addAll(back);
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
    renderer.setSeriesPaint(0, Palette.awt(palette.ember()));
    renderer.setSeriesStroke(0, LINE);
    renderer.addAnnotation(polygon(band, palette.emberWash()), Layer.BACKGROUND);
    double[] at = line.get(line.size() / 6);
    XYTextAnnotation words = new XYTextAnnotation("  where it trips, 95 % band", at[0], at[1]);
    words.setFont(Face.FIGURE.awt(text));
    words.setPaint(Palette.awt(palette.emberInk()));
    words.setTextAnchor(TextAnchor.BOTTOM_LEFT);
    renderer.addAnnotation(words);
    plot.setDataset(1, dataset("curve", line));
    plot.setRenderer(1, renderer);
  }

  private void marks(XYPlot plot) {
    List<double[]> held = new ArrayList<>();
    List<double[]> tripped = new ArrayList<>();
    for (EnduranceDrawing.Try t : figure.tries()) {
      (t.tripped() ? tripped : held)
          .add(new double[] {Math.log10(Math.max(LEFT, t.seconds())), Math.log10(t.watts())});
    }
    DefaultXYDataset data = dataset("tripped", tripped);
    data.addSeries("held", columns(held));
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(false, true);
    renderer.setSeriesPaint(0, Palette.awt(palette.emberInk()));
    renderer.setSeriesPaint(1, Palette.awt(palette.emberInk()));
    renderer.setSeriesShape(0, new Ellipse2D.Double(-DOT / 2, -DOT / 2, DOT, DOT));
    renderer.setSeriesShape(1, onwards());
    renderer.setSeriesShapesFilled(1, true);
    renderer.setUseFillPaint(true);
    renderer.setSeriesFillPaint(0, Palette.awt(palette.ember()));
    renderer.setSeriesFillPaint(1, Palette.awt(palette.sheet()));
    renderer.setDrawOutlines(true);
    renderer.setUseOutlinePaint(true);
    renderer.setSeriesOutlinePaint(0, Palette.awt(palette.emberInk()));
    renderer.setSeriesOutlinePaint(1, Palette.awt(palette.emberInk()));
    renderer.setSeriesOutlineStroke(1, LINE);
    plot.setDataset(2, data);
    plot.setRenderer(2, renderer);
  }

  /** Open towards longer times: it went on at least so long. */
  private static Shape onwards() {
    Path2D path = new Path2D.Double();
    path.moveTo(-DOT / 2, -DOT / 2);
    path.lineTo(DOT / 2 + 1, 0);
    path.lineTo(-DOT / 2, DOT / 2);
    path.closePath();
    return path;
  }

  private static DefaultXYDataset dataset(String name, List<double[]> points) {
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries(name, columns(points));
    return data;
  }

  private static double[][] columns(List<double[]> points) {
    double[][] columns = new double[2][points.size()];
    for (int i = 0; i < points.size(); i++) {
      columns[0][i] = points.get(i)[0];
      columns[1][i] = points.get(i)[1];
    }
    return columns;
  }
}

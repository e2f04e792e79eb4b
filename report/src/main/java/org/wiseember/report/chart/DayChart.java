package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Shape;
import java.awt.Stroke;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYBoxAnnotation;
import org.jfree.chart.annotations.XYPolygonAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.CombinedDomainXYPlot;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.report.drawing.DayDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/**
 * Charge over time: the first unit in ember with its band, others in ink, the label's word in
 * steel.
 */
public final class DayChart {
  private static final Stroke HAIR = new BasicStroke(1f);
  private static final Stroke PROMISED =
      new BasicStroke(1.5f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND, 1, new float[] {5, 4}, 0);
  private static final float[][] DASHES = {{9, 4}, {2, 3}, {12, 3, 2, 3}, {3, 2}};
  private static final double DOT = 9;

  /** Room under the lines for the names of those that end there, %. */
  private static final double BELOW = 15;

  private static final double HALF_BAR = 0.3;
  private static final int LINES_WEIGHT = 10;

  private final DayDrawing drawing;
  private final Palette palette;
  private final PlotLook look;

  private DayChart(DayDrawing drawing, Palette palette, double scale) {
    this.drawing = drawing;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
  }

  public static JFreeChart of(DayDrawing drawing, Palette palette, double scale) {
    return new DayChart(drawing, palette, scale).build();
  }

  private JFreeChart build() {
    Map<Double, String> times = new LinkedHashMap<>();
    for (double hour = firstTick(); hour <= drawing.hours() + 1e-9; hour += drawing.step()) {
      times.put(hour, drawing.time(hour));
    }
    NumberAxis across = new NamedTicksAxis("", times);
    across.setRange(0, drawing.hours());
    look.style(across, palette.quiet());
    XYPlot charge = charge();
    if (drawing.rows().isEmpty()) {
      charge.setDomainAxis(across);
      return roomy(look.chart(charge));
    }
    CombinedDomainXYPlot both = new CombinedDomainXYPlot(across);
    both.setGap(8);
    both.setOutlineVisible(false);
    both.setBackgroundPaint(Palette.awt(palette.sheet()));
    both.add(rows(), Math.max(4, 2 * drawing.rows().size()));
    both.add(charge, LINES_WEIGHT);
    return roomy(look.chart(both));
  }

  /** Half of the last time stands beyond the end of the axis. */
  private JFreeChart roomy(JFreeChart chart) {
    chart.setPadding(new RectangleInsets(8, 6, 4, 4 + 1.9 * look.text()));
    return chart;
  }

  /** Ticks stand on whole hours of the day. */
  private double firstTick() {
    int minute = drawing.start().getMinute();
    return minute == 0 ? 0 : (60 - minute) / 60.0;
  }

  private XYPlot charge() {
    XYPlot plot = look.plot();
    plot.setDomainGridlinesVisible(true);
    Map<Double, String> names = new LinkedHashMap<>();
    names.put(100.0, "full");
    names.put(50.0, "50 %");
    names.put(0.0, "empty");
    if (drawing.reserve() > 0) {
      names.remove(0.0);
      names.put(drawing.reserve(), "reserve");
    }
    NumberAxis beside = new NamedTicksAxis("", names);
    beside.setRange(-BELOW, 106);
    look.style(beside, palette.quiet());
    plot.setRangeAxis(beside);
    ValueMarker floor = new ValueMarker(drawing.reserve(), Palette.awt(palette.quiet()), HAIR);
    plot.addRangeMarker(floor, Layer.BACKGROUND);
    promised(plot);
    for (int i = drawing.lines().size() - 1; i >= 0; i--) {
      line(plot, i);
    }
    return plot;
  }

  private void promised(XYPlot plot) {
    List<DayDrawing.Point> points = drawing.byLabel();
    if (points.isEmpty()) {
      plot.setDataset(0, new DefaultXYDataset());
      return;
    }
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries("by its label alone", columns(points));
    XYLineAndShapeRenderer renderer = PlotLook.line(palette.steel());
    renderer.setSeriesStroke(0, PROMISED);
    plot.setDataset(0, data);
    plot.setRenderer(0, renderer);
  }

  private void line(XYPlot plot, int i) {
    DayDrawing.Line line = drawing.lines().get(i);
    String colour = line.asked() ? palette.ember() : palette.ink();
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries(line.name(), columns(line.points()));
    boolean ends = !Double.isNaN(line.runsOut());
    data.addSeries(
        "end",
        ends
            ? new double[][] {{line.runsOut()}, {drawing.reserve()}}
            : new double[][] {new double[0], new double[0]});
    XYLineAndShapeRenderer renderer = PlotLook.line(colour);
    renderer.setSeriesStroke(0, line.asked() ? stroke(0) : stroke(Math.max(1, i)));
    renderer.setSeriesLinesVisible(1, false);
    renderer.setSeriesShapesVisible(1, true);
    renderer.setSeriesShape(1, mark(i));
    renderer.setSeriesPaint(1, Palette.awt(line.asked() ? palette.shortOf() : palette.ink()));
    if (line.asked()) {
      band(renderer, line.points());
    }
    plot.setDataset(i + 1, data);
    plot.setRenderer(i + 1, renderer);
    word(renderer, line, i);
  }

  /**
   * Its number, and when it ends, below the line, where a line that falls leaves room: at its end.
   */
  private void word(XYLineAndShapeRenderer renderer, DayDrawing.Line line, int i) {
    if (line.points().isEmpty()) {
      return;
    }
    boolean ends = !Double.isNaN(line.runsOut());
    DayDrawing.Point last = line.points().get(line.points().size() - 1);
    double x = ends ? line.runsOut() : last.hour();
    boolean toRight = x < 0.3 * drawing.hours();
    String number = drawing.lines().size() > 1 ? Integer.toString(i + 1) : "";
    String words = number + (ends ? (number.isEmpty() ? "" : ": ") + drawing.time(x) : "");
    boolean above = ends && i > 0;
    XYTextAnnotation text =
        new XYTextAnnotation(
            toRight ? "   " + words : words + "   ",
            x,
            above
                ? drawing.reserve() + 2 + 10 * i
                : (ends ? drawing.reserve() : last.charge()) - 2);
    text.setFont(Face.FIGURE.awt(look.text()));
    text.setPaint(Palette.awt(line.asked() ? palette.emberInk() : palette.ink()));
    text.setTextAnchor(
        above
            ? toRight ? TextAnchor.BOTTOM_LEFT : TextAnchor.BOTTOM_RIGHT
            : toRight ? TextAnchor.TOP_LEFT : TextAnchor.TOP_RIGHT);
    renderer.addAnnotation(text, Layer.FOREGROUND);
  }

  private void band(XYLineAndShapeRenderer renderer, List<DayDrawing.Point> points) {
    if (points.size() < 2) {
      return;
    }
    List<Double> flat = new ArrayList<>();
    points.forEach(p -> flat.addAll(List.of(p.hour(), p.low())));
    for (int i = points.size() - 1; i >= 0; i--) {
      flat.addAll(List.of(points.get(i).hour(), points.get(i).high()));
    }
    Color wash = Palette.awt(palette.emberWash());
    renderer.addAnnotation(
        new XYPolygonAnnotation(
            flat.stream().mapToDouble(Double::doubleValue).toArray(),
            null,
            null,
            new Color(wash.getRed(), wash.getGreen(), wash.getBlue(), 190)),
        Layer.BACKGROUND);
  }

  private static Stroke stroke(int i) {
    return i == 0
        ? new BasicStroke(2.2f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND)
        : new BasicStroke(
            1.5f,
            BasicStroke.CAP_BUTT,
            BasicStroke.JOIN_ROUND,
            1,
            DASHES[(i - 1) % DASHES.length],
            0);
  }

  /** Units differ by the shape of their end too. */
  private static Shape mark(int i) {
    if (i == 0) {
      return new Ellipse2D.Double(-DOT / 2, -DOT / 2, DOT, DOT);
    }
    if (i == 1) {
      return new Rectangle2D.Double(-DOT / 2, -DOT / 2, DOT, DOT);
    }
    Path2D path = new Path2D.Double();
    path.moveTo(0, -DOT / 2);
    path.lineTo(DOT / 2, DOT / 2);
    path.lineTo(-DOT / 2, DOT / 2);
    path.closePath();
    return path;
  }

  private static double[][] columns(List<DayDrawing.Point> points) {
    double[][] columns = new double[2][points.size()];
    for (int i = 0; i < points.size(); i++) {
      columns[0][i] = points.get(i).hour();
      columns[1][i] = points.get(i).charge();
    }
    return columns;
  }

  private XYPlot rows() {
    List<DayDrawing.Row> all = drawing.rows();
    Map<Double, String> names = new LinkedHashMap<>();
    XYPlot plot = look.plot();
    plot.setDomainGridlinesVisible(true);
    plot.setRangeGridlinesVisible(false);
    plot.setRenderer(new XYLineAndShapeRenderer());
    for (int r = 0; r < all.size(); r++) {
      double y = all.size() - 1.0 - r;
      names.put(y, all.get(r).name());
      for (DayDrawing.Bar bar : all.get(r).bars()) {
        double from = Math.max(0, bar.from());
        // A go of seconds is seen as well.
        double to = Math.min(drawing.hours(), Math.max(bar.to(), from + drawing.hours() / 300));
        if (to > from) {
          plot.addAnnotation(
              new XYBoxAnnotation(
                  from,
                  y - HALF_BAR,
                  to,
                  y + HALF_BAR,
                  HAIR,
                  Palette.awt(palette.ember()),
                  Palette.awt(palette.emberWash())));
        }
      }
    }
    NumberAxis beside = new NamedTicksAxis("", names);
    beside.setRange(-0.6, all.size() - 0.4);
    look.style(beside, palette.ink());
    plot.setRangeAxis(beside);
    return plot;
  }
}

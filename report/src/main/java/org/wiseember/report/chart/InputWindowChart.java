package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Stroke;
import java.awt.geom.Ellipse2D;
import java.util.ArrayList;
import java.util.List;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYBoxAnnotation;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.report.drawing.InputWindowDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/**
 * The window of a port: what it draws as a rectangle, its watts as a curve, what may never be put
 * into it as the ground past its most volts; each arrangement as a dot where it works, with a
 * whisker to its volts on the coldest morning.
 */
public final class InputWindowChart {
  private static final Stroke HAIR = new BasicStroke(1f);
  private static final Stroke STRONG = new BasicStroke(2f);
  private static final Stroke DASHED =
      new BasicStroke(1.6f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND, 1, new float[] {5, 4}, 0);
  private static final double DOT = 10;
  private static final double SMALL = 3;
  private static final int CURVE = 120;
  private static final int GROUND_ALPHA = 34;

  /** Two dots nearer than this, as a share of the axes, share one label. */
  private static final double NEAR = 0.025;

  private final InputWindowDrawing figure;
  private final Palette palette;
  private final PlotLook look;
  private final Font font;
  private double right;
  private double top;

  private InputWindowChart(InputWindowDrawing figure, Palette palette, double scale) {
    this.figure = figure;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
    this.font = Face.FIGURE.awt(look.text());
  }

  /**
   * Builds the chart.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(InputWindowDrawing figure, Palette palette, double scale) {
    return new InputWindowChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    right = 1.3 * figure.mostVolts();
    top = Double.isInfinite(figure.amps()) ? 10 : 1.25 * figure.amps();
    for (InputWindowDrawing.Point p : figure.points()) {
      right = Math.max(right, 1.06 * p.coldVolts());
      top = Math.max(top, 1.18 * p.amps());
    }
    for (InputWindowDrawing.Reading r : figure.measured()) {
      right = Math.max(right, 1.06 * r.volts());
      top = Math.max(top, 1.18 * r.amps());
    }
    XYPlot plot = look.plot();
    plot.setDomainAxis(look.axis("volts, V", 0, right, 10, palette.quiet()));
    plot.setRangeAxis(look.axis("amps, A", 0, top, 7, palette.quiet()));
    XYLineAndShapeRenderer curve = PlotLook.line(palette.steel());
    curve.setSeriesStroke(0, DASHED);
    ground(curve);
    plot.setDataset(0, watts());
    plot.setRenderer(0, curve);
    plot.setDataset(1, dots());
    plot.setRenderer(1, marks());
    plot.setDataset(2, readings());
    plot.setRenderer(2, small());
    whiskers(plot);
    names(plot);
    return look.chart(plot);
  }

  private void ground(XYLineAndShapeRenderer renderer) {
    double height = Math.min(top, figure.amps());
    renderer.addAnnotation(
        new XYBoxAnnotation(
            figure.leastVolts(),
            0,
            figure.mostVolts(),
            height,
            null,
            null,
            Palette.awt(palette.steelWash())),
        Layer.BACKGROUND);
    Color red = Palette.awt(palette.shortOf());
    renderer.addAnnotation(
        new XYBoxAnnotation(
            figure.mostVolts(),
            0,
            right,
            top,
            null,
            null,
            new Color(red.getRed(), red.getGreen(), red.getBlue(), GROUND_ALPHA)),
        Layer.BACKGROUND);
    renderer.addAnnotation(
        new XYLineAnnotation(figure.mostVolts(), 0, figure.mostVolts(), top, STRONG, red));
    renderer.addAnnotation(
        words(
            " past " + Figures.plain(figure.mostVolts(), Unit.VOLT) + ": never",
            figure.mostVolts(),
            0.985 * top,
            TextAnchor.TOP_LEFT,
            palette.shortOf()));
    renderer.addAnnotation(
        words(
            " what the port draws",
            figure.leastVolts(),
            0.015 * top,
            TextAnchor.BOTTOM_LEFT,
            palette.steel()));
  }

  private XYTextAnnotation words(
      String text, double x, double y, TextAnchor anchor, String colour) {
    XYTextAnnotation words = new XYTextAnnotation(text, x, y);
    words.setFont(font);
    words.setPaint(Palette.awt(colour));
    words.setTextAnchor(anchor);
    return words;
  }

  /** Amps at which the port has its watts. */
  private DefaultXYDataset watts() {
    DefaultXYDataset data = new DefaultXYDataset();
    if (Double.isInfinite(figure.watts())) {
      data.addSeries("watts", new double[2][0]);
      return data;
    }
    double from = Math.max(figure.watts() / top, 0.5);
    double[][] line = new double[2][CURVE];
    for (int i = 0; i < CURVE; i++) {
      line[0][i] = from + (right - from) * i / (CURVE - 1);
      line[1][i] = figure.watts() / line[0][i];
    }
    data.addSeries("watts", line);
    return data;
  }

  private DefaultXYDataset dots() {
    DefaultXYDataset data = new DefaultXYDataset();
    for (int series = 0; series < 2; series++) {
      boolean never = series == 1;
      List<InputWindowDrawing.Point> some =
          figure.points().stream().filter(p -> never == never(p)).toList();
      data.addSeries(
          never ? "never" : "allowed",
          new double[][] {
            some.stream().mapToDouble(InputWindowDrawing.Point::volts).toArray(),
            some.stream().mapToDouble(InputWindowDrawing.Point::amps).toArray()
          });
    }
    return data;
  }

  private DefaultXYDataset readings() {
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries(
        "read",
        new double[][] {
          figure.measured().stream().mapToDouble(InputWindowDrawing.Reading::volts).toArray(),
          figure.measured().stream().mapToDouble(InputWindowDrawing.Reading::amps).toArray()
        });
    return data;
  }

  private XYLineAndShapeRenderer small() {
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(false, true);
    renderer.setSeriesPaint(0, Palette.awt(palette.emberInk()));
    renderer.setSeriesShape(0, new Ellipse2D.Double(-SMALL / 2, -SMALL / 2, SMALL, SMALL));
    return renderer;
  }

  private boolean never(InputWindowDrawing.Point point) {
    return point.coldVolts() > figure.mostVolts();
  }

  private XYLineAndShapeRenderer marks() {
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(false, true);
    String[] colours = {palette.ember(), palette.shortOf()};
    for (int series = 0; series < 2; series++) {
      renderer.setSeriesPaint(series, Palette.awt(colours[series]));
      renderer.setSeriesShape(series, new Ellipse2D.Double(-DOT / 2, -DOT / 2, DOT, DOT));
    }
    return renderer;
  }

  private void whiskers(XYPlot plot) {
    double cap = 0.012 * top;
    for (InputWindowDrawing.Point p : figure.points()) {
      Color colour = Palette.awt(never(p) ? palette.shortOf() : palette.ember());
      Stroke stroke = p.chosen() ? STRONG : HAIR;
      plot.addAnnotation(
          new XYLineAnnotation(p.volts(), p.amps(), p.coldVolts(), p.amps(), stroke, colour));
      plot.addAnnotation(
          new XYLineAnnotation(
              p.coldVolts(), p.amps() - cap, p.coldVolts(), p.amps() + cap, stroke, colour));
    }
    if (!Double.isInfinite(figure.watts())) {
      double high = 0.96 * top;
      plot.addAnnotation(
          words(
              Figures.plain(figure.watts(), Unit.WATT) + " ",
              figure.watts() / high,
              high,
              TextAnchor.CENTER_RIGHT,
              palette.steel()));
    }
  }

  /** A letter over each dot; dots that lie together share a label. */
  private void names(XYPlot plot) {
    List<List<InputWindowDrawing.Point>> groups = new ArrayList<>();
    for (InputWindowDrawing.Point p : figure.points()) {
      groups.stream()
          .filter(g -> near(g.get(0), p))
          .findFirst()
          .ifPresentOrElse(g -> g.add(p), () -> groups.add(new ArrayList<>(List.of(p))));
    }
    for (List<InputWindowDrawing.Point> group : groups) {
      InputWindowDrawing.Point first = group.get(0);
      String letters =
          String.join(", ", group.stream().map(InputWindowDrawing.Point::letter).toList());
      plot.addAnnotation(
          words(
              letters,
              first.volts() - 0.008 * right,
              first.amps() + 0.012 * top,
              TextAnchor.BOTTOM_RIGHT,
              never(first) ? palette.shortOf() : palette.emberInk()));
    }
  }

  private boolean near(InputWindowDrawing.Point a, InputWindowDrawing.Point b) {
    return Math.abs(a.volts() - b.volts()) < NEAR * right
        && Math.abs(a.amps() - b.amps()) < 2 * NEAR * top;
  }
}

package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Shape;
import java.awt.Stroke;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.report.drawing.RowsDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Rows along one scale, each under its own name: a mark with its whiskers and its figure. */
public final class RowsChart {
  private static final Stroke HAIR = new BasicStroke(1f);
  private static final Stroke WHISKER =
      new BasicStroke(1.6f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND);
  private static final double MARK = 9;

  /** One row alone stands no further from its name than one of several. */
  private static final int FEWEST = 4;

  /** The name stands so much of a row above its line. */
  private static final double NAME_ABOVE = 0.2;

  /** Right of the largest mark there is room for its figure. */
  private static final double ROOM_FOR_FIGURE = 1.22;

  private final RowsDrawing figure;
  private final Palette palette;
  private final PlotLook look;

  private RowsChart(RowsDrawing figure, Palette palette, double scale) {
    this.figure = figure;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
  }

  /**
   * Builds the chart.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(RowsDrawing figure, Palette palette, double scale) {
    return new RowsChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    List<RowsDrawing.Row> rows = figure.rows();
    double most = 1e-9;
    for (RowsDrawing.Row r : rows) {
      most = Math.max(most, Math.max(r.value() + r.halfWidth(), r.beside().orElse(0)));
    }
    XYPlot plot = look.plot();
    plot.setRangeGridlinesVisible(false);
    plot.setDomainGridlinesVisible(true);
    plot.setDomainAxis(look.axis(figure.across(), 0, ROOM_FOR_FIGURE * most, 6, palette.quiet()));
    NumberAxis down = new NumberAxis();
    down.setRange(0, Math.max(FEWEST, rows.size()) + 0.15);
    down.setVisible(false);
    down.setInverted(true);
    plot.setRangeAxis(down);
    for (int i = 0; i < rows.size(); i++) {
      row(plot, rows.get(i), i + 0.72, ROOM_FOR_FIGURE * most);
    }
    marks(plot, 0, rows, false);
    marks(plot, 1, rows, true);
    return look.chart(plot);
  }

  private void row(XYPlot plot, RowsDrawing.Row row, double y, double right) {
    plot.addAnnotation(line(0, right, y, HAIR, palette.rule()));
    plot.addAnnotation(
        line(
            Math.max(0, row.value() - row.halfWidth()),
            row.value() + row.halfWidth(),
            y,
            WHISKER,
            palette.ember()));
    plot.addAnnotation(words(row.name(), 0.004 * right, y - NAME_ABOVE, palette.ink()));
    plot.addAnnotation(
        words(
            row.figure(),
            Math.max(row.value() + row.halfWidth(), row.beside().orElse(0)) + 0.015 * right,
            y,
            palette.emberInk()));
  }

  private static XYLineAnnotation line(
      double from, double to, double y, Stroke stroke, String colour) {
    return new XYLineAnnotation(from, y, to, y, stroke, Palette.awt(colour));
  }

  private XYTextAnnotation words(String text, double x, double y, String colour) {
    XYTextAnnotation words = new XYTextAnnotation(text, x, y);
    words.setFont(Face.FIGURE.awt(look.text()));
    words.setPaint(Palette.awt(colour));
    words.setTextAnchor(TextAnchor.CENTER_LEFT);
    return words;
  }

  private void marks(XYPlot plot, int index, List<RowsDrawing.Row> rows, boolean beside) {
    int n = (int) rows.stream().filter(r -> !beside || r.beside().isPresent()).count();
    double[] x = new double[n];
    double[] y = new double[n];
    int at = 0;
    for (int i = 0; i < rows.size(); i++) {
      RowsDrawing.Row row = rows.get(i);
      if (!beside || row.beside().isPresent()) {
        x[at] = beside ? row.beside().getAsDouble() : row.value();
        y[at++] = i + 0.72;
      }
    }
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries("rows", new double[][] {x, y});
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(false, true);
    Color colour = Palette.awt(beside ? palette.steel() : palette.ember());
    Shape mark =
        beside
            ? new Rectangle2D.Double(-MARK / 2, -MARK / 2, MARK, MARK)
            : new Ellipse2D.Double(-MARK / 2, -MARK / 2, MARK, MARK);
    renderer.setSeriesShape(0, mark);
    renderer.setSeriesPaint(0, colour);
    renderer.setSeriesShapesFilled(0, !beside);
    plot.setDataset(index, data);
    plot.setRenderer(index, renderer);
  }
}

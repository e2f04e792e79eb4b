package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Stroke;
import java.awt.geom.Ellipse2D;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.DeviationRenderer;
import org.jfree.chart.renderer.xy.XYErrorRenderer;
import org.jfree.chart.ui.RectangleAnchor;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYIntervalSeries;
import org.jfree.data.xy.XYIntervalSeriesCollection;
import org.jfree.data.xy.YIntervalSeries;
import org.jfree.data.xy.YIntervalSeriesCollection;
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Points with their error bars, and the curve through them with its band. */
public final class CurveChart {
  private static final Stroke LINE =
      new BasicStroke(1.6f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND);
  private static final Stroke HAIR = new BasicStroke(1f);
  private static final double DOT = 7;

  /** Words beside a mark take so much of the axis. */
  private static final double ROOM_FOR_WORDS = 0.15;

  private final CurveDrawing figure;
  private final Palette palette;
  private final float text;
  private final PlotLook look;

  private CurveChart(CurveDrawing figure, Palette palette, double scale) {
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
  public static JFreeChart of(CurveDrawing figure, Palette palette, double scale) {
    return new CurveChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    XYPlot plot = look.plot();
    double widest = 10;
    for (CurveDrawing.Point p : figure.points()) {
      widest = Math.max(widest, p.x());
    }
    for (CurveDrawing.Point p : figure.curve()) {
      widest = Math.max(widest, p.x());
    }
    for (CurveDrawing.Mark mark : figure.marks()) {
      widest = Math.max(widest, mark.x() * 1.08);
    }
    double right = widest;
    // A point at nothing stands clear of the axis.
    boolean atZero = figure.points().stream().anyMatch(p -> p.x() < 0.01 * right);
    double left = atZero ? -0.02 * right : 0;
    plot.setDomainAxis(look.axis(figure.across(), left, right * 1.04, 8, palette.quiet()));
    plot.setRangeAxis(look.axis(figure.up(), figure.least(), figure.most(), 6, palette.emberInk()));
    plot.setDataset(0, curve());
    plot.setRenderer(0, band());
    plot.setDataset(1, points());
    plot.setRenderer(1, bars());
    if (!Double.isNaN(figure.claim())) {
      ValueMarker claim = marker(figure.claim(), palette.steel(), figure.claimWords());
      claim.setLabelAnchor(RectangleAnchor.TOP_RIGHT);
      claim.setLabelTextAnchor(TextAnchor.BOTTOM_RIGHT);
      plot.addRangeMarker(claim);
    }
    boolean above = false;
    for (CurveDrawing.Mark mark : figure.marks()) {
      ValueMarker upright = marker(mark.x(), palette.quiet(), mark.words());
      place(upright, mark.x() < widest * 0.75 && !crowded(mark, widest), above);
      plot.addDomainMarker(upright);
      // Two marks may stand side by side: their words do not.
      above = !above;
    }
    return look.chart(plot);
  }

  /** Whether another mark stands so near on the right that words there would run into it. */
  private boolean crowded(CurveDrawing.Mark mark, double widest) {
    return figure.marks().stream()
        .anyMatch(m -> m.x() > mark.x() && m.x() - mark.x() < ROOM_FOR_WORDS * widest);
  }

  private static void place(ValueMarker upright, boolean right, boolean above) {
    if (above) {
      upright.setLabelAnchor(right ? RectangleAnchor.TOP_RIGHT : RectangleAnchor.TOP_LEFT);
      upright.setLabelTextAnchor(right ? TextAnchor.TOP_LEFT : TextAnchor.TOP_RIGHT);
    } else {
      upright.setLabelAnchor(right ? RectangleAnchor.BOTTOM_RIGHT : RectangleAnchor.BOTTOM_LEFT);
      upright.setLabelTextAnchor(right ? TextAnchor.BOTTOM_LEFT : TextAnchor.BOTTOM_RIGHT);
    }
  }

  private ValueMarker marker(double at, String colour, String words) {
    ValueMarker marker = new ValueMarker(at, Palette.awt(colour), HAIR);
    marker.setLabel(words);
    marker.setLabelFont(Face.FIGURE.awt(text));
    marker.setLabelPaint(Palette.awt(colour));
    marker.setLabelBackgroundColor(new java.awt.Color(0, 0, 0, 0));
    marker.setLabelOffset(new RectangleInsets(4, 5, 4, 5));
    return marker;
  }

  private YIntervalSeriesCollection curve() {
    YIntervalSeries series = new YIntervalSeries("curve");
    for (CurveDrawing.Point p : figure.curve()) {
      series.add(p.x(), p.y(), p.y() - p.halfWidth(), p.y() + p.halfWidth());
    }
    YIntervalSeriesCollection data = new YIntervalSeriesCollection();
    data.addSeries(series);
    return data;
  }

  private DeviationRenderer band() {
    DeviationRenderer renderer = new DeviationRenderer(true, false);
    renderer.setSeriesPaint(0, Palette.awt(palette.ember()));
    renderer.setSeriesStroke(0, LINE);
    renderer.setSeriesFillPaint(0, Palette.awt(palette.emberWash()));
    renderer.setAlpha(0.8f);
    return renderer;
  }

  private XYIntervalSeriesCollection points() {
    XYIntervalSeries series = new XYIntervalSeries("measured");
    for (CurveDrawing.Point p : figure.points()) {
      series.add(p.x(), p.x(), p.x(), p.y(), p.y() - p.halfWidth(), p.y() + p.halfWidth());
    }
    XYIntervalSeriesCollection data = new XYIntervalSeriesCollection();
    data.addSeries(series);
    return data;
  }

  private XYErrorRenderer bars() {
    XYErrorRenderer renderer = new XYErrorRenderer();
    renderer.setDrawXError(false);
    renderer.setSeriesPaint(0, Palette.awt(palette.emberInk()));
    renderer.setErrorPaint(Palette.awt(palette.emberInk()));
    renderer.setErrorStroke(LINE);
    renderer.setCapLength(6);
    renderer.setSeriesShape(0, new Ellipse2D.Double(-DOT / 2, -DOT / 2, DOT, DOT));
    return renderer;
  }
}

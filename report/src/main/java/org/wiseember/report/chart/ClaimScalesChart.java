package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Stroke;
import java.text.DecimalFormat;
import java.text.FieldPosition;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.plot.IntervalMarker;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.report.drawing.ClaimScalesDrawing;
import org.wiseember.report.look.ClaimScale;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Several units on one seam: a row a claim, a mark a unit. */
public final class ClaimScalesChart {
  private static final Stroke HAIR = new BasicStroke(1f);
  private static final Stroke SEAM = new BasicStroke(2f);
  private static final Stroke WHISKER = new BasicStroke(1.4f);
  private static final double RADIUS = 5;

  /** Marks of one row stand beside each other by so much of it, so that none hides another. */
  private static final double APART = 0.13;

  /** Names of the claims take so much of the scale, on the left of it. */
  private static final double NAMES = 46;

  private final ClaimScalesDrawing figure;
  private final Palette palette;
  private final PlotLook look;

  private ClaimScalesChart(ClaimScalesDrawing figure, Palette palette, double scale) {
    this.figure = figure;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
  }

  /**
   * Builds the chart.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(ClaimScalesDrawing figure, Palette palette, double scale) {
    return new ClaimScalesChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    XYPlot plot = look.plot();
    plot.setRangeGridlinesVisible(false);
    plot.setDomainGridlinesVisible(false);
    NumberAxis across =
        look.axis(
            "% of each unit's own claim; left is worse, right is better",
            ClaimScale.LEAST - NAMES, ClaimScale.MOST + 2, 9, palette.quiet());
    across.setTickUnit(new NumberTickUnit(20));
    across.setNumberFormatOverride(new FromLeast());
    plot.setDomainAxis(across);
    NumberAxis down = new NumberAxis();
    down.setRange(-0.1, Math.max(4, figure.rows().size()) + 0.1);
    down.setInverted(true);
    down.setVisible(false);
    plot.setRangeAxis(down);
    band(plot);
    int index = 0;
    for (int i = 0; i < figure.rows().size(); i++) {
      ClaimScalesDrawing.Row row = figure.rows().get(i);
      name(plot, row.name(), i + 0.5);
      for (int j = 0; j < row.marks().size(); j++) {
        double y =
            i
                + 0.5
                + APART
                    * (j - (row.marks().size() - 1) / 2.0)
                    / Math.max(1, row.marks().size() / 5.0);
        mark(plot, index++, row.marks().get(j), y);
      }
    }
    return look.chart(plot);
  }

  /** Ticks left of the scale would name percents that are names' room. */
  private static final class FromLeast extends DecimalFormat {
    private static final long serialVersionUID = 1;

    FromLeast() {
      super("0");
    }

    @Override
    public StringBuffer format(double number, StringBuffer into, FieldPosition position) {
      return number < ClaimScale.LEAST - 1e-6 ? into : super.format(number, into, position);
    }
  }

  private void band(XYPlot plot) {
    IntervalMarker band =
        new IntervalMarker(
            100 - ClaimScale.BAND, 100 + ClaimScale.BAND, Palette.awt(palette.steelWash()));
    band.setAlpha(0.55f);
    plot.addDomainMarker(band, Layer.BACKGROUND);
    for (int percent : ClaimScale.TICKS) {
      ValueMarker tick =
          new ValueMarker(
              percent,
              Palette.awt(percent == 100 ? palette.steel() : palette.rule()),
              percent == 100 ? SEAM : HAIR);
      plot.addDomainMarker(tick, Layer.BACKGROUND);
    }
    for (int i = 1; i < figure.rows().size(); i++) {
      plot.addAnnotation(
          new XYLineAnnotation(
              ClaimScale.LEAST - NAMES,
              i,
              ClaimScale.MOST + 2,
              i,
              HAIR,
              Palette.awt(palette.rule())));
    }
  }

  private void name(XYPlot plot, String words, double y) {
    XYTextAnnotation name = new XYTextAnnotation(words, ClaimScale.LEAST - NAMES + 0.8, y);
    name.setFont(Face.TEXT.awt(look.text()));
    name.setPaint(Palette.awt(palette.ink()));
    name.setTextAnchor(TextAnchor.CENTER_LEFT);
    plot.addAnnotation(name);
  }

  private static double inside(double percent) {
    return Math.max(ClaimScale.LEAST, Math.min(ClaimScale.MOST, percent));
  }

  private void mark(XYPlot plot, int index, ClaimScalesDrawing.At at, double y) {
    Color colour = Palette.awt(at.mark().colour(palette));
    plot.addAnnotation(
        new XYLineAnnotation(inside(at.worse()), y, inside(at.better()), y, WHISKER, colour));
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries("unit", new double[][] {{inside(at.percent())}, {y}});
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(false, true);
    renderer.setSeriesShape(0, at.mark().shape(RADIUS));
    renderer.setSeriesPaint(0, colour);
    renderer.setSeriesShapesFilled(0, at.mark().filled());
    plot.setDataset(index, data);
    plot.setRenderer(index, renderer);
  }
}

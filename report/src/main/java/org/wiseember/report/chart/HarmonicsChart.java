package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Stroke;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYLineAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.StandardXYBarPainter;
import org.jfree.chart.renderer.xy.XYBarRenderer;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.XYIntervalSeries;
import org.jfree.data.xy.XYIntervalSeriesCollection;
import org.wiseember.report.drawing.HarmonicsDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Harmonics in percent of the fundamental, a bar each, with the caps they are held against. */
public final class HarmonicsChart {
  private static final Stroke CAP = new BasicStroke(2f);
  private static final double HALF_BAR = 0.32;
  private static final double HALF_CAP = 0.38;
  private static final int EVERY = 26;

  private final HarmonicsDrawing figure;
  private final Palette palette;
  private final PlotLook look;

  private HarmonicsChart(HarmonicsDrawing figure, Palette palette, double scale) {
    this.figure = figure;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
  }

  /**
   * Builds the chart.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(HarmonicsDrawing figure, Palette palette, double scale) {
    return new HarmonicsChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    XYPlot plot = look.plot();
    int last = figure.bars().stream().mapToInt(HarmonicsDrawing.Bar::order).max().orElse(10);
    double most = 1;
    double highest = 0;
    for (HarmonicsDrawing.Bar b : figure.bars()) {
      highest = Math.max(highest, b.percent() + b.halfWidth());
      most = Math.max(most, Math.max(b.percent(), Double.isNaN(b.cap()) ? 0 : b.cap()));
    }
    NumberAxis across = look.axis("harmonic order", 1.4, last + 0.6, last, palette.quiet());
    across.setTickUnit(new NumberTickUnit(last <= EVERY ? 1 : 2));
    across.setNumberFormatOverride(new AxisFigures(1));
    plot.setDomainAxis(across);
    plot.setRangeAxis(
        look.axis(
            "% of the fundamental", 0, 1.16 * Math.max(most, highest), 5, palette.emberInk()));
    plot.setDataset(0, bars(false));
    plot.setRenderer(0, bars(palette.ember()));
    plot.setDataset(1, bars(true));
    plot.setRenderer(1, bars(palette.shortOf()));
    for (HarmonicsDrawing.Bar b : figure.bars()) {
      if (!Double.isNaN(b.cap())) {
        plot.addAnnotation(
            new XYLineAnnotation(
                b.order() - HALF_CAP,
                b.cap(),
                b.order() + HALF_CAP,
                b.cap(),
                CAP,
                Palette.awt(palette.steel())));
      }
      if (b.over()) {
        XYTextAnnotation over = new XYTextAnnotation("over", b.order(), b.percent());
        over.setFont(Face.FIGURE.awt(look.text()));
        over.setPaint(Palette.awt(palette.shortOf()));
        over.setTextAnchor(TextAnchor.BOTTOM_CENTER);
        plot.addAnnotation(over);
      }
    }
    if (!figure.caps().isEmpty()) {
      XYTextAnnotation words =
          new XYTextAnnotation(figure.caps(), last + 0.5, 1.12 * Math.max(most, highest));
      words.setFont(Face.FIGURE.awt(look.text()));
      words.setPaint(Palette.awt(palette.steel()));
      words.setTextAnchor(TextAnchor.TOP_RIGHT);
      plot.addAnnotation(words);
    }
    return look.chart(plot);
  }

  private XYIntervalSeriesCollection bars(boolean over) {
    XYIntervalSeries series = new XYIntervalSeries("harmonics");
    for (HarmonicsDrawing.Bar b : figure.bars()) {
      if (b.over() == over) {
        series.add(
            b.order(), b.order() - HALF_BAR, b.order() + HALF_BAR, b.percent(), 0, b.percent());
      }
    }
    XYIntervalSeriesCollection data = new XYIntervalSeriesCollection();
    data.addSeries(series);
    return data;
  }

  private static XYBarRenderer bars(String colour) {
    XYBarRenderer renderer = new XYBarRenderer();
    renderer.setBarPainter(new StandardXYBarPainter());
    renderer.setShadowVisible(false);
    renderer.setDrawBarOutline(false);
    renderer.setSeriesPaint(0, Palette.awt(colour));
    return renderer;
  }
}

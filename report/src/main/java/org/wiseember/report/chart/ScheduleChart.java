package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Stroke;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYBoxAnnotation;
import org.jfree.chart.annotations.XYShapeAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.plot.CombinedDomainXYPlot;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.RectangleAnchor;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.report.drawing.ScheduleDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Charge as a tide over lanes of what is busy. */
public final class ScheduleChart {
  private static final Stroke HAIR = new BasicStroke(1f);
  private static final Stroke THICK = new BasicStroke(2f);
  private static final Stroke NOW =
      new BasicStroke(1.4f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND, 1, new float[] {4, 3}, 0);
  private static final double HALF_BAR = 0.36;
  private static final int CHARGE_WEIGHT = 10;

  /** A letter takes about so much of its height. */
  private static final double LETTER = 0.62;

  /** No plan is drawn much narrower, px. */
  private static final double WIDE = 400;

  private final ScheduleDrawing drawing;
  private final Palette palette;
  private final PlotLook look;

  private ScheduleChart(ScheduleDrawing drawing, Palette palette, double scale) {
    this.drawing = drawing;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
  }

  public static JFreeChart of(ScheduleDrawing drawing, Palette palette, double scale) {
    return new ScheduleChart(drawing, palette, scale).build();
  }

  private JFreeChart build() {
    NumberAxis across = new NamedTicksAxis("", drawing.times());
    across.setRange(0, drawing.hours());
    look.style(across, palette.quiet());
    CombinedDomainXYPlot both = new CombinedDomainXYPlot(across);
    both.setGap(6);
    both.setOutlineVisible(false);
    both.setBackgroundPaint(Palette.awt(palette.sheet()));
    both.add(charge(), CHARGE_WEIGHT);
    both.add(lanes(), 2 * Math.max(2, drawing.lanes().size()));
    JFreeChart chart = look.chart(both);
    chart.setPadding(new RectangleInsets(8, 6, 4, 4 + 1.9 * look.text()));
    return chart;
  }

  private XYPlot charge() {
    XYPlot plot = look.plot();
    plot.setDomainGridlinesVisible(true);
    Map<Double, String> names = new LinkedHashMap<>();
    names.put(100.0, "full");
    names.put(50.0, "50 %");
    names.put(0.0, "empty");
    NumberAxis beside = new NamedTicksAxis("", names);
    beside.setRange(-4, 122);
    look.style(beside, palette.quiet());
    plot.setRangeAxis(beside);
    for (int i = 0; i < drawing.lines().size(); i++) {
      line(plot, i, drawing.lines().get(i));
    }
    now(plot, true);
    return plot;
  }

  private void line(XYPlot plot, int index, ScheduleDrawing.Line line) {
    List<ScheduleDrawing.Corner> corners = line.corners();
    double[][] at = new double[2][corners.size()];
    for (int i = 0; i < corners.size(); i++) {
      at[0][i] = corners.get(i).hour();
      at[1][i] = corners.get(i).percent();
    }
    DefaultXYDataset data = new DefaultXYDataset();
    data.addSeries(line.name(), at);
    XYLineAndShapeRenderer renderer = PlotLook.line(line.mark().colour(palette));
    renderer.setSeriesStroke(0, THICK);
    renderer.setSeriesShapesVisible(0, true);
    renderer.setSeriesShape(0, line.mark().shape(3));
    renderer.setSeriesShapesFilled(0, line.mark().filled());
    plot.setDataset(index, data);
    plot.setRenderer(index, renderer);
  }

  private void now(XYPlot plot, boolean named) {
    if (!Double.isNaN(drawing.now())) {
      ValueMarker marker = new ValueMarker(drawing.now(), Palette.awt(palette.ink()), NOW);
      if (named) {
        marker.setLabel("now");
        marker.setLabelFont(Face.TEXT.awt(look.text()));
        marker.setLabelPaint(Palette.awt(palette.ink()));
        marker.setLabelBackgroundColor(new Color(0, 0, 0, 0));
        marker.setLabelAnchor(RectangleAnchor.TOP_RIGHT);
        marker.setLabelTextAnchor(TextAnchor.TOP_LEFT);
      }
      plot.addDomainMarker(marker, Layer.FOREGROUND);
    }
  }

  private XYPlot lanes() {
    XYPlot plot = look.plot();
    plot.setDomainGridlinesVisible(true);
    plot.setRangeGridlinesVisible(false);
    plot.setRenderer(new XYLineAndShapeRenderer());
    Map<Double, String> names = new LinkedHashMap<>();
    int many = drawing.lanes().size();
    for (int i = 0; i < many; i++) {
      double y = many - 1.0 - i;
      ScheduleDrawing.Lane lane = drawing.lanes().get(i);
      names.put(y, lane.name());
      lane.bars().forEach(b -> bar(plot, b, y));
    }
    NumberAxis beside = new NamedTicksAxis("", names);
    beside.setRange(-0.5, Math.max(1, many) - 0.5);
    look.style(beside, palette.ink());
    plot.setRangeAxis(beside);
    now(plot, false);
    return plot;
  }

  private void bar(XYPlot plot, ScheduleDrawing.Bar bar, double y) {
    double from = Math.max(0, bar.from());
    double to = Math.min(drawing.hours(), Math.max(bar.to(), from + drawing.hours() / 250));
    if (to <= from) {
      return;
    }
    Color colour = Palette.awt(bar.mark().colour(palette));
    plot.addAnnotation(
        new XYBoxAnnotation(
            from,
            y - HALF_BAR,
            to,
            y + HALF_BAR,
            bar.chosen() ? THICK : HAIR,
            bar.chosen() ? Palette.awt(palette.ink()) : colour,
            new Color(colour.getRed(), colour.getGreen(), colour.getBlue(), 46)));
    if (bar.pinned()) {
      double wide = drawing.hours() / 160;
      plot.addAnnotation(
          new XYShapeAnnotation(
              new java.awt.geom.Rectangle2D.Double(from, y - HALF_BAR, wide, 2 * HALF_BAR),
              HAIR,
              Palette.awt(palette.ink()),
              Palette.awt(palette.ink())));
    }
    double room = (to - from) / drawing.hours() * WIDE;
    double taken = LETTER * look.text() * (bar.words().length() + 1);
    if (taken < room) {
      XYTextAnnotation words = new XYTextAnnotation(bar.words(), (from + to) / 2, y);
      words.setFont(Face.TEXT.awt(look.text()));
      words.setPaint(Palette.awt(palette.ink()));
      words.setTextAnchor(TextAnchor.CENTER);
      plot.addAnnotation(words);
    }
  }
}

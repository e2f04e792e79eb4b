package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Stroke;
import java.awt.geom.Line2D;
import java.util.List;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.LegendItem;
import org.jfree.chart.LegendItemCollection;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.block.BlockBorder;
import org.jfree.chart.plot.CombinedDomainXYPlot;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.title.LegendTitle;
import org.jfree.chart.ui.RectangleEdge;
import org.jfree.chart.ui.RectangleInsets;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Plot;

/** A chart of a plot: the library lays out axes and hairlines, the marks are drawn on them. */
final class PlotChart {
  private static final Stroke HAIR = new BasicStroke(1f);
  private static final float TEXT = 12;
  private static final double GAP = 8;

  /** Half of a name at the very end of an axis reaches so much of its size beyond it. */
  private static final double HALF_A_NAME = 1.9;

  private final Palette palette;
  private final float text;

  /**
   * @param scale of the text, 1 for its usual size
   */
  PlotChart(Palette palette, double scale) {
    this.palette = palette;
    this.text = (float) (TEXT * scale);
  }

  JFreeChart of(Plot plot) {
    NumberAxis across = axis(plot.across());
    XYPlot whole =
        plot.panels().size() == 1 ? panel(plot.panels().get(0)) : above(plot.panels(), across);
    whole.setDomainAxis(across);
    JFreeChart chart = new JFreeChart(null, JFreeChart.DEFAULT_TITLE_FONT, whole, false);
    chart.setBackgroundPaint(Palette.awt(palette.sheet()));
    double beyond = plot.nameAtEnd() ? 4 + HALF_A_NAME * text : 12;
    chart.setPadding(new RectangleInsets(8, 6, 4, beyond));
    if (!plot.keys().isEmpty()) {
      chart.addSubtitle(keys(plot.keys()));
    }
    return chart;
  }

  private XYPlot above(List<Panel> panels, NumberAxis across) {
    CombinedDomainXYPlot all = new CombinedDomainXYPlot(across);
    all.setGap(GAP);
    all.setOutlineVisible(false);
    all.setBackgroundPaint(Palette.awt(palette.sheet()));
    all.setAxisOffset(RectangleInsets.ZERO_INSETS);
    panels.forEach(p -> all.add(panel(p), p.weight()));
    return all;
  }

  private XYPlot panel(Panel panel) {
    XYPlot plot = new XYPlot();
    // Without one the library draws no hairlines.
    plot.setRenderer(new XYLineAndShapeRenderer());
    plot.setBackgroundPaint(Palette.awt(palette.sheet()));
    plot.setOutlineVisible(false);
    plot.setRangeGridlinePaint(Palette.awt(palette.rule()));
    plot.setDomainGridlinePaint(Palette.awt(palette.rule()));
    plot.setRangeGridlineStroke(HAIR);
    plot.setDomainGridlineStroke(HAIR);
    plot.setRangeGridlinesVisible(panel.grid().across());
    plot.setDomainGridlinesVisible(panel.grid().upright());
    plot.setAxisOffset(RectangleInsets.ZERO_INSETS);
    plot.setRangeAxis(axis(panel.up()));
    panel.right().ifPresent(right -> plot.setRangeAxis(1, axis(right)));
    plot.addAnnotation(new PlotMarks(panel.marks(), palette, text));
    return plot;
  }

  private NumberAxis axis(Axis described) {
    String name = described.name().isEmpty() ? null : described.name();
    NumberAxis axis =
        described.names().isEmpty()
            ? new NumberAxis(name)
            : new NamedTicksAxis(name, described.names());
    axis.setRange(described.least(), described.most());
    axis.setVisible(described.seen());
    if (described.names().isEmpty() && described.seen()) {
      axis.setTickUnit(new NumberTickUnit(described.step()));
      axis.setNumberFormatOverride(new AxisFigures(described.step()));
    }
    axis.setTickLabelFont(Face.FIGURE.awt(text));
    axis.setLabelFont(Face.FIGURE.awt(text));
    axis.setTickLabelPaint(Palette.awt(described.ink().in(palette)));
    axis.setLabelPaint(Palette.awt(described.ink().in(palette)));
    axis.setAxisLinePaint(Palette.awt(palette.rule()));
    axis.setTickMarkPaint(Palette.awt(palette.rule()));
    axis.setLabelInsets(new RectangleInsets(3, 3, 3, 3));
    return axis;
  }

  private LegendTitle keys(List<Plot.Key> keys) {
    LegendItemCollection items = new LegendItemCollection();
    for (Plot.Key key : keys) {
      items.add(
          new LegendItem(
              key.name(),
              null,
              null,
              null,
              new Line2D.Double(-14, 0, 14, 0),
              key.pen().stroke(),
              Palette.awt(key.pen().ink().in(palette))));
    }
    LegendTitle title = new LegendTitle(() -> items);
    title.setPosition(RectangleEdge.TOP);
    title.setItemFont(Face.FIGURE.awt(text));
    title.setItemPaint(Palette.awt(palette.emberInk()));
    title.setBackgroundPaint(Palette.awt(palette.sheet()));
    title.setFrame(BlockBorder.NONE);
    title.setItemLabelPadding(new RectangleInsets(2, 4, 2, 14));
    return title;
  }
}

package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Stroke;
import java.awt.font.FontRenderContext;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.LegendItemSource;
import org.jfree.chart.annotations.XYBoxAnnotation;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.block.BlockBorder;
import org.jfree.chart.plot.CombinedDomainXYPlot;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.title.LegendTitle;
import org.jfree.chart.ui.RectangleAnchor;
import org.jfree.chart.ui.RectangleEdge;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.report.drawing.ProfileDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Watts into a unit as lines, with a band beneath that says what bound each inlet when. */
public final class ProfileChart {
  private static final Stroke HAIR = new BasicStroke(1f);
  private static final float[][] DASHES = {null, {7, 4}, {2, 3}, {9, 3, 2, 3}, {14, 5}};
  private static final double DOT = 8;

  /** A band is so high against the lines above it. */
  private static final int LINES_WEIGHT = 10;

  private static final double HALF_BAND = 0.36;

  /** Width of the plot that words are fitted to, px at usual size: the narrowest it is shown at. */
  private static final double NARROW = 520;

  private static final double ROOM_FOR_WORDS = 0.17;

  private final ProfileDrawing figure;
  private final Palette palette;
  private final PlotLook look;
  private final double scale;
  private final Font font;
  private double right;

  private ProfileChart(ProfileDrawing figure, Palette palette, double scale) {
    this.figure = figure;
    this.palette = palette;
    this.look = PlotLook.of(palette, scale);
    this.scale = scale;
    this.font = Face.FIGURE.awt(look.text());
  }

  /**
   * Builds the chart.
   *
   * @param scale of the text, 1 for its usual size
   */
  public static JFreeChart of(ProfileDrawing figure, Palette palette, double scale) {
    return new ProfileChart(figure, palette, scale).build();
  }

  private JFreeChart build() {
    double most = 10;
    for (ProfileDrawing.Line line : figure.lines()) {
      for (int i = 0; i < line.x().length; i++) {
        right = Math.max(right, line.x()[i]);
        most = Math.max(most, line.y()[i]);
      }
    }
    right = right > 0 ? right : 1;
    XYPlot plot = look.plot();
    NumberAxis across = look.axis(figure.across(), 0, right * 1.02, 8, palette.quiet());
    plot.setRangeAxis(
        look.axis(figure.up(), 0, most * 1.28, scale > 1.2 ? 3 : 6, palette.emberInk()));
    lines(plot);
    marks(plot);
    if (figure.bands().isEmpty()) {
      plot.setDomainAxis(across);
      return withKey(look.chart(plot), plot);
    }
    CombinedDomainXYPlot both = new CombinedDomainXYPlot(across);
    both.setGap(6);
    both.setOutlineVisible(false);
    both.setBackgroundPaint(Palette.awt(palette.sheet()));
    both.add(plot, LINES_WEIGHT);
    both.add(bands(), (int) Math.ceil(scale * (1 + 1.2 * figure.bands().size())));
    return withKey(look.chart(both), plot);
  }

  private void lines(XYPlot plot) {
    for (int i = 0; i < figure.lines().size(); i++) {
      ProfileDrawing.Line line = figure.lines().get(i);
      DefaultXYDataset data = new DefaultXYDataset();
      data.addSeries(line.name(), new double[][] {line.x(), line.y()});
      data.addSeries("knee" + i, new double[][] {{line.kneeX()}, {line.kneeY()}});
      XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
      String colour = i == 0 ? palette.ember() : palette.emberInk();
      renderer.setSeriesPaint(0, Palette.awt(colour));
      renderer.setSeriesStroke(0, stroke(i));
      renderer.setDrawSeriesLineAsPath(true);
      renderer.setSeriesLinesVisible(1, false);
      renderer.setSeriesShapesVisible(1, true);
      renderer.setSeriesShape(1, new Ellipse2D.Double(-DOT / 2, -DOT / 2, DOT, DOT));
      renderer.setSeriesPaint(1, Palette.awt(palette.emberInk()));
      plot.setDataset(i, data);
      plot.setRenderer(i, renderer);
      renderer.setSeriesVisibleInLegend(1, false);
      renderer.setLegendLine(new Line2D.Double(-14, 0, 14, 0));
    }
  }

  /** Which line is which; a single one needs no word. */
  private JFreeChart withKey(JFreeChart chart, LegendItemSource source) {
    if (figure.lines().size() > 1) {
      LegendTitle key = new LegendTitle(source);
      key.setPosition(RectangleEdge.TOP);
      key.setItemFont(font);
      key.setItemPaint(Palette.awt(palette.emberInk()));
      key.setBackgroundPaint(Palette.awt(palette.sheet()));
      key.setFrame(BlockBorder.NONE);
      key.setItemLabelPadding(new RectangleInsets(2, 4, 2, 14));
      chart.addSubtitle(key);
    }
    return chart;
  }

  private static Stroke stroke(int i) {
    float[] dash = DASHES[i % DASHES.length];
    return dash == null
        ? PlotLook.LINE
        : new BasicStroke(1.4f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND, 1, dash, 0);
  }

  private void marks(XYPlot plot) {
    boolean above = true;
    for (CurveDrawing.Mark mark : figure.marks()) {
      boolean toRight = mark.x() < right * (1 - ROOM_FOR_WORDS) && !crowded(mark);
      ValueMarker upright = new ValueMarker(mark.x(), Palette.awt(palette.quiet()), HAIR);
      upright.setLabel(mark.words());
      upright.setLabelFont(font);
      upright.setLabelPaint(Palette.awt(palette.quiet()));
      upright.setLabelBackgroundColor(new Color(0, 0, 0, 0));
      upright.setLabelOffset(new RectangleInsets(above ? 2 : 2 + 1.4 * look.text(), 5, 4, 5));
      upright.setLabelAnchor(toRight ? RectangleAnchor.TOP_RIGHT : RectangleAnchor.TOP_LEFT);
      upright.setLabelTextAnchor(toRight ? TextAnchor.TOP_LEFT : TextAnchor.TOP_RIGHT);
      plot.addDomainMarker(upright);
      above = !above;
    }
  }

  private boolean crowded(CurveDrawing.Mark mark) {
    return figure.marks().stream()
        .anyMatch(m -> m.x() > mark.x() && m.x() - mark.x() < ROOM_FOR_WORDS * right);
  }

  private XYPlot bands() {
    List<ProfileDrawing.Band> rows = figure.bands();
    Map<Double, String> names = new LinkedHashMap<>();
    for (int r = 0; r < rows.size(); r++) {
      names.put((double) (rows.size() - 1 - r), rows.get(r).name());
    }
    XYPlot plot = look.plot();
    NumberAxis beside = new NamedTicksAxis("", names);
    beside.setRange(-0.6, rows.size() - 0.4);
    look.style(beside, palette.quiet());
    plot.setRangeAxis(beside);
    plot.setRangeGridlinesVisible(false);
    plot.setRenderer(new XYLineAndShapeRenderer());
    for (int r = 0; r < rows.size(); r++) {
      for (ProfileDrawing.Stretch s : rows.get(r).stretches()) {
        stretch(plot, rows.size() - 1 - r, s);
      }
    }
    return plot;
  }

  private void stretch(XYPlot plot, int row, ProfileDrawing.Stretch s) {
    double from = Math.max(0, s.from());
    double to = Math.min(right, s.to());
    if (to <= from) {
      return;
    }
    plot.addAnnotation(
        new XYBoxAnnotation(
            from,
            row - HALF_BAND,
            to,
            row + HALF_BAND,
            HAIR,
            Palette.awt(palette.sheet()),
            Palette.awt(fill(s.tone()))));
    double wide =
        font.getStringBounds(s.word(), new FontRenderContext(null, true, true)).getWidth() / scale;
    if (wide * scale + 8 < (to - from) / (right * 1.02) * NARROW) {
      XYTextAnnotation word = new XYTextAnnotation(s.word(), (from + to) / 2, row);
      word.setFont(font);
      word.setPaint(Palette.awt(ink(s.tone())));
      word.setTextAnchor(TextAnchor.CENTER);
      plot.addAnnotation(word);
    }
  }

  private String fill(ProfileDrawing.Tone tone) {
    return switch (tone) {
      case INPUT -> palette.steelWash();
      case SOURCE -> palette.rule();
      case WARMTH -> palette.emberWash();
      case CELLS -> palette.paper();
    };
  }

  private String ink(ProfileDrawing.Tone tone) {
    return switch (tone) {
      case INPUT -> palette.steel();
      case WARMTH -> palette.emberInk();
      case SOURCE, CELLS -> palette.ink();
    };
  }
}

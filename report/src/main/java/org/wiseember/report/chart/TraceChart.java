package org.wiseember.report.chart;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Stroke;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.annotations.XYTextAnnotation;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.axis.NumberTickUnit;
import org.jfree.chart.plot.IntervalMarker;
import org.jfree.chart.plot.ValueMarker;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.renderer.xy.XYAreaRenderer;
import org.jfree.chart.renderer.xy.XYLineAndShapeRenderer;
import org.jfree.chart.ui.Layer;
import org.jfree.chart.ui.RectangleAnchor;
import org.jfree.chart.ui.RectangleInsets;
import org.jfree.chart.ui.TextAnchor;
import org.jfree.data.xy.DefaultXYDataset;
import org.wiseember.core.quantity.Figures;
import org.wiseember.report.drawing.TraceDrawing;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;

/** Power against time, with the case temperature, marks and the cut-off. */
public final class TraceChart {
  private static final Stroke LINE =
      new BasicStroke(1.6f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND);
  private static final Stroke HAIR = new BasicStroke(1f);
  private static final Stroke DASHES =
      new BasicStroke(
          1.2f, BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER, 10, new float[] {4, 4}, 0);

  /** Against the right-hand axis, which ends at 120 or more, this is near the top. */
  private static final double NEAR_TOP = 80;

  /** No tick of the time stands nearer to the end than this share. */
  private static final double END = 0.05;

  /** Widest a line is drawn with, in points; more would only be drawn over. */
  private static final int POINTS = 1600;

  private final TraceDrawing figure;
  private final Palette palette;
  private final float text;
  private final PlotLook look;

  private TraceChart(TraceDrawing figure, Palette palette, double scale) {
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
  public static JFreeChart of(TraceDrawing figure, Palette palette, double scale) {
    return new TraceChart(figure, palette, scale).build();
  }

  /** How many seconds one unit of the time axis is for a figure. */
  public static double axisSeconds(TraceDrawing figure) {
    return TimeUnitOfAxis.forSpan(new TraceChart(figure, Palette.LIGHT, 1).span()).seconds;
  }

  private JFreeChart build() {
    double span = span();
    TimeUnitOfAxis unit = TimeUnitOfAxis.forSpan(span);
    XYPlot plot = look.plot();
    plot.setDomainAxis(timeAxis(span, unit));
    plot.setRangeAxis(powerAxis());

    TraceDrawing.Line watts = TraceDrawing.thin(figure.seconds(), figure.watts(), POINTS);
    plot.setDataset(0, dataset("power", watts, unit));
    plot.setRenderer(0, area());
    plot.setDataset(1, dataset("power", watts, unit));
    plot.setRenderer(1, line(awt(palette.ember()), LINE));
    addRight(plot, unit, 2, "case", figure.warmth(), palette.kept());
    addRight(plot, unit, 3, "display", figure.display(), palette.close());
    addMarks(plot, unit);
    return look.chart(plot);
  }

  /** A line against the right-hand axis, its name at its end. */
  private void addRight(
      XYPlot plot,
      TimeUnitOfAxis unit,
      int index,
      String name,
      TraceDrawing.Line whole,
      String colour) {
    if (whole.seconds().length < 2) {
      return;
    }
    TraceDrawing.Line thin = TraceDrawing.thin(whole.seconds(), whole.values(), POINTS);
    plot.setDataset(index, dataset(name, thin, unit));
    XYLineAndShapeRenderer renderer = line(awt(colour), LINE);
    renderer.addAnnotation(name(thin, name, unit, colour));
    plot.setRenderer(index, renderer);
    plot.setRangeAxis(1, rightAxis());
    plot.mapDatasetToRangeAxis(index, 1);
  }

  /** A line's name: at its end while there is room behind it, else above its first third. */
  private XYTextAnnotation name(
      TraceDrawing.Line line, String name, TimeUnitOfAxis unit, String colour) {
    boolean behind = figure.forecast().known();
    int at = behind ? line.values().length - 1 : line.values().length * 3 / 10;
    XYTextAnnotation words =
        new XYTextAnnotation(" " + name, line.seconds()[at] / unit.seconds, line.values()[at]);
    words.setFont(Face.FIGURE.awt(text));
    words.setPaint(awt(colour));
    // Above a line near the top stand the words of the marks.
    boolean below = behind || line.values()[at] > NEAR_TOP;
    words.setTextAnchor(below ? TextAnchor.TOP_LEFT : TextAnchor.BOTTOM_LEFT);
    return words;
  }

  private double span() {
    double end = figure.seconds().length == 0 ? 0 : figure.seconds()[figure.seconds().length - 1];
    if (figure.forecast().known()) {
      end = Math.max(end, figure.forecast().latest() * 1.03);
    }
    return Math.max(60, end * 1.02);
  }

  private NumberAxis timeAxis(double span, TimeUnitOfAxis unit) {
    NumberAxis axis = new NumberAxis("time, " + unit.word);
    look.style(axis, palette.quiet());
    double end = span / unit.seconds;
    double step = step(end, 8);
    double last = Math.floor(end / step) * step;
    // A name at the very end would touch the lowest one of the axis on the right.
    axis.setRange(0, Math.max(end, last + END * end));
    axis.setTickUnit(new NumberTickUnit(step));
    axis.setNumberFormatOverride(new AxisFigures(step));
    return axis;
  }

  private NumberAxis powerAxis() {
    double most = figure.most();
    for (double w : figure.watts()) {
      most = Math.max(most, w);
    }
    double top = Math.max(10, most * 1.15);
    NumberAxis axis = new NumberAxis(figure.name() + ", W");
    look.style(axis, palette.emberInk());
    double step = step(top, 5);
    axis.setRange(0, Math.ceil(top / step) * step);
    axis.setTickUnit(new NumberTickUnit(step));
    axis.setNumberFormatOverride(new AxisFigures(step));
    return axis;
  }

  /** Degrees and percent share it: both lie between 0 and about 100. */
  private NumberAxis rightAxis() {
    boolean warmth = figure.warmth().seconds().length > 1;
    boolean display = figure.display().seconds().length > 1;
    NumberAxis axis =
        new NumberAxis(
            warmth && display
                ? "case, " + figure.degrees() + ", and display, %"
                : warmth ? "case, " + figure.degrees() : "display, %");
    look.style(
        axis, warmth && display ? palette.quiet() : warmth ? palette.kept() : palette.close());
    double most = display ? 100 : 40;
    for (double c : figure.warmth().values()) {
      most = Math.max(most, c);
    }
    // Room above, so that a full display does not run through the words of the marks up there.
    double whole = Math.ceil(most / 20) * 20;
    boolean marked = display && figure.marks().size() > 2;
    axis.setRange(0, !display ? whole + 20 : whole + (marked ? 39.9 : 19.9));
    axis.setTickUnit(new NumberTickUnit(marked ? 50 : 20));
    return axis;
  }

  /** A round step that gives at most {@code count} of them. */
  static double step(double range, int count) {
    double rough = range / count;
    double power = Math.pow(10, Math.floor(Math.log10(rough)));
    for (double m : new double[] {1, 2, 5, 10}) {
      if (m * power >= rough) {
        return m * power;
      }
    }
    return 10 * power;
  }

  private static DefaultXYDataset dataset(
      String name, TraceDrawing.Line line, TimeUnitOfAxis unit) {
    double[] x = new double[line.seconds().length];
    for (int i = 0; i < x.length; i++) {
      x[i] = line.seconds()[i] / unit.seconds;
    }
    DefaultXYDataset dataset = new DefaultXYDataset();
    dataset.addSeries(name, new double[][] {x, line.values()});
    return dataset;
  }

  private XYAreaRenderer area() {
    XYAreaRenderer renderer = new XYAreaRenderer(XYAreaRenderer.AREA);
    renderer.setSeriesPaint(0, awt(palette.emberWash()));
    renderer.setOutline(false);
    return renderer;
  }

  private static XYLineAndShapeRenderer line(Color colour, Stroke stroke) {
    XYLineAndShapeRenderer renderer = new XYLineAndShapeRenderer(true, false);
    renderer.setSeriesPaint(0, colour);
    renderer.setSeriesStroke(0, stroke);
    renderer.setDrawSeriesLineAsPath(true);
    return renderer;
  }

  private void addMarks(XYPlot plot, TimeUnitOfAxis unit) {
    double span = span();
    double free = 0;
    for (TraceDrawing.Mark mark : figure.marks()) {
      ValueMarker marker = marker(mark.seconds() / unit.seconds, palette.steel(), HAIR);
      // A word is written only where the one before leaves room for it.
      if (mark.seconds() >= free && mark.seconds() < span * 0.85) {
        label(marker, mark.words(), palette.steel(), mark.seconds() < span * 0.8);
        free = mark.seconds() + span * 0.012 * mark.words().length();
      }
      plot.addDomainMarker(marker);
    }
    if (!Double.isNaN(figure.cutoff())) {
      ValueMarker marker = marker(figure.cutoff() / unit.seconds, palette.shortOf(), HAIR);
      label(
          marker,
          "cut-off " + Figures.duration(figure.cutoff()),
          palette.shortOf(),
          figure.cutoff() < span * 0.5);
      plot.addDomainMarker(marker);
    }
    TraceDrawing.Forecast forecast = figure.forecast();
    if (forecast.known()) {
      IntervalMarker fair =
          new IntervalMarker(forecast.soonest() / unit.seconds, forecast.latest() / unit.seconds);
      fair.setPaint(awt(palette.emberWash()));
      fair.setAlpha(0.6f);
      fair.setOutlinePaint(null);
      plot.addDomainMarker(fair, Layer.BACKGROUND);
      ValueMarker marker = marker(forecast.end() / unit.seconds, palette.ember(), DASHES);
      label(marker, "expected end", palette.emberInk(), false);
      plot.addDomainMarker(marker);
    }
  }

  private static ValueMarker marker(double at, String colour, Stroke stroke) {
    return new ValueMarker(at, awt(colour), stroke);
  }

  private void label(ValueMarker marker, String words, String colour, boolean right) {
    marker.setLabel(words);
    marker.setLabelFont(Face.FIGURE.awt(text));
    marker.setLabelPaint(awt(colour));
    // Without a background of its own the label would be drawn over a grey box.
    marker.setLabelBackgroundColor(new Color(0, 0, 0, 0));
    marker.setLabelAnchor(right ? RectangleAnchor.TOP_RIGHT : RectangleAnchor.TOP_LEFT);
    marker.setLabelTextAnchor(right ? TextAnchor.TOP_LEFT : TextAnchor.TOP_RIGHT);
    marker.setLabelOffset(new RectangleInsets(4, 5, 4, 5));
  }

  private static Color awt(String colour) {
    return Palette.awt(colour);
  }

  /** The unit a time axis is counted in. */
  private enum TimeUnitOfAxis {
    SECONDS("s", 1, 300),
    MINUTES("min", 60, 4 * 3600),
    HOURS("h", 3600, Double.POSITIVE_INFINITY);

    private final String word;
    private final double seconds;
    private final double upTo;

    TimeUnitOfAxis(String word, double seconds, double upTo) {
      this.word = word;
      this.seconds = seconds;
      this.upTo = upTo;
    }

    static TimeUnitOfAxis forSpan(double span) {
      for (TimeUnitOfAxis unit : values()) {
        if (span <= unit.upTo) {
          return unit;
        }
      }
      return HOURS;
    }
  }
}

package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.quantity.Unit;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Ink;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;
import org.wiseember.report.plot.Plot;

/**
 * What a trace chart shows.
 *
 * @param seconds time of each reading
 * @param watts power at that time
 * @param warmth case temperature on its own times; empty for none
 * @param marks moments with a word, s
 * @param cutoff time of the cut-off, s; NaN when it was not reached
 * @param display charge on the display on its own times, %; empty for none
 * @param forecast while running: when it is expected to end
 * @param most watts the axis reaches at least
 * @param name of the power, as the axis bears it
 * @param degrees the unit of the warmth
 */
public record TraceDrawing(
    double[] seconds,
    double[] watts,
    Line warmth,
    List<Upright> marks,
    double cutoff,
    Line display,
    Forecast forecast,
    double most,
    String name,
    String degrees)
    implements Drawing {
  /** Against the right-hand axis, which ends at 120 or more, this is near the top. */
  private static final double NEAR_TOP = 80;

  /** No tick of the time stands nearer to the end than this share. */
  private static final double END = 0.05;

  private static final double BAND_OPACITY = 0.6;

  /** Widest a line is drawn with, in points; more would only be drawn over. */
  private static final int POINTS = 1600;

  /** With the warmth in the unit that is kept. */
  public TraceDrawing(
      double[] seconds,
      double[] watts,
      Line warmth,
      List<Upright> marks,
      double cutoff,
      Line display,
      Forecast forecast,
      double most,
      String name) {
    this(
        seconds,
        watts,
        warmth,
        marks,
        cutoff,
        display,
        forecast,
        most,
        name,
        Unit.CELSIUS.symbol());
  }

  @Override
  public TraceDrawing in(ReaderUnits units) {
    double[] degreesShown =
        DoubleStream.of(warmth.values()).map(v -> units.shown(v, Unit.CELSIUS)).toArray();
    return new TraceDrawing(
        seconds,
        watts,
        new Line(warmth.seconds(), degreesShown),
        marks.stream().map(m -> new Upright(m.x(), units.told(m.words()))).toList(),
        cutoff,
        display,
        forecast,
        most,
        name,
        units.symbol(Unit.CELSIUS));
  }

  /** A line of its own. */
  public record Line(double[] seconds, double[] values) {
    public static final Line NONE = new Line(new double[0], new double[0]);
  }

  /**
   * When a run is expected to end.
   *
   * @param end expected, s on the run's clock; NaN for none
   * @param soonest of a fair interval
   * @param latest of it
   */
  public record Forecast(double end, double soonest, double latest) {
    public static final Forecast NONE = new Forecast(Double.NaN, Double.NaN, Double.NaN);

    public boolean known() {
      return !Double.isNaN(end);
    }
  }

  /** Thins a long line for drawing: least and greatest of each stretch are kept. */
  public static Line thin(double[] seconds, double[] values, int most) {
    int n = seconds.length;
    if (n <= most) {
      return new Line(seconds, values);
    }
    int buckets = most / 2;
    double[] t = new double[buckets * 2];
    double[] v = new double[buckets * 2];
    for (int b = 0; b < buckets; b++) {
      int from = (int) ((long) b * n / buckets);
      int to = (int) ((long) (b + 1) * n / buckets);
      int low = from;
      int high = from;
      for (int i = from; i < to; i++) {
        low = values[i] < values[low] ? i : low;
        high = values[i] > values[high] ? i : high;
      }
      int first = Math.min(low, high);
      int second = Math.max(low, high);
      t[2 * b] = seconds[first];
      v[2 * b] = values[first];
      t[2 * b + 1] = seconds[second];
      v[2 * b + 1] = values[second];
    }
    return new Line(t, v);
  }

  @Override
  public Plot plot(double scale) {
    Line thin = thin(seconds, watts, POINTS);
    List<Mark> all = new ArrayList<>();
    if (forecast.known()) {
      all.add(
          Mark.Box.upright(
              time(forecast.soonest()), time(forecast.latest()), Palette::emberWash, BAND_OPACITY));
    }
    all.add(Mark.Area.between(points(thin), p -> p[0], p -> 0, p -> p[1], Palette::emberWash, 1));
    all.add(Mark.Line.along(points(thin), p -> p[0], p -> p[1], Pen.line(Palette::ember)));
    right(all, "case", warmth, Palette::kept, 0.3);
    right(all, "display", display, Palette::close, 0.55);
    moments(all);
    return new Plot(
        timeAxis(),
        new Panel(
            1,
            powerAxis(),
            has(warmth) || has(display) ? Optional.of(rightAxis()) : Optional.empty(),
            Panel.Grid.ACROSS,
            all));
  }

  /** How many seconds one unit of the time axis is. */
  public double axisSeconds() {
    return TimeUnit.forSpan(span()).seconds;
  }

  private double time(double s) {
    return s / axisSeconds();
  }

  private List<double[]> points(Line line) {
    double unit = axisSeconds();
    List<double[]> points = new ArrayList<>();
    for (int i = 0; i < line.seconds().length; i++) {
      points.add(new double[] {line.seconds()[i] / unit, line.values()[i]});
    }
    return points;
  }

  private static boolean has(Line line) {
    return line.seconds().length > 1;
  }

  /**
   * A line against the right-hand axis with its name.
   *
   * @param share of the line after which its name stands; at its end while there is room behind it
   */
  private void right(List<Mark> all, String called, Line whole, Ink ink, double share) {
    if (!has(whole)) {
      return;
    }
    List<double[]> points = points(thin(whole.seconds(), whole.values(), POINTS));
    all.add(new Mark.OnRight(Mark.Line.along(points, p -> p[0], p -> p[1], Pen.line(ink))));
    boolean behind = forecast.known();
    double[] at = points.get(behind ? points.size() - 1 : (int) (share * points.size()));
    // Above a line near the top stand the words of the marks.
    boolean below = behind || at[1] > NEAR_TOP;
    all.add(
        new Mark.OnRight(
            new Mark.Words(
                " " + called, at[0], at[1], below ? Place.TOP_LEFT : Place.BOTTOM_LEFT, ink)));
  }

  private double span() {
    double end = seconds.length == 0 ? 0 : seconds[seconds.length - 1];
    if (forecast.known()) {
      end = Math.max(end, forecast.latest() * 1.03);
    }
    return Math.max(60, end * 1.02);
  }

  private Axis timeAxis() {
    double end = time(span());
    double step = Axis.step(end, 8);
    double last = Math.floor(end / step) * step;
    // A name at the very end would touch the lowest one of the axis on the right.
    return Axis.every(
        "time, " + TimeUnit.forSpan(span()).word,
        0,
        Math.max(end, last + END * end),
        step,
        Palette::quiet);
  }

  private Axis powerAxis() {
    double top = Math.max(10, DoubleStream.of(watts).reduce(most, Math::max) * 1.15);
    double step = Axis.step(top, 5);
    return Axis.every(name + ", W", 0, Math.ceil(top / step) * step, step, Palette::emberInk);
  }

  /** Degrees and percent share it: both lie between 0 and about 100. */
  private Axis rightAxis() {
    boolean both = has(warmth) && has(display);
    String called =
        both
            ? "case, " + degrees + ", and display, %"
            : has(warmth) ? "case, " + degrees : "display, %";
    Ink ink = both ? Palette::quiet : has(warmth) ? Palette::kept : Palette::close;
    double high = DoubleStream.of(warmth.values()).reduce(has(display) ? 100 : 40, Math::max);
    // Room above, so that a full display does not run through the words of the marks up there.
    double whole = Math.ceil(high / 20) * 20;
    boolean marked = has(display) && marks.size() > 2;
    double end = !has(display) ? whole + 20 : whole + (marked ? 39.9 : 19.9);
    return Axis.every(called, 0, end, marked ? 50 : 20, ink);
  }

  private void moments(List<Mark> all) {
    double span = span();
    double free = 0;
    for (Upright m : marks) {
      all.add(Mark.Line.upright(time(m.x()), Pen.hair(Palette::steel)));
      // A word is written only where the one before leaves room for it.
      if (m.x() >= free && m.x() < span * 0.85) {
        all.add(word(m.words(), m.x(), Palette::steel, m.x() < span * 0.8));
        free = m.x() + span * 0.012 * m.words().length();
      }
    }
    if (!Double.isNaN(cutoff)) {
      all.add(Mark.Line.upright(time(cutoff), Pen.hair(Palette::shortOf)));
      all.add(
          word(
              "cut-off " + Figures.duration(cutoff),
              cutoff,
              Palette::shortOf,
              cutoff < span * 0.5));
    }
    if (forecast.known()) {
      all.add(Mark.Line.upright(time(forecast.end()), new Pen(Palette::ember, 1.2f, 4, 4)));
      all.add(word("expected end", forecast.end(), Palette::emberInk, false));
    }
  }

  private Mark word(String text, double at, Ink ink, boolean right) {
    return new Mark.Words(
            text, time(at), Double.POSITIVE_INFINITY, right ? Place.TOP_LEFT : Place.TOP_RIGHT, ink)
        .moved(right ? 5 : -5, 4);
  }

  /** The unit a time axis is counted in. */
  private enum TimeUnit {
    SECONDS("s", 1, 300),
    MINUTES("min", 60, 4 * 3600),
    HOURS("h", 3600, Double.POSITIVE_INFINITY);

    private final String word;
    private final double seconds;
    private final double upTo;

    TimeUnit(String word, double seconds, double upTo) {
      this.word = word;
      this.seconds = seconds;
      this.upTo = upTo;
    }

    static TimeUnit forSpan(double span) {
      return Arrays.stream(values()).filter(u -> span <= u.upTo).findFirst().orElse(HOURS);
    }
  }
}

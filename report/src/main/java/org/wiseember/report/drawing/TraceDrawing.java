package org.wiseember.report.drawing;

import java.util.List;
import java.util.stream.DoubleStream;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.quantity.Unit;

/**
 * What a trace chart shows.
 *
 * @param seconds time of each reading
 * @param watts power at that time
 * @param warmth case temperature on its own times; empty for none
 * @param marks moments with a word
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
    List<Mark> marks,
    double cutoff,
    Line display,
    Forecast forecast,
    double most,
    String name,
    String degrees)
    implements Drawing {
  /** With the warmth in the unit that is kept. */
  public TraceDrawing(
      double[] seconds,
      double[] watts,
      Line warmth,
      List<Mark> marks,
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
        marks.stream().map(m -> new Mark(m.seconds(), units.told(m.words()))).toList(),
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

  /** A moment with a word. */
  public record Mark(double seconds, String words) {}

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
}

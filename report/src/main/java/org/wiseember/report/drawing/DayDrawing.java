package org.wiseember.report.drawing;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.runtime.ClockTime;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;
import org.wiseember.report.look.UnitMark;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Dot;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;
import org.wiseember.report.plot.Plot;

/**
 * Charge over a day, a line a unit, with what is on when above it.
 *
 * @param start time of day at which it begins
 * @param hours it covers
 * @param rows what is on when; empty where that is shown elsewhere
 * @param lines charge of each unit, the first with its band
 * @param byLabel what the label of the first would have one believe; empty for none
 * @param reserve at which a unit counts as empty, %
 * @param units how the reader wants times of day
 */
public record DayDrawing(
    LocalTime start,
    double hours,
    List<Row> rows,
    List<Line> lines,
    List<Point> byLabel,
    double reserve,
    ReaderUnits units)
    implements Drawing {
  private static final float[][] DASHES = {{9, 4}, {2, 3}, {12, 3, 2, 3}, {3, 2}};

  /** Disc, square, triangle: numbers of the marks of units. */
  private static final int[] END_SHAPES = {0, 1, 3};

  private static final Lanes.Look ON =
      new Lanes.Look(Palette::emberWash, 1, Pen.hair(Palette::ember), Palette::ink, Face.TEXT);

  private static final double END = 4.5;
  private static final double BAND_OPACITY = 0.75;

  /** Room under the lines for the names of those that end there, %. */
  private static final double BELOW = 15;

  private static final int LINES_WEIGHT = 10;

  /** On a printed page, px. */
  private static final int ROW_HEIGHT = 24;

  /** An appliance and when it is on. */
  public record Row(String name, List<Bar> bars) {
    public Row {
      bars = List.copyOf(bars);
    }
  }

  /** A time it is on, h after the start. */
  public record Bar(double from, double to) {}

  /** Charge at a moment, h and %. */
  public record Point(double hour, double low, double charge, double high) {}

  /**
   * A unit's charge.
   *
   * @param asked whether it is the unit asked about, drawn with its band
   * @param runsOut h after the start; NaN where it lasts
   */
  public record Line(String name, boolean asked, List<Point> points, double runsOut) {
    public Line {
      points = List.copyOf(points);
    }
  }

  public DayDrawing {
    rows = List.copyOf(rows);
    lines = List.copyOf(lines);
    byLabel = List.copyOf(byLabel);
  }

  @Override
  public DayDrawing in(ReaderUnits reader) {
    return new DayDrawing(start, hours, rows, lines, byLabel, reserve, reader);
  }

  /** Hours between two times that are written below, so that they do not crowd. */
  public int step() {
    int[] steps = {1, 2, 3, 6, 12, 24, 48};
    for (int step : steps) {
      if (hours / step <= 12) {
        return step;
      }
    }
    return 48;
  }

  /** A time of day h after the start, with its day from the second on. */
  public String time(double hour) {
    return ClockTime.of(start, hour).words(units, hours > 24);
  }

  @Override
  public int height() {
    return 225 + ROW_HEIGHT * rows.size();
  }

  @Override
  public Plot plot(double scale) {
    Map<Double, String> times = new LinkedHashMap<>();
    for (double hour = firstTick(); hour <= hours + 1e-9; hour += step()) {
      times.put(hour, time(hour));
    }
    List<Panel> panels = new ArrayList<>();
    if (!rows.isEmpty()) {
      panels.add(onWhen());
    }
    panels.add(
        new Panel(LINES_WEIGHT, Lanes.charge(-BELOW, 106, reserve), Panel.Grid.BOTH, charge()));
    return new Plot(Axis.named("", 0, hours, times, Palette::quiet), panels, List.of(), true);
  }

  /** Ticks stand on whole hours of the day. */
  private double firstTick() {
    int minute = start.getMinute();
    return minute == 0 ? 0 : (60 - minute) / 60.0;
  }

  private Panel onWhen() {
    Lanes on = new Lanes(rows.stream().map(Row::name).toList(), hours, hours / 300);
    for (int i = 0; i < rows.size(); i++) {
      for (Bar b : rows.get(i).bars()) {
        on.box(i, b.from(), b.to(), "", ON);
      }
    }
    return on.panel(Math.max(4, 2 * rows.size()), Palette::ink);
  }

  private List<Mark> charge() {
    List<Mark> marks = new ArrayList<>();
    marks.add(Mark.Line.across(reserve, Pen.hair(Palette::quiet)));
    lines.stream()
        .filter(Line::asked)
        .forEach(
            l ->
                marks.add(
                    Mark.Area.between(
                        l.points(),
                        Point::hour,
                        Point::low,
                        Point::high,
                        Palette::emberWash,
                        BAND_OPACITY)));
    marks.add(
        Mark.Line.along(byLabel, Point::hour, Point::charge, new Pen(Palette::steel, 1.5f, 5, 4)));
    for (int i = lines.size() - 1; i >= 0; i--) {
      line(marks, lines.get(i), i);
    }
    return marks;
  }

  private void line(List<Mark> marks, Line line, int i) {
    Pen pen =
        line.asked()
            ? new Pen(Palette::ember, 2.2f)
            : new Pen(Palette::ink, 1.5f, DASHES[Math.max(0, i - 1) % DASHES.length]);
    marks.add(Mark.Line.along(line.points(), Point::hour, Point::charge, pen));
    if (!line.points().isEmpty()) {
      end(marks, line, i);
    }
  }

  /**
   * Its number, and when it ends, below the line, where a line that falls leaves room: at its end.
   */
  private void end(List<Mark> marks, Line line, int i) {
    boolean ends = !Double.isNaN(line.runsOut());
    Point last = line.points().get(line.points().size() - 1);
    double x = ends ? line.runsOut() : last.hour();
    if (ends) {
      // Units differ by the shape of their end too.
      Pen edge = Pen.hair(line.asked() ? Palette::shortOf : Palette::ink);
      UnitMark shape = new UnitMark(END_SHAPES[Math.min(i, END_SHAPES.length - 1)]);
      marks.add(Mark.Dots.one(x, reserve, new Dot(shape.shape(END), edge.ink(), edge)));
    }
    boolean right = x < 0.3 * hours;
    boolean above = ends && i > 0;
    String number = lines.size() > 1 ? Integer.toString(i + 1) : "";
    String words = number + (ends ? (number.isEmpty() ? "" : ": ") + time(x) : "");
    Place place =
        above
            ? right ? Place.BOTTOM_LEFT : Place.BOTTOM_RIGHT
            : right ? Place.TOP_LEFT : Place.TOP_RIGHT;
    marks.add(
        new Mark.Words(
            right ? "   " + words : words + "   ",
            x,
            above ? reserve + 2 + 10 * i : (ends ? reserve : last.charge()) - 2,
            place,
            line.asked() ? Palette::emberInk : Palette::ink));
  }
}

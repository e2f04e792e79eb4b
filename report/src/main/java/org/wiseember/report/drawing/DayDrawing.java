package org.wiseember.report.drawing;

import java.time.LocalTime;
import java.util.List;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.runtime.ClockTime;

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
}

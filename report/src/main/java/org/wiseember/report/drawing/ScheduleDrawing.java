package org.wiseember.report.drawing;

import java.util.List;
import java.util.Map;
import org.wiseember.report.look.UnitMark;

/**
 * A plan: charge of each unit over time, and under it lanes of what is busy and when somebody has
 * to be there.
 *
 * @param hours it covers
 * @param now h after its beginning; NaN for a plan without
 * @param times what is written under it, by the hour
 * @param lines charge of each unit
 * @param lanes from top to bottom
 */
public record ScheduleDrawing(
    double hours, double now, Map<Double, String> times, List<Line> lines, List<Lane> lanes)
    implements Drawing {
  /** Charge of a unit, corner by corner. */
  public record Line(String name, UnitMark mark, List<Corner> corners) {
    public Line {
      corners = List.copyOf(corners);
    }
  }

  /** Charge at a moment, h and %. */
  public record Corner(double hour, double percent) {}

  /** What is busy when. */
  public record Lane(String name, List<Bar> bars) {
    public Lane {
      bars = List.copyOf(bars);
    }
  }

  /**
   * A time it is busy.
   *
   * @param words in it where there is room
   * @param chosen whether it is the one that is looked at
   * @param pinned whether somebody chose its time
   */
  public record Bar(
      double from, double to, UnitMark mark, String words, boolean chosen, boolean pinned) {}

  public ScheduleDrawing {
    times = Map.copyOf(times);
    lines = List.copyOf(lines);
    lanes = List.copyOf(lanes);
  }
}

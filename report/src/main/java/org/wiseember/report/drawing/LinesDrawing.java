package org.wiseember.report.drawing;

import java.util.List;
import org.wiseember.report.look.UnitMark;

/**
 * The same figure of several units over each other, each with its own mark.
 *
 * @param across name and unit of what goes across
 * @param up name and unit of what goes up
 * @param logarithmic whether both go by tens
 */
public record LinesDrawing(String across, String up, boolean logarithmic, List<Line> lines)
    implements Drawing {
  /**
   * One unit.
   *
   * @param curve between the marks; empty for none
   * @param marks what was measured
   */
  public record Line(String name, UnitMark mark, List<Point> curve, List<Point> marks) {
    public Line {
      curve = List.copyOf(curve);
      marks = List.copyOf(marks);
    }
  }

  /** A point. */
  public record Point(double x, double y) {}

  public LinesDrawing {
    lines = List.copyOf(lines);
  }
}

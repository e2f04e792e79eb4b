package org.wiseember.report.drawing;

import java.util.Optional;

/**
 * A wave with the best sine behind it and what is left over below.
 *
 * @param wave volts against ms; a NaN parts one piece from the next
 * @param sine the best sine at the same moments
 * @param rest what is left of the wave after it
 * @param beside another wave to compare with; empty for none
 * @param besideWords what that is
 * @param from left end of the axis, ms
 * @param to right end of the axis, ms
 */
public record CycleDrawing(
    Line wave,
    Line sine,
    Line rest,
    Optional<Line> beside,
    String besideWords,
    double from,
    double to)
    implements Drawing {
  /** Values against milliseconds. */
  public record Line(double[] milliseconds, double[] values) {}
}

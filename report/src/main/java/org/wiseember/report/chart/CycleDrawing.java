package org.wiseember.report.chart;

import java.util.Optional;
import org.jfree.chart.JFreeChart;
import org.wiseember.report.look.Palette;

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
  @Override
  public JFreeChart chart(Palette palette, double scale) {
    return CycleChart.of(this, palette, scale);
  }

  /** Values against milliseconds. */
  public record Line(double[] milliseconds, double[] values) {}
}

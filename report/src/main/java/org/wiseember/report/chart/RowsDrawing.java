package org.wiseember.report.chart;

import java.util.List;
import java.util.OptionalDouble;
import org.jfree.chart.JFreeChart;
import org.wiseember.report.look.Palette;

/**
 * Things that were tried, a row each under its own name, along one scale.
 *
 * @param across name and unit of the scale
 * @param rows from top to bottom
 */
public record RowsDrawing(String across, List<Row> rows) implements Drawing {
  @Override
  public JFreeChart chart(Palette palette, double scale) {
    return RowsChart.of(this, palette, scale);
  }

  /**
   * One of them.
   *
   * @param name as the tester calls it
   * @param value on the scale
   * @param halfWidth at 95 %
   * @param beside what was said of the same, drawn as an open mark; empty for nothing
   * @param figure written at its mark
   */
  public record Row(
      String name, double value, double halfWidth, OptionalDouble beside, String figure) {}

  public RowsDrawing {
    rows = List.copyOf(rows);
  }
}

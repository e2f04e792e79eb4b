package org.wiseember.report.drawing;

import java.util.List;
import java.util.OptionalDouble;

/**
 * Things that were tried, a row each under its own name, along one scale.
 *
 * @param across name and unit of the scale
 * @param rows from top to bottom
 */
public record RowsDrawing(String across, List<Row> rows) implements Drawing {
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

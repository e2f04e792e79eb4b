package org.wiseember.report.drawing;

import java.util.List;
import org.wiseember.report.look.UnitMark;

/**
 * Claims of several units against one line: for each its own label.
 *
 * @param rows from top to bottom
 */
public record ClaimScalesDrawing(List<Row> rows) implements Drawing {
  /** A claim with all that measured it. */
  public record Row(String name, List<At> marks) {
    public Row {
      marks = List.copyOf(marks);
    }
  }

  /**
   * A unit on a row.
   *
   * @param percent of its own claim
   * @param worse end of how sure that is, %
   * @param better end, %
   */
  public record At(UnitMark mark, double percent, double worse, double better) {}

  public ClaimScalesDrawing {
    rows = List.copyOf(rows);
  }
}

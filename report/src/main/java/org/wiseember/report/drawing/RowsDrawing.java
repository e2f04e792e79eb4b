package org.wiseember.report.drawing;

import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Dot;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;
import org.wiseember.report.plot.Plot;

/**
 * Things that were tried, a row each under its own name, along one scale.
 *
 * @param across name and unit of the scale
 * @param rows from top to bottom
 */
public record RowsDrawing(String across, List<Row> rows) implements Drawing {
  private static final double MARK = 9;

  /** One row alone stands no further from its name than one of several. */
  private static final int FEWEST = 4;

  /** The line of a row is so far below its top, as a share of it. */
  private static final double LINE = 0.72;

  /** The name stands so much of a row above its line. */
  private static final double NAME_ABOVE = 0.2;

  /** Right of the largest mark there is room for its figure. */
  private static final double ROOM_FOR_FIGURE = 1.22;

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
      String name, double value, double halfWidth, OptionalDouble beside, String figure) {
    private double end() {
      return value + halfWidth;
    }
  }

  public RowsDrawing {
    rows = List.copyOf(rows);
  }

  @Override
  public Plot plot(double scale) {
    double most = 1e-9;
    for (Row r : rows) {
      most = Math.max(most, Math.max(r.end(), r.beside().orElse(0)));
    }
    double right = ROOM_FOR_FIGURE * most;
    double top = Math.max(FEWEST, rows.size()) + 0.15;
    List<Mark> marks = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      row(marks, rows.get(i), top - i - LINE, right);
    }
    return new Plot(
        Axis.round(across, 0, right, 6, Palette::quiet),
        new Panel(Axis.unseen(0, top), Panel.Grid.UPRIGHT, marks));
  }

  private static void row(List<Mark> marks, Row row, double y, double right) {
    marks.add(Mark.Line.across(y, Pen.hair(Palette::rule)));
    marks.add(
        Mark.Line.between(
            Math.max(0, row.value() - row.halfWidth()), y, row.end(), y, Pen.line(Palette::ember)));
    marks.add(Mark.Dots.one(row.value(), y, Dot.disc(MARK, Palette::ember)));
    row.beside()
        .ifPresent(
            said ->
                marks.add(
                    Mark.Dots.one(
                        said,
                        y,
                        new Dot(
                            new Rectangle2D.Double(-MARK / 2, -MARK / 2, MARK, MARK),
                            Palette::sheet,
                            Pen.hair(Palette::steel)))));
    marks.add(
        new Mark.Words(row.name(), 0.004 * right, y + NAME_ABOVE, Place.CENTER_LEFT, Palette::ink));
    marks.add(
        new Mark.Words(
            row.figure(),
            Math.max(row.end(), row.beside().orElse(0)) + 0.015 * right,
            y,
            Place.CENTER_LEFT,
            Palette::emberInk));
  }
}

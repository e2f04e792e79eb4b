package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.wiseember.report.look.ClaimScale;
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
 * Claims of several units against one line: for each its own label.
 *
 * @param rows from top to bottom
 */
public record ClaimScalesDrawing(List<Row> rows) implements Drawing {
  private static final double RADIUS = 5;
  private static final int FEWEST = 4;
  private static final double BAND_OPACITY = 0.55;

  /** Marks of one row stand beside each other by so much of it, so that none hides another. */
  private static final double APART = 0.13;

  /** Names of the claims take so much of the scale, on the left of it. */
  private static final double NAMES = 46;

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

  @Override
  public Plot plot(double scale) {
    double left = ClaimScale.LEAST - NAMES;
    Map<Double, String> percents = new HashMap<>();
    ClaimScale.TICKS.forEach(t -> percents.put((double) t, Integer.toString(t)));
    double top = Math.max(FEWEST, rows.size());
    List<Mark> marks = new ArrayList<>();
    marks.add(
        Mark.Box.upright(
            100 - ClaimScale.BAND, 100 + ClaimScale.BAND, Palette::steelWash, BAND_OPACITY));
    for (int percent : ClaimScale.TICKS) {
      marks.add(
          Mark.Line.upright(
              percent, percent == 100 ? new Pen(Palette::steel, 2) : Pen.hair(Palette::rule)));
    }
    for (int i = 0; i < rows.size(); i++) {
      if (i > 0) {
        marks.add(Mark.Line.across(top - i, Pen.hair(Palette::rule)));
      }
      row(marks, rows.get(i), top - i - 0.5);
    }
    return new Plot(
        Axis.named(
            "% of each unit's own claim; left is worse, right is better",
            left, ClaimScale.MOST + 2, percents, Palette::quiet),
        new Panel(Axis.unseen(-0.1, top + 0.1), Panel.Grid.NONE, marks));
  }

  private static void row(List<Mark> marks, Row row, double middle) {
    marks.add(
        new Mark.Words(
                row.name(), ClaimScale.LEAST - NAMES + 0.8, middle, Place.CENTER_LEFT, Palette::ink)
            .in(Face.TEXT, 1));
    int many = row.marks().size();
    for (int j = 0; j < many; j++) {
      At at = row.marks().get(j);
      double y = middle - APART * (j - (many - 1) / 2.0) / Math.max(1, many / 5.0);
      marks.add(
          Mark.Line.between(
              inside(at.worse()), y, inside(at.better()), y, new Pen(at.mark()::colour, 1.4f)));
      marks.add(Mark.Dots.one(inside(at.percent()), y, Dot.of(at.mark(), RADIUS)));
    }
  }

  private static double inside(double percent) {
    return Math.max(ClaimScale.LEAST, Math.min(ClaimScale.MOST, percent));
  }
}

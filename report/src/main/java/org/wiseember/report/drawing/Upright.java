package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;

/** An upright line with a word. */
public record Upright(double x, String words) {
  /** Words beside a line take so much of the axis. */
  private static final double ROOM = 0.16;

  /** From here on words stand on the left of their line. */
  private static final double NEAR_END = 0.78;

  /** Words of a second row stand so much lower, px. */
  private static final double ROW = 17;

  /** Where the words of several lines stand that they do not touch. */
  enum Rows {
    /** In turn below and above. */
    BELOW_AND_ABOVE,
    /** In two rows above. */
    ABOVE
  }

  /**
   * As marks.
   *
   * @param end of the axis
   * @param scale of the text
   */
  static List<Mark> marks(List<Upright> all, double end, Rows rows, double scale) {
    List<Mark> marks = new ArrayList<>();
    boolean second = false;
    for (Upright u : all) {
      marks.add(Mark.Line.upright(u.x, Pen.hair(Palette::quiet)));
      boolean right = u.x < NEAR_END * end && !u.crowded(all, end);
      boolean below = rows == Rows.BELOW_AND_ABOVE && !second;
      double down = below ? -4 : rows == Rows.ABOVE && second ? 2 + ROW * scale : 4;
      Place place =
          below
              ? right ? Place.BOTTOM_LEFT : Place.BOTTOM_RIGHT
              : right ? Place.TOP_LEFT : Place.TOP_RIGHT;
      double edge = below ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY;
      marks.add(
          new Mark.Words(u.words, u.x, edge, place, Palette::quiet).moved(right ? 5 : -5, down));
      second = !second;
    }
    return marks;
  }

  /** Whether another stands so near on the right that words there would run into it. */
  private boolean crowded(List<Upright> all, double end) {
    return all.stream().anyMatch(u -> u.x > x && u.x - x < ROOM * end);
  }
}

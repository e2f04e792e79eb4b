package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Ink;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;

/** Named rows over a time axis, with boxes where something goes on. */
final class Lanes {
  /** A box is so high on each side of the middle of its row. */
  private static final double HALF = 0.36;

  private final List<String> names;
  private final double end;
  private final double least;
  private final List<Mark> marks = new ArrayList<>();

  /**
   * @param names of the rows from top to bottom
   * @param end of the axis below
   * @param least a box is so long at least, so that what takes seconds is seen as well
   */
  Lanes(List<String> names, double end, double least) {
    this.names = names;
    this.end = end;
    this.least = least;
  }

  /**
   * How a box is drawn.
   *
   * @param opacity of its fill, from 0 to 1
   * @param ink of the words in it
   */
  record Look(Ink fill, double opacity, Pen edge, Ink ink, Face face) {}

  /** A box in a row, as far as it lies within the axis, with words where there is room for them. */
  void box(int row, double from, double to, String words, Look look) {
    double left = Math.max(0, from);
    double right = Math.min(end, Math.max(to, left + least));
    if (right > left) {
      double y = y(row);
      marks.add(
          new Mark.Box(left, y - HALF, right, y + HALF, look.fill(), look.opacity(), look.edge()));
      marks.add(
          new Mark.Words(words, (left + right) / 2, y, Place.CENTER, look.ink())
              .in(look.face(), 1)
              .within(right - left));
    }
  }

  /** A narrow sign at the beginning of a box. */
  void sign(int row, double from, double wide, Ink ink) {
    double y = y(row);
    marks.add(new Mark.Box(Math.max(0, from), y - HALF, from + wide, y + HALF, ink, 1));
  }

  void mark(Mark mark) {
    marks.add(mark);
  }

  private double y(int row) {
    return names.size() - 1.0 - row;
  }

  Panel panel(int weight, Ink ink) {
    Map<Double, String> ticks = new HashMap<>();
    for (int i = 0; i < names.size(); i++) {
      ticks.put(y(i), names.get(i));
    }
    return new Panel(
        weight,
        Axis.named("", -0.5, Math.max(1, names.size()) - 0.5, ticks, ink),
        Panel.Grid.UPRIGHT,
        marks);
  }

  /** Names of charge beside a lane of it. */
  static Axis charge(double least, double most, double reserve) {
    Map<Double, String> names =
        Map.of(100.0, "full", 50.0, "50 %", reserve, reserve > 0 ? "reserve" : "empty");
    return Axis.named("", least, most, names, Palette::quiet);
  }
}

package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
 * A plan: charge of each unit over time, and under it lanes of what is busy and when somebody has
 * to be there.
 *
 * @param hours it covers
 * @param now h after its beginning; NaN for a plan without
 * @param times what is written under it, by the hour
 * @param lines charge of each unit
 * @param lanes from top to bottom
 */
public record ScheduleDrawing(
    double hours, double now, Map<Double, String> times, List<Line> lines, List<Lane> lanes)
    implements Drawing {
  private static final int CHARGE_WEIGHT = 10;
  private static final double OPACITY = 0.18;

  /** Charge of a unit, corner by corner. */
  public record Line(String name, UnitMark mark, List<Corner> corners) {
    public Line {
      corners = List.copyOf(corners);
    }
  }

  /** Charge at a moment, h and %. */
  public record Corner(double hour, double percent) {}

  /** What is busy when. */
  public record Lane(String name, List<Bar> bars) {
    public Lane {
      bars = List.copyOf(bars);
    }
  }

  /**
   * A time it is busy.
   *
   * @param words in it where there is room
   * @param chosen whether it is the one that is looked at
   * @param pinned whether somebody chose its time
   */
  public record Bar(
      double from, double to, UnitMark mark, String words, boolean chosen, boolean pinned) {
    private Lanes.Look look() {
      Pen edge = chosen ? new Pen(Palette::ink, 2) : Pen.hair(mark::colour);
      return new Lanes.Look(mark::colour, OPACITY, edge, Palette::ink, Face.TEXT);
    }
  }

  public ScheduleDrawing {
    times = Map.copyOf(times);
    lines = List.copyOf(lines);
    lanes = List.copyOf(lanes);
  }

  @Override
  public Plot plot(double scale) {
    List<Mark> charge = new ArrayList<>();
    for (Line line : lines) {
      charge.add(
          Mark.Line.along(
              line.corners(), Corner::hour, Corner::percent, new Pen(line.mark()::colour, 2)));
      charge.add(
          Mark.Dots.at(line.corners(), Corner::hour, Corner::percent, Dot.of(line.mark(), 3)));
    }
    Lanes busy = new Lanes(lanes.stream().map(Lane::name).toList(), hours, hours / 250);
    for (int i = 0; i < lanes.size(); i++) {
      for (Bar b : lanes.get(i).bars()) {
        busy.box(i, b.from(), b.to(), b.words(), b.look());
        if (b.pinned()) {
          busy.sign(i, b.from(), hours / 160, Palette::ink);
        }
      }
    }
    if (!Double.isNaN(now)) {
      Mark line = Mark.Line.upright(now, new Pen(Palette::ink, 1.4f, 4, 3));
      charge.add(line);
      charge.add(
          new Mark.Words("now", now, Double.POSITIVE_INFINITY, Place.TOP_LEFT, Palette::ink)
              .in(Face.TEXT, 1)
              .moved(3, 3));
      busy.mark(line);
    }
    return new Plot(
        Axis.named("", 0, hours, times, Palette::quiet),
        List.of(
            new Panel(CHARGE_WEIGHT, Lanes.charge(-4, 122, 0), Panel.Grid.BOTH, charge),
            busy.panel(2 * Math.max(2, lanes.size()), Palette::ink)),
        List.of(),
        true);
  }
}

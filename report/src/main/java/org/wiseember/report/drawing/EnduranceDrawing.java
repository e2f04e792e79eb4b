package org.wiseember.report.drawing;

import java.awt.geom.Ellipse2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.stream.DoubleStream;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Decades;
import org.wiseember.report.plot.Dot;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;
import org.wiseember.report.plot.Plot;

/**
 * How long which load was held.
 *
 * @param tries every hold
 * @param curve where it trips, from heavy to light loads; may be empty
 * @param promised the label's steps; may be empty
 */
public record EnduranceDrawing(List<Try> tries, List<Point> curve, List<Step> promised)
    implements Drawing {
  private static final double LEFT = 0.5;
  private static final double RIGHT = 5400;
  private static final double FAR = 10 * RIGHT;
  private static final double ROOM = 1.35;
  private static final double DOT = 9;
  private static final double OPACITY = 150 / 255.0;

  /**
   * A hold.
   *
   * @param tripped whether it ended by itself
   */
  public record Try(double seconds, double watts, boolean tripped) {}

  /** A point of the curve with its band in time. */
  public record Point(double watts, double low, double seconds, double high) {}

  /** A load the label promises for a time; infinite for the continuous rating. */
  public record Step(double watts, double seconds) {}

  public EnduranceDrawing {
    tries = List.copyOf(tries);
    curve = List.copyOf(curve);
    promised = List.copyOf(promised);
  }

  @Override
  public Plot plot(double scale) {
    double least = 100;
    double most = 1000;
    DoubleSummaryStatistics loads =
        DoubleStream.concat(
                tries.stream().mapToDouble(Try::watts), promised.stream().mapToDouble(Step::watts))
            .summaryStatistics();
    if (loads.getCount() > 0 && loads.getMax() > 0) {
      least = loads.getMin();
      most = loads.getMax();
    }
    double longest = tries.stream().mapToDouble(t -> t.seconds() * 1.5).reduce(RIGHT, Math::max);
    double bottom = Math.log10(least / ROOM);
    double top = Math.log10(most * ROOM);
    double end = Math.log10(longest);
    List<Mark> marks = new ArrayList<>();
    stairs(marks, bottom, end);
    curve(marks, top);
    tries(marks);
    return new Plot(
        Axis.named("held for", Math.log10(LEFT), end, Decades.times(), Palette::quiet),
        new Panel(
            Axis.named("load, W", bottom, top, Decades.figures(bottom, top), Palette::emberInk),
            Panel.Grid.BOTH,
            marks));
  }

  /** What the label promises: each load as far as its time, the shortest and heaviest first. */
  private void stairs(List<Mark> marks, double bottom, double right) {
    List<double[]> line = new ArrayList<>();
    double x = Math.log10(LEFT);
    for (Step s : promised.stream().sorted(Comparator.comparingDouble(Step::seconds)).toList()) {
      double end = Double.isInfinite(s.seconds()) ? right : Math.log10(s.seconds());
      if (end > x) {
        line.add(new double[] {x, Math.log10(s.watts())});
        line.add(new double[] {end, Math.log10(s.watts())});
        x = end;
      }
    }
    if (line.isEmpty()) {
      return;
    }
    marks.add(
        Mark.Area.between(line, p -> p[0], p -> bottom, p -> p[1], Palette::steelWash, OPACITY));
    marks.add(Mark.Line.along(line, p -> p[0], p -> p[1], Pen.line(Palette::steel)));
    marks.add(
        new Mark.Words(
            "promised on the label ",
            x,
            line.get(line.size() - 1)[1],
            Place.TOP_RIGHT,
            Palette::steel));
  }

  private void curve(List<Mark> marks, double top) {
    List<Point> seen =
        curve.stream()
            .filter(p -> p.seconds() >= LEFT && p.seconds() <= FAR && Math.log10(p.watts()) <= top)
            .toList();
    if (seen.size() < 2) {
      return;
    }
    List<double[]> band = new ArrayList<>();
    seen.forEach(p -> band.add(at(Math.max(LEFT, p.low()), p.watts())));
    for (int i = seen.size() - 1; i >= 0; i--) {
      band.add(at(Math.min(FAR, seen.get(i).high()), seen.get(i).watts()));
    }
    marks.add(
        new Mark.Area(
            band.stream().mapToDouble(p -> p[0]).toArray(),
            band.stream().mapToDouble(p -> p[1]).toArray(),
            Palette::emberWash,
            OPACITY));
    marks.add(
        Mark.Line.along(
            seen,
            p -> Math.log10(p.seconds()),
            p -> Math.log10(p.watts()),
            Pen.line(Palette::ember)));
    Point named = seen.get(seen.size() / 6);
    marks.add(
        new Mark.Words(
            "  where it trips, 95 % band",
            Math.log10(named.seconds()),
            Math.log10(named.watts()),
            Place.BOTTOM_LEFT,
            Palette::emberInk));
  }

  private static double[] at(double seconds, double watts) {
    return new double[] {Math.log10(seconds), Math.log10(watts)};
  }

  private void tries(List<Mark> marks) {
    Pen edge = Pen.line(Palette::emberInk);
    double half = DOT / 2;
    Dot tripped = new Dot(new Ellipse2D.Double(-half, -half, DOT, DOT), Palette::ember, edge);
    // Open towards longer times: it went on at least so long.
    Dot held = new Dot(Dot.corners(-half, -half, half + 1, 0, -half, half), Palette::sheet, edge);
    for (Try t : tries) {
      double[] at = at(Math.max(LEFT, t.seconds()), t.watts());
      marks.add(Mark.Dots.one(at[0], at[1], t.tripped() ? tripped : held));
    }
  }
}

package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Dot;
import org.wiseember.report.plot.Ink;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;
import org.wiseember.report.plot.Plot;

/**
 * What a port takes and what may be put into it: volts across, amps up.
 *
 * @param leastVolts at which it begins, V
 * @param mostVolts it may ever see, V
 * @param amps it draws at most, A; infinite for no limit
 * @param watts it takes at most, W; infinite for no limit
 * @param points one an arrangement
 * @param measured volts and amps that were read, thinned; may be empty
 */
public record InputWindowDrawing(
    double leastVolts,
    double mostVolts,
    double amps,
    double watts,
    List<Point> points,
    List<Reading> measured)
    implements Drawing {
  private static final double DOT = 10;
  private static final double SMALL = 3;
  private static final int CURVE = 120;
  private static final double NEVER_OPACITY = 0.13;

  /** Two dots nearer than this, as a share of the axes, share one label. */
  private static final double NEAR = 0.025;

  public InputWindowDrawing {
    points = List.copyOf(points);
    measured = List.copyOf(measured);
  }

  /** Where the input worked at a moment. */
  public record Reading(double volts, double amps) {}

  /**
   * One arrangement.
   *
   * @param letter it goes by
   * @param volts where it works in full sun, V
   * @param amps where it works in full sun, A
   * @param coldVolts open circuit on the coldest morning, V
   * @param chosen whether it is the one looked at
   */
  public record Point(String letter, double volts, double amps, double coldVolts, boolean chosen) {}

  @Override
  public Plot plot(double scale) {
    double right = 1.3 * mostVolts;
    double top = Double.isInfinite(amps) ? 10 : 1.25 * amps;
    for (Point p : points) {
      right = Math.max(right, 1.06 * p.coldVolts());
      top = Math.max(top, 1.18 * p.amps());
    }
    for (Reading r : measured) {
      right = Math.max(right, 1.06 * r.volts());
      top = Math.max(top, 1.18 * r.amps());
    }
    List<Mark> marks = new ArrayList<>();
    ground(marks, top);
    if (!Double.isInfinite(watts)) {
      watts(marks, right, top);
    }
    marks.add(
        Mark.Dots.at(measured, Reading::volts, Reading::amps, Dot.disc(SMALL, Palette::emberInk)));
    for (Point p : points) {
      point(marks, p, 0.012 * top);
    }
    names(marks, right, top);
    return new Plot(
        Axis.round("volts, V", 0, right, 10, Palette::quiet),
        new Panel(Axis.round("amps, A", 0, top, 7, Palette::quiet), Panel.Grid.ACROSS, marks));
  }

  private void ground(List<Mark> marks, double top) {
    marks.add(new Mark.Box(leastVolts, 0, mostVolts, Math.min(top, amps), Palette::steelWash, 1));
    marks.add(
        Mark.Box.upright(mostVolts, Double.POSITIVE_INFINITY, Palette::shortOf, NEVER_OPACITY));
    marks.add(Mark.Line.upright(mostVolts, new Pen(Palette::shortOf, 2)));
    marks.add(
        new Mark.Words(
            " past " + Figures.plain(mostVolts, Unit.VOLT) + ": never",
            mostVolts,
            0.985 * top,
            Place.TOP_LEFT,
            Palette::shortOf));
    marks.add(
        new Mark.Words(
            " what the port draws", leastVolts, 0.015 * top, Place.BOTTOM_LEFT, Palette::steel));
  }

  /** Amps at which the port has its watts. */
  private void watts(List<Mark> marks, double right, double top) {
    double from = Math.max(watts / top, 0.5);
    double[] x = new double[CURVE];
    double[] y = new double[CURVE];
    for (int i = 0; i < CURVE; i++) {
      x[i] = from + (right - from) * i / (CURVE - 1);
      y[i] = watts / x[i];
    }
    marks.add(new Mark.Line(x, y, new Pen(Palette::steel, 1.6f, 5, 4)));
    double high = 0.96 * top;
    marks.add(
        new Mark.Words(
            Figures.plain(watts, Unit.WATT) + " ",
            watts / high,
            high,
            Place.CENTER_RIGHT,
            Palette::steel));
  }

  private boolean never(Point point) {
    return point.coldVolts() > mostVolts;
  }

  private void point(List<Mark> marks, Point p, double cap) {
    Ink ink = never(p) ? Palette::shortOf : Palette::ember;
    Pen pen = new Pen(ink, p.chosen() ? 2 : 1);
    marks.add(Mark.Dots.one(p.volts(), p.amps(), Dot.disc(DOT, ink)));
    marks.add(Mark.Line.between(p.volts(), p.amps(), p.coldVolts(), p.amps(), pen));
    marks.add(Mark.Line.between(p.coldVolts(), p.amps() - cap, p.coldVolts(), p.amps() + cap, pen));
  }

  /** A letter over each dot; dots that lie together share a label. */
  private void names(List<Mark> marks, double right, double top) {
    List<List<Point>> groups = new ArrayList<>();
    for (Point p : points) {
      groups.stream()
          .filter(g -> near(g.get(0), p, right, top))
          .findFirst()
          .ifPresentOrElse(g -> g.add(p), () -> groups.add(new ArrayList<>(List.of(p))));
    }
    for (List<Point> group : groups) {
      Point first = group.get(0);
      marks.add(
          new Mark.Words(
              group.stream().map(Point::letter).collect(Collectors.joining(", ")),
              first.volts() - 0.008 * right,
              first.amps() + 0.012 * top,
              Place.BOTTOM_RIGHT,
              never(first) ? Palette::shortOf : Palette::emberInk));
    }
  }

  private static boolean near(Point a, Point b, double right, double top) {
    return Math.abs(a.volts() - b.volts()) < NEAR * right
        && Math.abs(a.amps() - b.amps()) < 2 * NEAR * top;
  }
}

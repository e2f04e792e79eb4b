package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.quantity.Unit;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Dot;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;
import org.wiseember.report.plot.Plot;

/**
 * Measured points with the curve through them.
 *
 * @param across name and unit of the axis below
 * @param up name and unit of the axis beside
 * @param points measured
 * @param curve fitted, with its band; may be empty
 * @param claim a line across at this height; NaN for none
 * @param claimWords what it says
 * @param marks lines upright with a word
 * @param least of the axis beside
 * @param most of the axis beside
 */
public record CurveDrawing(
    String across,
    String up,
    List<Point> points,
    List<Point> curve,
    double claim,
    String claimWords,
    List<Upright> marks,
    double least,
    double most)
    implements Drawing {
  private static final double DOT = 7;
  private static final double CAP = 6;
  private static final double BAND_OPACITY = 0.8;

  /** Where it is a difference of temperatures that stands beside it. */
  @Override
  public CurveDrawing in(ReaderUnits units) {
    String kelvin = ", " + Unit.KELVIN.symbol();
    if (!up.endsWith(kelvin) || units.symbol(Unit.KELVIN).equals(Unit.KELVIN.symbol())) {
      return this;
    }
    return new CurveDrawing(
        across,
        up.substring(0, up.length() - kelvin.length()) + ", " + units.symbol(Unit.KELVIN),
        points.stream().map(p -> p.in(units)).toList(),
        curve.stream().map(p -> p.in(units)).toList(),
        units.shownDifference(claim, Unit.KELVIN),
        units.told(claimWords),
        marks,
        Math.floor(units.shownDifference(least, Unit.KELVIN)),
        Math.ceil(units.shownDifference(most, Unit.KELVIN) / 5) * 5);
  }

  /**
   * A point with how sure it is.
   *
   * @param halfWidth at 95 %
   */
  public record Point(double x, double y, double halfWidth) {
    private Point in(ReaderUnits units) {
      return new Point(
          x, units.shownDifference(y, Unit.KELVIN), units.shownDifference(halfWidth, Unit.KELVIN));
    }
  }

  public CurveDrawing {
    points = List.copyOf(points);
    curve = List.copyOf(curve);
    marks = List.copyOf(marks);
  }

  @Override
  public Plot plot(double scale) {
    double widest = 10;
    for (Point p : points) {
      widest = Math.max(widest, p.x());
    }
    for (Point p : curve) {
      widest = Math.max(widest, p.x());
    }
    for (Upright mark : marks) {
      widest = Math.max(widest, mark.x() * 1.08);
    }
    double right = widest;
    // A point at nothing stands clear of the axis.
    boolean atZero = points.stream().anyMatch(p -> p.x() < 0.01 * right);
    return new Plot(
        Axis.round(across, atZero ? -0.02 * right : 0, right * 1.04, 8, Palette::quiet),
        new Panel(
            Axis.round(up, least, most, 6, Palette::emberInk),
            Panel.Grid.ACROSS,
            drawn(right, scale)));
  }

  private List<Mark> drawn(double right, double scale) {
    List<Mark> all = new ArrayList<>();
    Pen line = Pen.line(Palette::ember);
    Pen bar = Pen.line(Palette::emberInk);
    all.add(
        Mark.Area.between(
            curve,
            Point::x,
            p -> p.y() - p.halfWidth(),
            p -> p.y() + p.halfWidth(),
            Palette::emberWash,
            BAND_OPACITY));
    all.add(Mark.Line.along(curve, Point::x, Point::y, line));
    for (Point p : points) {
      double low = p.y() - p.halfWidth();
      double high = p.y() + p.halfWidth();
      all.add(Mark.Line.between(p.x(), low, p.x(), high, bar));
      all.add(
          new Mark.Dots(new double[] {p.x(), p.x()}, new double[] {low, high}, Dot.cap(CAP, bar)));
    }
    all.add(Mark.Dots.at(points, Point::x, Point::y, Dot.disc(DOT, Palette::emberInk)));
    if (!Double.isNaN(claim)) {
      all.add(Mark.Line.across(claim, Pen.hair(Palette::steel)));
      all.add(
          new Mark.Words(
                  claimWords, Double.POSITIVE_INFINITY, claim, Place.BOTTOM_RIGHT, Palette::steel)
              .moved(-5, -4));
    }
    all.addAll(Upright.marks(marks, right, Upright.Rows.BELOW_AND_ABOVE, scale));
    return all;
  }
}

package org.wiseember.report.drawing;

import java.util.List;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.quantity.Unit;

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
    List<Mark> marks,
    double least,
    double most)
    implements Drawing {
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

  /** An upright line. */
  public record Mark(double x, String words) {}

  public CurveDrawing {
    points = List.copyOf(points);
    curve = List.copyOf(curve);
    marks = List.copyOf(marks);
  }
}

package org.wiseember.report.plot;

import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import org.wiseember.report.look.Palette;
import org.wiseember.report.look.UnitMark;

/**
 * A mark at a point.
 *
 * @param shape about the point, px
 * @param fill inside it
 * @param edge around it
 */
public record Dot(Shape shape, Ink fill, Pen edge) {
  /** A disc, so many px across. */
  public static Dot disc(double wide, Ink ink) {
    return new Dot(new Ellipse2D.Double(-wide / 2, -wide / 2, wide, wide), ink, new Pen(ink, 0.5f));
  }

  /** The mark of a unit, so many px from its middle to its edge. */
  public static Dot of(UnitMark mark, double radius) {
    Ink ink = mark::colour;
    return new Dot(mark.shape(radius), mark.filled() ? ink : Palette::sheet, Pen.hair(ink));
  }

  /** A short line across, as at the ends of a whisker. */
  public static Dot cap(double wide, Pen pen) {
    return new Dot(new Line2D.Double(-wide / 2, 0, wide / 2, 0), pen.ink(), pen);
  }

  /** A shape with straight edges, x and y of each corner in turn. */
  public static Shape corners(double... at) {
    Path2D path = new Path2D.Double();
    path.moveTo(at[0], at[1]);
    for (int i = 2; i < at.length; i += 2) {
      path.lineTo(at[i], at[i + 1]);
    }
    path.closePath();
    return path;
  }
}

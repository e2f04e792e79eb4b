package org.wiseember.report.plot;

import java.util.List;
import java.util.function.ToDoubleFunction;
import org.wiseember.report.look.Face;

/**
 * Something on a pair of axes. Places are values of the axes; an infinite one is the edge of the
 * plot on that side.
 */
public sealed interface Mark {
  /** Points joined in their order; a NaN parts one piece from the next. */
  record Line(double[] x, double[] y, Pen pen) implements Mark {
    /** Between two points. */
    public static Line between(double x, double y, double toX, double toY, Pen pen) {
      return new Line(new double[] {x, toX}, new double[] {y, toY}, pen);
    }

    /** Along a list. */
    public static <P> Line along(
        List<P> points, ToDoubleFunction<P> x, ToDoubleFunction<P> y, Pen pen) {
      return new Line(
          points.stream().mapToDouble(x).toArray(), points.stream().mapToDouble(y).toArray(), pen);
    }

    /** From the lower edge to the upper. */
    public static Line upright(double x, Pen pen) {
      return between(x, Double.NEGATIVE_INFINITY, x, Double.POSITIVE_INFINITY, pen);
    }

    /** From the left edge to the right. */
    public static Line across(double y, Pen pen) {
      return between(Double.NEGATIVE_INFINITY, y, Double.POSITIVE_INFINITY, y, pen);
    }
  }

  /**
   * What lies within corners.
   *
   * @param opacity from 0 to 1
   */
  record Area(double[] x, double[] y, Ink fill, double opacity) implements Mark {
    /** Between two lines over the same places. */
    public static <P> Area between(
        List<P> points,
        ToDoubleFunction<P> x,
        ToDoubleFunction<P> low,
        ToDoubleFunction<P> high,
        Ink fill,
        double opacity) {
      int n = points.size();
      double[] xs = new double[2 * n];
      double[] ys = new double[2 * n];
      for (int i = 0; i < n; i++) {
        P p = points.get(i);
        xs[i] = x.applyAsDouble(p);
        xs[2 * n - 1 - i] = xs[i];
        ys[i] = low.applyAsDouble(p);
        ys[2 * n - 1 - i] = high.applyAsDouble(p);
      }
      return new Area(xs, ys, fill, opacity);
    }
  }

  /** The same mark at several points. */
  record Dots(double[] x, double[] y, Dot dot) implements Mark {
    public static Dots one(double x, double y, Dot dot) {
      return new Dots(new double[] {x}, new double[] {y}, dot);
    }

    /** One for each of a list. */
    public static <P> Dots at(
        List<P> points, ToDoubleFunction<P> x, ToDoubleFunction<P> y, Dot dot) {
      return new Dots(
          points.stream().mapToDouble(x).toArray(), points.stream().mapToDouble(y).toArray(), dot);
    }
  }

  /**
   * A rectangle.
   *
   * @param opacity of what is inside, from 0 to 1
   * @param edge of no width for none
   */
  record Box(double left, double low, double right, double high, Ink fill, double opacity, Pen edge)
      implements Mark {
    /** Without an edge. */
    public Box(double left, double low, double right, double high, Ink fill, double opacity) {
      this(left, low, right, high, fill, opacity, new Pen(fill, 0));
    }

    /** From the lower edge of the plot to the upper. */
    public static Box upright(double left, double right, Ink fill, double opacity) {
      return new Box(
          left, Double.NEGATIVE_INFINITY, right, Double.POSITIVE_INFINITY, fill, opacity);
    }
  }

  /**
   * Words.
   *
   * @param place which of their points stands at the place
   * @param size 1 for the usual
   * @param right px further to the right
   * @param down px further down
   * @param room they are left out where they are wider than this, in values of the axis below
   */
  record Words(
      String text,
      double x,
      double y,
      Place place,
      Ink ink,
      Face face,
      double size,
      double right,
      double down,
      double room)
      implements Mark {
    public Words(String text, double x, double y, Place place, Ink ink) {
      this(text, x, y, place, ink, Face.FIGURE, 1, 0, 0, Double.POSITIVE_INFINITY);
    }

    /** So many px from there. */
    public Words moved(double toRight, double further) {
      return new Words(text, x, y, place, ink, face, size, toRight, further, room);
    }

    public Words in(Face other, double scale) {
      return new Words(text, x, y, place, ink, other, scale, right, down, room);
    }

    /** Only where there is room for them. */
    public Words within(double wide) {
      return new Words(text, x, y, place, ink, face, size, right, down, wide);
    }
  }

  /** A mark that counts by the axis on the right. */
  record OnRight(Mark mark) implements Mark {}
}

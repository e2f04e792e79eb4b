package org.wiseember.report.chart;

import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jfree.chart.annotations.AbstractXYAnnotation;
import org.jfree.chart.axis.ValueAxis;
import org.jfree.chart.plot.PlotRenderingInfo;
import org.jfree.chart.plot.XYPlot;
import org.jfree.chart.text.TextUtils;
import org.jfree.chart.ui.RectangleEdge;
import org.jfree.chart.ui.TextAnchor;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Ink;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;

/** The marks of a panel, drawn one over the other. */
final class PlotMarks extends AbstractXYAnnotation {
  private static final long serialVersionUID = 1L;

  private static final Map<Place, TextAnchor> ANCHORS =
      new EnumMap<>(
          Map.of(
              Place.TOP_LEFT, TextAnchor.TOP_LEFT,
              Place.TOP_CENTER, TextAnchor.TOP_CENTER,
              Place.TOP_RIGHT, TextAnchor.TOP_RIGHT,
              Place.CENTER_LEFT, TextAnchor.CENTER_LEFT,
              Place.CENTER, TextAnchor.CENTER,
              Place.CENTER_RIGHT, TextAnchor.CENTER_RIGHT,
              Place.BOTTOM_LEFT, TextAnchor.BOTTOM_LEFT,
              Place.BOTTOM_CENTER, TextAnchor.BOTTOM_CENTER,
              Place.BOTTOM_RIGHT, TextAnchor.BOTTOM_RIGHT));

  /** Words that just fit touch what is beside them. */
  private static final double CLEAR = 8;

  private final transient List<Mark> marks;
  private final transient Palette palette;
  private final float text;

  PlotMarks(List<Mark> marks, Palette palette, float text) {
    this.marks = marks;
    this.palette = palette;
    this.text = text;
  }

  @Override
  public void draw(
      Graphics2D g,
      XYPlot plot,
      Rectangle2D area,
      ValueAxis across,
      ValueAxis up,
      int index,
      PlotRenderingInfo info) {
    for (Mark mark : marks) {
      if (mark instanceof Mark.OnRight right) {
        new On(g, area, across, plot.getRangeAxis(1)).draw(right.mark());
      } else {
        new On(g, area, across, up).draw(mark);
      }
    }
  }

  /** A pair of axes and what is drawn on. */
  private final class On {
    private final Graphics2D g;
    private final Rectangle2D area;
    private final ValueAxis across;
    private final ValueAxis up;

    On(Graphics2D g, Rectangle2D area, ValueAxis across, ValueAxis up) {
      this.g = g;
      this.area = area;
      this.across = across;
      this.up = up;
    }

    void draw(Mark mark) {
      if (mark instanceof Mark.Line line) {
        outline(path(line.x(), line.y(), false), line.pen());
      } else if (mark instanceof Mark.Area within) {
        fill(path(within.x(), within.y(), true), within.fill(), within.opacity());
      } else if (mark instanceof Mark.Box box) {
        Shape shape =
            new Rectangle2D.Double(
                x(box.left()),
                y(box.high()),
                x(box.right()) - x(box.left()),
                y(box.low()) - y(box.high()));
        fill(shape, box.fill(), box.opacity());
        outline(shape, box.edge());
      } else if (mark instanceof Mark.Dots dots) {
        dots(dots);
      } else if (mark instanceof Mark.Words words) {
        words(words);
      }
    }

    private void dots(Mark.Dots dots) {
      for (int i = 0; i < dots.x().length; i++) {
        double x = x(dots.x()[i]);
        double y = y(dots.y()[i]);
        if (!Double.isNaN(x + y)) {
          Shape there =
              AffineTransform.getTranslateInstance(x, y).createTransformedShape(dots.dot().shape());
          fill(there, dots.dot().fill(), 1);
          outline(there, dots.dot().edge());
        }
      }
    }

    private void words(Mark.Words words) {
      if (words.text().isBlank()) {
        return;
      }
      Font font = words.face().awt((float) (words.size() * text));
      double wide = font.getStringBounds(words.text(), g.getFontRenderContext()).getWidth();
      if (wide + CLEAR > x(across.getLowerBound() + words.room()) - area.getMinX()
          && Double.isFinite(words.room())) {
        return;
      }
      g.setFont(font);
      g.setPaint(Palette.awt(words.ink().in(palette)));
      TextUtils.drawAlignedString(
          words.text(),
          g,
          (float) (x(words.x()) + words.right()),
          (float) (y(words.y()) + words.down()),
          ANCHORS.get(words.place()));
    }

    private void fill(Shape shape, Ink ink, double opacity) {
      Color colour = Palette.awt(ink.in(palette));
      g.setPaint(
          new Color(
              colour.getRed(),
              colour.getGreen(),
              colour.getBlue(),
              (int) Math.round(255 * opacity)));
      g.fill(shape);
    }

    private void outline(Shape shape, Pen pen) {
      if (pen.width() > 0) {
        g.setPaint(Palette.awt(pen.ink().in(palette)));
        g.setStroke(pen.stroke());
        g.draw(shape);
      }
    }

    private Path2D path(double[] xs, double[] ys, boolean closed) {
      Path2D path = new Path2D.Double();
      boolean begun = false;
      for (int i = 0; i < xs.length; i++) {
        double x = x(xs[i]);
        double y = y(ys[i]);
        if (Double.isNaN(x + y)) {
          begun = false;
        } else if (begun) {
          path.lineTo(x, y);
        } else {
          path.moveTo(x, y);
          begun = true;
        }
      }
      if (closed && begun) {
        path.closePath();
      }
      return path;
    }

    private double x(double value) {
      return Double.isInfinite(value)
          ? value > 0 ? area.getMaxX() : area.getMinX()
          : across.valueToJava2D(value, area, RectangleEdge.BOTTOM);
    }

    private double y(double value) {
      return Double.isInfinite(value)
          ? value > 0 ? area.getMinY() : area.getMaxY()
          : up.valueToJava2D(value, area, RectangleEdge.LEFT);
    }
  }
}

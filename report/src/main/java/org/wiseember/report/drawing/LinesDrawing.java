package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.wiseember.report.look.Palette;
import org.wiseember.report.look.UnitMark;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Decades;
import org.wiseember.report.plot.Dot;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Plot;

/**
 * The same figure of several units over each other, each with its own mark.
 *
 * @param across name and unit of what goes across
 * @param up name and unit of what goes up
 * @param logarithmic whether both go by tens
 */
public record LinesDrawing(String across, String up, boolean logarithmic, List<Line> lines)
    implements Drawing {
  private static final double RADIUS = 4.6;
  private static final double ROOM = 0.06;

  /** The same where an axis goes by tens. */
  private static final double LOG_ROOM = Math.log10(1.3);

  /**
   * One unit.
   *
   * @param curve between the marks; empty for none
   * @param marks what was measured
   */
  public record Line(String name, UnitMark mark, List<Point> curve, List<Point> marks) {
    public Line {
      curve = List.copyOf(curve);
      marks = List.copyOf(marks);
    }
  }

  /** A point. */
  public record Point(double x, double y) {}

  public LinesDrawing {
    lines = List.copyOf(lines);
  }

  @Override
  public Plot plot(double scale) {
    List<Mark> marks = new ArrayList<>();
    for (Line line : lines) {
      Pen pen = Pen.line(line.mark()::colour);
      marks.add(Mark.Line.along(line.curve(), this::x, this::y, pen));
      marks.add(Mark.Dots.at(line.marks(), this::x, this::y, Dot.of(line.mark(), RADIUS)));
    }
    return new Plot(
        axis(across, this::x, true), new Panel(axis(up, this::y, false), Panel.Grid.ACROSS, marks));
  }

  private double x(Point p) {
    return logarithmic ? Math.log10(p.x()) : p.x();
  }

  private double y(Point p) {
    return logarithmic ? Math.log10(p.y()) : p.y();
  }

  private Axis axis(String name, ToDoubleFunction<Point> of, boolean below) {
    DoubleSummaryStatistics all =
        lines.stream()
            .flatMap(l -> Stream.concat(l.curve().stream(), l.marks().stream()))
            .mapToDouble(of)
            .summaryStatistics();
    double least = all.getCount() == 0 ? 0 : all.getMin();
    double most = all.getCount() == 0 ? 1 : all.getMax();
    if (logarithmic) {
      double low = least - LOG_ROOM;
      double high = most + LOG_ROOM;
      return Axis.named(
          name, low, high, below ? Decades.times() : Decades.figures(low, high), Palette::quiet);
    }
    double span = Math.max(1e-6, most - least);
    double low = below || least < 0.4 * most ? Math.min(0, least) : least - ROOM * span;
    return Axis.round(name, low, most + ROOM * span, 7, Palette::quiet);
  }
}

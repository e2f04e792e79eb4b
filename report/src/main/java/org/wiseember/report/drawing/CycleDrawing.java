package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;
import org.wiseember.report.plot.Plot;

/**
 * A wave with the best sine behind it and what is left over below.
 *
 * @param wave volts against ms; a NaN parts one piece from the next
 * @param sine the best sine at the same moments
 * @param rest what is left of the wave after it
 * @param beside another wave to compare with; empty for none
 * @param besideWords what that is
 * @param from left end of the axis, ms
 * @param to right end of the axis, ms
 */
public record CycleDrawing(
    Line wave,
    Line sine,
    Line rest,
    Optional<Line> beside,
    String besideWords,
    double from,
    double to)
    implements Drawing {
  /** The sine lies under the wave and is seen on both sides of it, px. */
  private static final int BROAD = 5;

  /** The wave and what is left over share the room so. */
  private static final int WAVE_SHARE = 5;

  private static final int REST_SHARE = 2;

  /** Values against milliseconds. */
  public record Line(double[] milliseconds, double[] values) {}

  @Override
  public int height() {
    return 225;
  }

  @Override
  public Plot plot(double scale) {
    double high = 1.18 * Math.max(most(wave), most(sine));
    List<Mark> above = new ArrayList<>();
    above.add(drawn(sine, new Pen(Palette::steelWash, BROAD)));
    beside.ifPresent(line -> above.add(drawn(line, new Pen(Palette::steel, 1.4f, 6, 4))));
    above.add(drawn(wave, Pen.line(Palette::ember)));
    above.add(
        new Mark.Words(
            "broad: pure sine of the same volts"
                + (beside.isPresent() ? "; dashed: " + besideWords : ""),
            to - 0.01 * (to - from),
            0.96 * high,
            Place.TOP_RIGHT,
            Palette::steel));
    double left = 1.5 * Math.max(1e-3, most(rest));
    return new Plot(
        Axis.round("time, ms", from, to, 8, Palette::quiet),
        new Panel(
            WAVE_SHARE,
            Axis.round("volts, V", -high, high, 6, Palette::emberInk),
            Panel.Grid.ACROSS,
            above),
        new Panel(
            REST_SHARE,
            Axis.round("left over, V", -left, left, 4, Palette::quiet),
            Panel.Grid.ACROSS,
            List.of(drawn(rest, Pen.line(Palette::ink)))));
  }

  private static Mark drawn(Line line, Pen pen) {
    return new Mark.Line(line.milliseconds(), line.values(), pen);
  }

  private static double most(Line line) {
    return DoubleStream.of(line.values()).map(Math::abs).filter(v -> v > 1e-9).max().orElse(1e-9);
  }
}

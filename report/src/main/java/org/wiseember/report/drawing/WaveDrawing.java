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
 * A piece of a captured wave.
 *
 * @param milliseconds of each sample, from a moment that means something
 * @param volts V
 * @param amps A; empty where none were captured
 * @param from of a stretch that is marked, ms; NaN for none
 * @param to its end, ms
 * @param words on the stretch
 */
public record WaveDrawing(
    double[] milliseconds, double[] volts, double[] amps, double from, double to, String words)
    implements Drawing {
  /** Widest a line is drawn with, in points; more would only be drawn over. */
  private static final int POINTS = 3000;

  public WaveDrawing {
    milliseconds = milliseconds.clone();
    volts = volts.clone();
    amps = amps.clone();
  }

  @Override
  public Plot plot(double scale) {
    double first = milliseconds.length == 0 ? 0 : milliseconds[0];
    double last = milliseconds.length == 0 ? 1 : milliseconds[milliseconds.length - 1];
    double high = most(volts);
    List<Mark> marks = new ArrayList<>();
    if (!Double.isNaN(from)) {
      marks.add(Mark.Box.upright(from, to, Palette::emberWash, 0.9));
      marks.add(Mark.Line.upright(from, Pen.hair(Palette::shortOf)));
      marks.add(Mark.Line.upright(to, Pen.hair(Palette::shortOf)));
    }
    marks.add(thin(volts, Pen.line(Palette::ember)));
    Optional<Axis> right = Optional.empty();
    if (amps.length > 0) {
      double strong = most(amps);
      right = Optional.of(Axis.round("amps, A", -strong, strong, 6, Palette::ink));
      marks.add(new Mark.OnRight(thin(amps, Pen.line(Palette::ink))));
    }
    if (!Double.isNaN(from)) {
      marks.add(new Mark.Words(" " + words, to, high * 0.98, Place.TOP_LEFT, Palette::shortOf));
    }
    return new Plot(
        Axis.round("time, ms", first, Math.max(last, first + 1), 8, Palette::quiet),
        new Panel(
            1,
            Axis.round("volts, V", -high, high, 6, Palette::emberInk),
            right,
            Panel.Grid.ACROSS,
            marks));
  }

  private Mark thin(double[] values, Pen pen) {
    TraceDrawing.Line line = TraceDrawing.thin(milliseconds, values, POINTS);
    return new Mark.Line(line.seconds(), line.values(), pen);
  }

  private static double most(double[] values) {
    return 1.25 * DoubleStream.of(values).map(Math::abs).reduce(1, Math::max);
  }
}

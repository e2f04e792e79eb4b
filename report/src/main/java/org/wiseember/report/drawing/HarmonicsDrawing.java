package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;
import org.wiseember.report.plot.Plot;

/**
 * Harmonics as bars with caps over them.
 *
 * @param bars by order
 * @param caps whose caps they are; empty for none
 */
public record HarmonicsDrawing(List<Bar> bars, String caps) implements Drawing {
  private static final double HALF_BAR = 0.32;
  private static final double HALF_CAP = 0.38;

  /** Up to so many orders each has its figure below. */
  private static final int EVERY = 26;

  /**
   * One harmonic.
   *
   * @param order from 2
   * @param percent of the fundamental
   * @param halfWidth how sure, at 95 %
   * @param cap the most it may be; NaN for none
   * @param over whether it is over by more than it is unsure
   */
  public record Bar(int order, double percent, double halfWidth, double cap, boolean over) {}

  public HarmonicsDrawing {
    bars = List.copyOf(bars);
  }

  @Override
  public Plot plot(double scale) {
    int last = bars.stream().mapToInt(Bar::order).max().orElse(10);
    double highest = 1;
    List<Mark> marks = new ArrayList<>();
    for (Bar b : bars) {
      highest = Math.max(highest, b.percent() + b.halfWidth());
      marks.add(
          new Mark.Box(
              b.order() - HALF_BAR,
              0,
              b.order() + HALF_BAR,
              b.percent(),
              b.over() ? Palette::shortOf : Palette::ember,
              1));
      if (!Double.isNaN(b.cap())) {
        highest = Math.max(highest, b.cap());
        marks.add(
            Mark.Line.between(
                b.order() - HALF_CAP,
                b.cap(),
                b.order() + HALF_CAP,
                b.cap(),
                new Pen(Palette::steel, 2)));
      }
      if (b.over()) {
        marks.add(
            new Mark.Words("over", b.order(), b.percent(), Place.BOTTOM_CENTER, Palette::shortOf));
      }
    }
    marks.add(new Mark.Words(caps, last + 0.5, 1.12 * highest, Place.TOP_RIGHT, Palette::steel));
    return new Plot(
        Axis.every("harmonic order", 1.4, last + 0.6, last <= EVERY ? 1 : 2, Palette::quiet),
        new Panel(
            Axis.round("% of the fundamental", 0, 1.16 * highest, 5, Palette::emberInk),
            Panel.Grid.ACROSS,
            marks));
  }
}

package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Dot;
import org.wiseember.report.plot.Ink;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Plot;

/**
 * Watts into a unit, one line or several, and what bound each inlet as a band beneath.
 *
 * @param across name and unit of the axis below
 * @param up name and unit of the axis beside
 * @param lines the main one first
 * @param marks moments with a word
 * @param bands one an inlet, over the same axis; may be empty
 */
public record ProfileDrawing(
    String across, String up, List<Line> lines, List<Upright> marks, List<Band> bands)
    implements Drawing {
  private static final float[][] DASHES = {{}, {7, 4}, {2, 3}, {9, 3, 2, 3}, {14, 5}};
  private static final double DOT = 8;

  /** The lines are so high against a band beneath. */
  private static final int LINES_WEIGHT = 10;

  public ProfileDrawing {
    lines = List.copyOf(lines);
    marks = List.copyOf(marks);
    bands = List.copyOf(bands);
  }

  /**
   * One line.
   *
   * @param name written beside it; empty for none
   * @param kneeX where it begins to fall for good; NaN for nowhere
   * @param kneeY its height there
   */
  public record Line(String name, double[] x, double[] y, double kneeX, double kneeY) {}

  /**
   * A row of stretches.
   *
   * @param name of the inlet
   */
  public record Band(String name, List<Stretch> stretches) {
    public Band {
      stretches = List.copyOf(stretches);
    }
  }

  /** How a stretch is drawn. */
  public enum Tone {
    /** A limit of the unit's input. */
    INPUT,
    /** The source gives no more. */
    SOURCE,
    /** Warmth. */
    WARMTH,
    /** The cells. */
    CELLS;

    private Lanes.Look look() {
      return new Lanes.Look(fill(), 1, Pen.hair(Palette::sheet), ink(), Face.FIGURE);
    }

    private Ink fill() {
      return switch (this) {
        case INPUT -> Palette::steelWash;
        case SOURCE -> Palette::rule;
        case WARMTH -> Palette::emberWash;
        case CELLS -> Palette::paper;
      };
    }

    private Ink ink() {
      return switch (this) {
        case INPUT -> Palette::steel;
        case WARMTH -> Palette::emberInk;
        case SOURCE, CELLS -> Palette::ink;
      };
    }
  }

  /** One stretch of a band and its word. */
  public record Stretch(double from, double to, String word, Tone tone) {}

  @Override
  public Plot plot(double scale) {
    double most = 10;
    double end = 0;
    for (Line line : lines) {
      most = Math.max(most, DoubleStream.of(line.y()).max().orElse(0));
      end = Math.max(end, DoubleStream.of(line.x()).max().orElse(0));
    }
    double right = end > 0 ? end : 1;
    List<Mark> drawn = new ArrayList<>();
    List<Plot.Key> keys = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      Line line = lines.get(i);
      Pen pen = pen(i);
      keys.add(new Plot.Key(line.name(), pen));
      drawn.add(new Mark.Line(line.x(), line.y(), pen));
      drawn.add(Mark.Dots.one(line.kneeX(), line.kneeY(), Dot.disc(DOT, Palette::emberInk)));
    }
    drawn.addAll(Upright.marks(marks, right, Upright.Rows.ABOVE, scale));
    Axis watts = Axis.round(up, 0, most * 1.28, scale > 1.2 ? 3 : 6, Palette::emberInk);
    List<Panel> panels = new ArrayList<>();
    panels.add(new Panel(LINES_WEIGHT, watts, Panel.Grid.ACROSS, drawn));
    if (!bands.isEmpty()) {
      panels.add(bands(right, (int) Math.ceil(scale * (1 + 1.2 * bands.size()))));
    }
    return new Plot(
        Axis.round(across, 0, right * 1.02, 8, Palette::quiet),
        panels,
        // A single line needs no word.
        keys.size() > 1 ? keys : List.of(),
        false);
  }

  private static Pen pen(int i) {
    float[] dash = DASHES[i % DASHES.length];
    return new Pen(i == 0 ? Palette::ember : Palette::emberInk, 1.5f, dash);
  }

  private Panel bands(double right, int weight) {
    Lanes lanes = new Lanes(bands.stream().map(Band::name).toList(), right, 0);
    for (int i = 0; i < bands.size(); i++) {
      for (Stretch s : bands.get(i).stretches()) {
        lanes.box(i, s.from(), s.to(), s.word(), s.tone().look());
      }
    }
    return lanes.panel(weight, Palette::quiet);
  }
}

package org.wiseember.report.drawing;

import java.util.List;

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
    String across, String up, List<Line> lines, List<CurveDrawing.Mark> marks, List<Band> bands)
    implements Drawing {
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
    CELLS
  }

  /** One stretch of a band and its word. */
  public record Stretch(double from, double to, String word, Tone tone) {}
}

package org.wiseember.report.plot;

import java.awt.BasicStroke;
import java.awt.Stroke;

/**
 * What lines are drawn with.
 *
 * @param width px
 * @param dash drawn and left out in turn, px; empty for an unbroken line
 */
public record Pen(Ink ink, float width, float... dash) {
  private static final float LINE = 1.6f;

  /** For what was measured or promised: a line one follows. */
  public static Pen line(Ink ink) {
    return new Pen(ink, LINE);
  }

  /** For what only parts or names. */
  public static Pen hair(Ink ink) {
    return new Pen(ink, 1);
  }

  /** As Java draws it. Dashes that are no longer than they are wide become dots. */
  public Stroke stroke() {
    boolean round = dash.length == 0 || dash[0] <= width;
    return new BasicStroke(
        width,
        round ? BasicStroke.CAP_ROUND : BasicStroke.CAP_BUTT,
        BasicStroke.JOIN_ROUND,
        1,
        dash.length == 0 ? null : dash,
        0);
  }
}

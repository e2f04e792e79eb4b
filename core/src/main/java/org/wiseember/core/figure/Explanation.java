package org.wiseember.core.figure;

import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * An answer with its because: a figure, or a word such as a count or a gauge of cable.
 *
 * @param title what is answered
 * @param answer as written, {@code 921 ± 9 Wh} or {@code 5 of 5}
 * @param unit of the budget's lines
 */
public record Explanation(String title, String answer, Unit unit, Because because) {
  private static final double LONG_SECONDS = 600;

  /** That of a figure. */
  public static Explanation of(Figure figure) {
    return new Explanation(figure.name(), answer(figure), figure.unit(), figure.because());
  }

  /** Long times in hours and minutes, everything else as the figure writes itself. */
  private static String answer(Figure figure) {
    return figure.unit() == Unit.SECOND && figure.value() >= LONG_SECONDS
        ? figure.bound().sign()
            + Figures.duration(figure.value())
            + " ± "
            + Figures.rounded(figure.u95(), figure.u95())
            + " s"
        : figure.words();
  }
}

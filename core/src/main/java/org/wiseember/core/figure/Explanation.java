package org.wiseember.core.figure;

import org.wiseember.core.quantity.Unit;

/**
 * An answer with its because: a figure, or a word such as a count or a gauge of cable.
 *
 * @param title what is answered
 * @param answer as written, {@code 921 ± 9 Wh} or {@code 5 of 5}
 * @param unit of the budget's lines
 */
public record Explanation(String title, String answer, Unit unit, Because because) {
  /** That of a figure. */
  public static Explanation of(Figure figure) {
    return new Explanation(figure.name(), figure.words(), figure.unit(), figure.because());
  }
}

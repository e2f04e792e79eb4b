package org.wiseember.trial.lineup;

import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.lineup.MustHave;

/**
 * A must-have answered of one unit.
 *
 * @param because one sentence, what it rests on: a figure, a finding, a note, a line of the label;
 *     where it is not known, what would settle it
 * @param figure it rests on; empty for a finding, a note or a line
 * @param rests where from
 */
public record Answered(
    MustHave mustHave,
    MustHave.Answer answer,
    String because,
    Optional<Figure> figure,
    Rests rests) {
  /** What an answer rests on. */
  public enum Rests {
    MEASURED,
    SEEN,
    PRINTED,
    BY_HAND,
    NOTHING
  }
}

package org.wiseember.core.notes;

import org.wiseember.core.hand.Moment;
import org.wiseember.core.typed.NotebookEntry;

/**
 * An entry of notes as it was understood.
 *
 * @param line it stands on, from 1
 * @param text as written
 * @param when it was, on the run's clock
 * @param said what it says
 */
public record NotedEntry(int line, String text, Moment when, NotebookEntry said) {
  /** Whether a number stands in it of which nothing was understood. */
  public boolean isNotUnderstood() {
    return said.readings().isEmpty()
        && said.press().isEmpty()
        && said.errorCode().isEmpty()
        && said.remark().chars().anyMatch(Character::isDigit);
  }
}

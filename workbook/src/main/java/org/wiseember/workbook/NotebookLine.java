package org.wiseember.workbook;

import java.util.Optional;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;

/**
 * A line of a run's notebook: what a person pressed, or wrote.
 *
 * @param id its key; 0 for one that is not kept yet
 * @param earliest when it was at the earliest, s on the run's clock
 * @param latest when it was at the latest, s
 * @param press what was pressed or said in so many words; empty for other words
 * @param subject watts or amps of the step it was said in; NaN for nothing
 * @param words as written; of a press what stands on its button
 * @param who read or wrote it; empty where nobody said
 */
public record NotebookLine(
    long id,
    double earliest,
    double latest,
    Optional<OperatorEvent> press,
    double subject,
    String words,
    String who) {
  /** A press as it is kept. */
  public static NotebookLine of(TimedOperatorEvent pressed, String words, String who) {
    return new NotebookLine(
        0,
        pressed.earliest(),
        pressed.latest(),
        Optional.of(pressed.press()),
        pressed.subject(),
        words,
        who);
  }

  /** Words written at a moment. */
  public static NotebookLine words(double seconds, String words, String who) {
    return new NotebookLine(0, seconds, seconds, Optional.empty(), Double.NaN, words, who);
  }

  /** The middle of when it was, s. */
  public double seconds() {
    return (earliest + latest) / 2;
  }

  /** What was pressed; empty for words. */
  public Optional<TimedOperatorEvent> pressed() {
    return press.map(p -> new TimedOperatorEvent(p, subject, earliest, latest));
  }
}

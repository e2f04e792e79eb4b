package org.wiseember.workbook;

import java.util.Comparator;
import java.util.Optional;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;

/**
 * A line of a run's notebook: what a person pressed, or wrote.
 *
 * @param id its key; 0 for one that is not kept yet
 * @param when it was, on the run's clock
 * @param press what was pressed or said in so many words; empty for other words
 * @param subject watts or amps of the step it was said in; NaN for nothing
 * @param words as written; of a press what stands on its button
 * @param who read or wrote it; empty where nobody said
 */
public record NotebookLine(
    long id, Moment when, Optional<OperatorEvent> press, double subject, String words, String who) {
  /** In the order things happened. */
  public static final Comparator<NotebookLine> IN_ORDER =
      Comparator.comparingDouble(NotebookLine::seconds).thenComparingLong(NotebookLine::id);

  /** A press as it is kept. */
  public static NotebookLine of(TimedOperatorEvent pressed, String words, String who) {
    return new NotebookLine(
        0, pressed.when(), Optional.of(pressed.press()), pressed.subject(), words, who);
  }

  /** Words written at a moment. */
  public static NotebookLine words(double seconds, String words, String who) {
    return new NotebookLine(0, Moment.exact(seconds), Optional.empty(), Double.NaN, words, who);
  }

  /** The same at another moment, which is known. */
  public NotebookLine at(double seconds) {
    Moment moved =
        press.isPresent()
            ? new Moment(
                seconds, Math.min(seconds, when.earliest()), Math.max(seconds, when.latest()))
            : Moment.exact(seconds);
    return new NotebookLine(id, moved, press, subject, words, who);
  }

  /** Where it stands among the others, s. */
  public double seconds() {
    return when.at();
  }

  public double earliest() {
    return when.earliest();
  }

  public double latest() {
    return when.latest();
  }

  /** What was pressed; empty for words. */
  public Optional<TimedOperatorEvent> pressed() {
    return press.map(p -> new TimedOperatorEvent(p, subject, when));
  }
}

package org.wiseember.core.notes;

import java.util.OptionalDouble;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.typed.NotebookEntry;
import org.wiseember.core.typed.NotebookReader;

/**
 * A line that is written into a notebook later, below one that stands there.
 *
 * @param when it was, on the run's clock: the moment it names, else between the line above and the
 *     one below
 * @param said what it says
 */
public record LaterEntry(Moment when, NotebookEntry said) {
  private static final double DAY = 86_400;

  /** A line below the last stands so far behind it, s. */
  private static final double BEHIND = 60;

  /**
   * Understands it.
   *
   * @param above the line it is written below; null for none
   * @param below the line that follows there; null for none
   * @param zero time of the day at which the run's clock shows 0, s; empty where nobody knows, then
   *     a time of day is none
   */
  public static LaterEntry of(
      String text, Moment above, Moment below, OptionalDouble zero, NotebookReader reader) {
    WrittenMoment written = WrittenMoment.of(text.strip());
    NotebookEntry said = reader.understand(written.rest());
    double hand = !written.instant() ? 0 : said.readings().isEmpty() ? 0.3 : 2;
    if (written.kind() == WrittenMoment.Kind.SINCE_FIRST) {
      return new LaterEntry(Moment.between(written.from(), written.to()), said);
    }
    if (written.kind() == WrittenMoment.Kind.OF_DAY && zero.isPresent()) {
      double from = written.from() - zero.getAsDouble();
      // A time of day before the run began is the next day's.
      double days = from + written.to() - written.from() < -DAY / 24 ? DAY : 0;
      return new LaterEntry(
          Moment.between(from + days - hand, written.to() - zero.getAsDouble() + days + hand),
          said);
    }
    return new LaterEntry(between(above, below), said);
  }

  private static Moment between(Moment above, Moment below) {
    if (above == null && below == null) {
      return new Moment(0, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
    }
    if (above == null) {
      return new Moment(below.at() - BEHIND, Double.NEGATIVE_INFINITY, below.latest());
    }
    return below == null
        ? new Moment(above.at() + BEHIND, above.earliest(), Double.POSITIVE_INFINITY)
        : new Moment((above.at() + below.at()) / 2, above.earliest(), below.latest());
  }
}

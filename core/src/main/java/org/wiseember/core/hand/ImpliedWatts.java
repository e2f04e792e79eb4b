package org.wiseember.core.hand;

import java.util.Optional;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Series;

/**
 * Watts that totals and the moments they were read at ask for, at the least: what nobody could have
 * drawn tells of a moment that is not its total's, or of a total of something else.
 */
public final class ImpliedWatts {
  private static final double SECONDS_PER_HOUR = 3600;

  /** So many times what was read cannot be. */
  private static final double MOST = 1.5;

  private ImpliedWatts() {}

  /**
   * Holds totals against watts.
   *
   * @param total as it was read
   * @param watts as they were read beside it
   * @param labelWatts the most the label says, W, for where none were read; NaN where it does not
   * @param from when energy began to flow
   * @param to when it ended
   * @return what cannot be; empty where all goes together, or nothing can be said
   */
  public static Optional<Warning> implausible(
      HandNotes notes, Series total, Series watts, double labelWatts, Moment from, Moment to) {
    double read = 0;
    for (int i = 0; i < watts.size(); i++) {
      read = Math.max(read, watts.value(i));
    }
    double most = read > 0 ? read : labelWatts;
    double implied = implied(notes, total, from, to);
    if (!(implied > MOST * most)) {
      return Optional.empty();
    }
    return Optional.of(
        new Warning(
            "times_implausible",
            "By the totals and their moments it was "
                + Figures.fixed(implied, 0)
                + " W, and "
                + Figures.fixed(most, 0)
                + (read > 0 ? " W were the most that was read" : " W are the most on the label")
                + ". Was it made earlier, or is a total of another run? There is no figure by"
                + " time."));
  }

  private static double implied(HandNotes notes, Series total, Moment from, Moment to) {
    double implied = 0;
    for (int i = 1; i < total.size(); i++) {
      double longest =
          notes.read(total.seconds(i)).latest() - notes.read(total.seconds(i - 1)).earliest();
      implied = Math.max(implied, (total.value(i) - total.value(i - 1)) / longest);
    }
    int last = total.size() - 1;
    double whole = to.latest() - from.earliest();
    return SECONDS_PER_HOUR
        * (last > 0 ? Math.max(implied, (total.value(last) - total.value(0)) / whole) : implied);
  }
}

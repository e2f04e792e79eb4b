package org.wiseember.core.hand;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * All that was read and said by hand in one run.
 *
 * @param typed what was read off, as a trace: each row stands at the place of its line
 * @param steps of the last digit of each channel, in its unit; one that is missing is told from the
 *     readings
 * @param presses what was said, in order
 * @param moments of the rows whose place is not their moment, by that place
 */
public record HandNotes(
    Trace typed,
    Map<Channel, Double> steps,
    List<TimedOperatorEvent> presses,
    Map<Double, Moment> moments) {
  public HandNotes {
    steps = Map.copyOf(steps);
    presses = List.copyOf(presses);
    moments = Map.copyOf(moments);
  }

  /** Read and said at moments that are known. */
  public static HandNotes of(
      Trace typed, Map<Channel, Double> steps, List<TimedOperatorEvent> presses) {
    return new HandNotes(typed, steps, presses, Map.of());
  }

  /** When a row was read. */
  public Moment read(double seconds) {
    return moments.getOrDefault(seconds, Moment.exact(seconds));
  }

  /** The first of these that was said. */
  public Optional<TimedOperatorEvent> first(OperatorEvent... any) {
    return presses.stream().filter(p -> p.is(any)).findFirst();
  }

  /**
   * When the load or the source went on where nobody said so: between the first reading and the
   * next, or before all that was read and said where that shows that it was on already.
   *
   * @param total that was read beside
   * @return empty where nothing was read
   */
  public Optional<TimedOperatorEvent> unsaid(Series total) {
    if (typed.isEmpty()) {
      return Optional.empty();
    }
    double first = typed.seconds(0);
    if (!presses.isEmpty() && presses.get(0).seconds() <= first) {
      TimedOperatorEvent after = presses.get(0);
      return Optional.of(
          new TimedOperatorEvent(
              OperatorEvent.LOAD_ON,
              Double.NaN,
              new Moment(after.seconds() - 1, Double.NEGATIVE_INFINITY, after.latest())));
    }
    boolean running = total.size() > 0 && total.seconds(0) == first && total.value(0) > 0;
    double next = typed.size() > 1 ? read(typed.seconds(1)).latest() : Double.POSITIVE_INFINITY;
    Moment when =
        running
            ? new Moment(first - 1, Double.NEGATIVE_INFINITY, read(first).latest())
            : new Moment(first, read(first).earliest(), next);
    return Optional.of(new TimedOperatorEvent(OperatorEvent.LOAD_ON, Double.NaN, when));
  }
}

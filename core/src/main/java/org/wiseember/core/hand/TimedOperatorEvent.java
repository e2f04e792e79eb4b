package org.wiseember.core.hand;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Something a person said of a moment.
 *
 * @param press what
 * @param subject what it was about: watts or amps of the step it was said in; NaN for nothing
 * @param earliest when it may have been at the earliest, s on the run's clock
 * @param latest when it may have been at the latest, s
 */
public record TimedOperatorEvent(
    OperatorEvent press, double subject, double earliest, double latest) {
  /**
   * How far a key is from what it is pressed for, ± s: the usual time a person takes to react;
   * common practice, no published source.
   */
  public static final double REACTION = 0.3;

  public TimedOperatorEvent {
    if (!(latest >= earliest) || !Double.isFinite(latest - earliest)) {
      throw new IllegalArgumentException("a moment lies between two, the earlier one first");
    }
  }

  /** A key pressed as it happened. */
  public static TimedOperatorEvent key(OperatorEvent press, double subject, double seconds) {
    return new TimedOperatorEvent(press, subject, seconds - REACTION, seconds + REACTION);
  }

  /** The middle of when it may have been, s. */
  public double seconds() {
    return (earliest + latest) / 2;
  }

  /** Limits of {@link #seconds()}, ± s. */
  public double within() {
    return (latest - earliest) / 2;
  }

  public boolean is(OperatorEvent... any) {
    return Arrays.asList(any).contains(press);
  }

  /** The first of these in a list, from a moment on and before another. */
  public static Optional<TimedOperatorEvent> first(
      List<TimedOperatorEvent> presses, double from, double before, OperatorEvent... any) {
    return presses.stream()
        .filter(p -> p.seconds() >= from && p.seconds() < before && p.is(any))
        .findFirst();
  }
}

package org.wiseember.core.hand;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Something a person said of a moment.
 *
 * @param press what
 * @param subject what it was about: watts or amps of the step it was said in; NaN for nothing
 * @param when it was, on the run's clock
 */
public record TimedOperatorEvent(OperatorEvent press, double subject, Moment when) {
  /**
   * How far a key is from what it is pressed for, ± s: the usual time a person takes to react;
   * common practice, no published source.
   */
  public static final double REACTION = 0.3;

  /** A key pressed as it happened. */
  public static TimedOperatorEvent key(OperatorEvent press, double subject, double seconds) {
    return new TimedOperatorEvent(press, subject, Moment.within(seconds, REACTION));
  }

  /** Where it stands among all that was said and read, s. */
  public double seconds() {
    return when.at();
  }

  public double earliest() {
    return when.earliest();
  }

  public double latest() {
    return when.latest();
  }

  /** Limits of {@link #seconds()}, ± s; infinite where nobody knows. */
  public double within() {
    return when.within();
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

package org.wiseember.bench.procedure;

/**
 * One load of an overload ladder.
 *
 * @param watts in all
 * @param atMost how long it is held at most, s
 */
public record Held(double watts, double atMost) {
  public Held {
    if (!(watts > 0) || !(atMost > 0)) {
      throw new IllegalArgumentException("a load is held for a time");
    }
  }
}

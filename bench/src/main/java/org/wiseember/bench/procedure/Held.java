package org.wiseember.bench.procedure;

/**
 * One load of an overload ladder.
 *
 * @param watts in all
 * @param atMost how long it is held at most, s
 * @param recipe what to plug in and in which order; empty where the load obeys
 */
public record Held(double watts, double atMost, String recipe) {
  public Held {
    if (!(watts > 0) || !(atMost > 0)) {
      throw new IllegalArgumentException("a load is held for a time");
    }
  }

  /** A load that obeys. */
  public Held(double watts, double atMost) {
    this(watts, atMost, "");
  }
}

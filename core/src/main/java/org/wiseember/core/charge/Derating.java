package org.wiseember.core.charge;

import java.util.OptionalDouble;

/**
 * A charge that was held back by warmth.
 *
 * @param fromCelsius of the case from which it took less, °C; empty where it was held back from its
 *     start on, so that the border lies somewhere below
 * @param leastShare of its level it still took, 0 to 1
 * @param seconds for how long in all
 */
public record Derating(OptionalDouble fromCelsius, double leastShare, double seconds) {
  /** A case lags behind its cells, so that the border is no surer than this, K. */
  public static final double UNSURE = 2;
}

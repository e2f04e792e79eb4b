package org.wiseember.core.overload;

import org.wiseember.core.trace.Series;

/**
 * A hold with what came before it, as a curve is fitted to it.
 *
 * @param watts held, W
 * @param scatter standard uncertainty of the watts by scatter, W
 * @param seconds until the trip, or held at least so long
 * @param halfWidth limits of the seconds
 * @param tripped whether it tripped
 * @param history what heated it before
 */
record TripTry(
    double watts,
    double scatter,
    double seconds,
    double halfWidth,
    boolean tripped,
    LoadHistory history) {

  static TripTry of(Hold hold, Series power) {
    return new TripTry(
        hold.watts(),
        hold.scatter(),
        Math.max(hold.seconds(), hold.halfWidth() / 2),
        hold.halfWidth(),
        hold.tripped(),
        LoadHistory.upTo(power, hold.from()));
  }
}

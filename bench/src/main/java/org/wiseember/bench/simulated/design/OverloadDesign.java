package org.wiseember.bench.simulated.design;

/**
 * When a simulated inverter trips. Its power stage has a thermal image θ that follows the square of
 * the load, τ·dθ/dt = (P ÷ rating)² − θ, and trips where θ passes the square of the pick-up; so a
 * second try soon after the first trips sooner. The form is that of IEC 60255-149 for thermal
 * relays (recalled from memory).
 *
 * @param pickUp load that is just held for ever, share of rating, above 1
 * @param seconds time constant τ, s
 * @param peak load at which it limits its current, share of rating
 * @param peakSeconds how long it limits before it gives up, s
 * @param latches whether it stays off until a person switches it on again
 * @param recoverySeconds after which it comes back by itself where it does not latch, s
 */
public record OverloadDesign(
    double pickUp,
    double seconds,
    double peak,
    double peakSeconds,
    boolean latches,
    double recoverySeconds) {
  public OverloadDesign {
    if (!(pickUp > 1)
        || !(seconds > 0)
        || !(peak > pickUp)
        || !(peakSeconds >= 0)
        || !(recoverySeconds >= 0)) {
      throw new IllegalArgumentException("an inverter trips above its rating");
    }
  }

  /** Twice the rating for under a second, a quarter over for about a minute and a half. */
  public static OverloadDesign usual() {
    return new OverloadDesign(1.08, 60, 2, 0.75, true, 0);
  }

  /**
   * Time to the trip at a constant load, s; infinite where it is held.
   *
   * @param load share of rating
   * @param before load it was in balance with before, share of rating
   */
  public double tripSeconds(double load, double before) {
    double limit = pickUp * pickUp;
    double target = load * load;
    double start = before * before;
    if (start >= limit) {
      return 0;
    }
    if (target <= limit) {
      return Double.POSITIVE_INFINITY;
    }
    return seconds * Math.log((target - start) / (target - limit));
  }
}

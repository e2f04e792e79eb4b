package org.wiseember.core.overload;

/**
 * How long a load is borne before the trip. The power stage is taken to warm with the square of the
 * load: an image θ follows τ·dθ/dt = P² − θ, and the inverter trips where θ reaches the square of
 * the pick-up. So t = τ·ln((P² − P₀²) ÷ (P² − P_k²)) from balance at P₀, and a second try soon
 * after the first is shorter.
 *
 * <p>The form is that of IEC 60255-149 for thermal relays (recalled from memory).
 *
 * @param pickUp load that is just held for ever, P_k, W, above 0
 * @param seconds time constant τ, s, above 0
 */
public record TripCurve(double pickUp, double seconds) {
  public TripCurve {
    if (!(pickUp > 0) || !(seconds > 0)) {
      throw new IllegalArgumentException("a trip curve needs a pick-up and a time constant");
    }
  }

  /**
   * Time to the trip from balance at another load, s; infinite where it is held, 0 where the load
   * before would have tripped it already.
   *
   * @param watts load
   * @param before load it was in balance with, W; 0 from cold
   */
  public double tripSeconds(double watts, double before) {
    return fromImage(watts, before * before);
  }

  /**
   * The same from any image.
   *
   * @param image θ at the start, W²
   */
  double fromImage(double watts, double image) {
    double limit = pickUp * pickUp;
    double target = watts * watts;
    if (image >= limit) {
      return 0;
    }
    return target <= limit
        ? Double.POSITIVE_INFINITY
        : seconds * Math.log((target - image) / (target - limit));
  }

  /** The load that trips after this time from balance at another, W. */
  public double wattsFor(double tripSeconds, double before) {
    // (P² − P₀²) = k·(P² − P_k²) with k = exp(t ÷ τ)
    double k = Math.exp(Math.min(700, tripSeconds / seconds));
    double square = (k * pickUp * pickUp - before * before) / (k - 1);
    return Math.sqrt(Math.max(0, square));
  }
}

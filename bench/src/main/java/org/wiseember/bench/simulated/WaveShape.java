package org.wiseember.bench.simulated;

/**
 * The shape of an AC output, scaled so that its RMS is 1.
 *
 * <p>The stepped wave rests at zero for half of the time, so its crest factor is √2 like a sine's:
 * common practice, no published source.
 */
public enum WaveShape {
  /** A sine with a few percent of third and fifth harmonic that grow a little with the load. */
  SINE,
  /** Stepped: up, rest, down, rest, a quarter each. */
  MODIFIED,
  SQUARE;

  /**
   * The wave at one point.
   *
   * @param turn part of the period, any number
   * @param load share of rating, which bends the sine
   */
  public double at(double turn, double load) {
    double x = turn - Math.floor(turn);
    return switch (this) {
      case SINE -> {
        double third = thirdShare(load);
        double fifth = 0.008;
        double peak = Math.sqrt(2 / (1 + third * third + fifth * fifth));
        double w = 2 * Math.PI * x;
        yield peak * (Math.sin(w) + third * Math.sin(3 * w) + fifth * Math.sin(5 * w));
      }
      case MODIFIED ->
          x >= 0.125 && x < 0.375 ? Math.sqrt(2) : x >= 0.625 && x < 0.875 ? -Math.sqrt(2) : 0;
      case SQUARE -> x < 0.5 ? 1 : -1;
    };
  }

  private static double thirdShare(double load) {
    return 0.012 + 0.01 * Math.max(0, Math.min(2, load));
  }

  /**
   * What a meter that answers to the rectified mean and is scaled for sines shows, over the true
   * RMS: π ÷ (2√2) times the rectified mean. 1 for a pure sine.
   */
  public double averagingFactor(double load) {
    double mean =
        switch (this) {
          // The odd harmonics add h/n to the mean of the rectified fundamental, 2/π.
          case SINE -> {
            double third = thirdShare(load);
            double peak = Math.sqrt(2 / (1 + third * third + 0.008 * 0.008));
            yield peak * 2 / Math.PI * (1 + third / 3 + 0.008 / 5);
          }
          case MODIFIED -> Math.sqrt(2) / 2;
          case SQUARE -> 1;
        };
    return mean * Math.PI / (2 * Math.sqrt(2));
  }
}

package org.wiseember.bench.simulated.load;

/**
 * The shape of an AC output, scaled so that its RMS is 1.
 *
 * <p>The stepped wave rests at zero for half of the time, so its crest factor is √2 like a sine's:
 * common practice, no published source.
 */
public enum WaveShape {
  /**
   * A sine whose third harmonic grows a little with the load, and whose way through zero is flat
   * while there is little load.
   */
  SINE,
  /** Stepped: up, rest, down, rest, a quarter each. */
  MODIFIED,
  SQUARE,
  /** The mains: a sine with flat tops, about 2 % of distortion. */
  MAINS;

  /** Order of each harmonic of a mains wave and its share, as sine terms. */
  private static final double[][] OF_MAINS = {{3, 0.006}, {5, -0.015}, {7, 0.008}};

  private static final int[] AT_CROSSING = {7, 9, 11, 13, 15};
  private static final double CROSSING_SHARE = 0.007;
  private static final double CROSSING_GONE = 0.5;
  private static final double FIFTH = 0.008;

  /**
   * The wave at one point.
   *
   * @param turn part of the period, any number
   * @param load share of rating, which bends the sine
   */
  public double at(double turn, double load) {
    double x = turn - Math.floor(turn);
    return switch (this) {
      case SINE, MAINS -> {
        double w = 2 * Math.PI * x;
        double sum = Math.sin(w);
        double square = 1;
        for (double[] h : harmonics(load)) {
          sum += h[1] * Math.sin(h[0] * w);
          square += h[1] * h[1];
        }
        yield Math.sqrt(2 / square) * sum;
      }
      case MODIFIED ->
          x >= 0.125 && x < 0.375 ? Math.sqrt(2) : x >= 0.625 && x < 0.875 ? -Math.sqrt(2) : 0;
      case SQUARE -> x < 0.5 ? 1 : -1;
    };
  }

  /** Order and share of each harmonic. */
  private double[][] harmonics(double load) {
    if (this == MAINS) {
      return OF_MAINS;
    }
    double flat = -CROSSING_SHARE * Math.max(0, 1 - load / CROSSING_GONE);
    double third = 0.012 + 0.01 * Math.max(0, Math.min(2, load));
    double[][] all = new double[flat == 0 ? 2 : 2 + AT_CROSSING.length][];
    all[0] = new double[] {3, third};
    all[1] = new double[] {5, FIFTH};
    for (int i = 2; i < all.length; i++) {
      all[i] = new double[] {AT_CROSSING[i - 2], flat};
    }
    return all;
  }

  /**
   * What a meter that answers to the rectified mean and is scaled for sines shows, over the true
   * RMS: π ÷ (2√2) times the rectified mean. 1 for a pure sine.
   */
  public double averagingFactor(double load) {
    double mean =
        switch (this) {
          // The odd harmonics add h/n to the mean of the rectified fundamental, 2/π.
          case SINE, MAINS -> {
            double sum = 1;
            double square = 1;
            for (double[] h : harmonics(load)) {
              sum += h[1] / h[0];
              square += h[1] * h[1];
            }
            yield Math.sqrt(2 / square) * 2 / Math.PI * sum;
          }
          case MODIFIED -> Math.sqrt(2) / 2;
          case SQUARE -> 1;
        };
    return mean * Math.PI / (2 * Math.sqrt(2));
  }
}

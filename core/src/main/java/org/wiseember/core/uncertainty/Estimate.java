package org.wiseember.core.uncertainty;

/**
 * A value and its expanded uncertainty.
 *
 * @param value the best estimate
 * @param u95 half width of the interval that holds the true value with 95 % confidence, in the unit
 *     of the value; never negative
 */
public record Estimate(double value, double u95) {
  public Estimate {
    if (!Double.isFinite(value) || !(u95 >= 0) || !Double.isFinite(u95)) {
      throw new IllegalArgumentException("not an estimate: " + value + " ± " + u95);
    }
  }

  /** The same estimate in another unit, {@code factor} times as large. */
  public Estimate scaled(double factor) {
    return new Estimate(value * factor, u95 * Math.abs(factor));
  }

  public double low() {
    return value - u95;
  }

  public double high() {
    return value + u95;
  }
}

package org.wiseember.core.hand;

/**
 * When something was, as far as anybody knows. A moment nobody noted still has its place in the
 * order of things.
 *
 * @param at where it stands among the others, s on the run's clock; finite, and the best guess
 *     where both limits are
 * @param earliest when it may have been at the earliest, s; −∞ where nobody knows
 * @param latest when it may have been at the latest, s; +∞ where nobody knows
 */
public record Moment(double at, double earliest, double latest) {
  public Moment {
    if (!(latest >= earliest) || !Double.isFinite(at)) {
      throw new IllegalArgumentException("a moment lies between two, the earlier one first");
    }
  }

  /** Known to the instant. */
  public static Moment exact(double seconds) {
    return new Moment(seconds, seconds, seconds);
  }

  /** Known but for so much to either side. */
  public static Moment within(double seconds, double halfWidth) {
    return new Moment(seconds, seconds - halfWidth, seconds + halfWidth);
  }

  /** Anywhere between two others. */
  public static Moment between(double earliest, double latest) {
    return new Moment((earliest + latest) / 2, earliest, latest);
  }

  /** How far it may be from {@link #at}, ± s; infinite where nobody knows. */
  public double within() {
    return Math.max(at - earliest, latest - at);
  }

  /** Whether it lies between two moments that are known. */
  public boolean isKnown() {
    return Double.isFinite(latest - earliest);
  }

  /** Whether {@link #at} is the middle of its limits, so that they alone tell all. */
  public boolean isCentred() {
    return at == (earliest + latest) / 2;
  }
}

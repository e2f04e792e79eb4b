package org.wiseember.desktop.bench;

/**
 * When a drain is expected to end, from the energy so far and what units of its printed capacity
 * usually deliver: 85 %, seen 75 to 95 % (common practice, no published source).
 *
 * @param secondsLeft at the usual yield; 0 when it is due
 * @param least at 75 %
 * @param most at 95 %
 * @param expected watt-hours at the usual yield
 */
record Projection(double secondsLeft, double least, double most, double expected) {
  private static final double USUAL = 0.85;
  private static final double LOW = 0.75;
  private static final double HIGH = 0.95;

  /**
   * @param rated printed capacity, Wh; above 0
   * @param delivered so far, Wh
   * @param watts now, W; above 0
   */
  static Projection of(double rated, double delivered, double watts) {
    return new Projection(
        left(rated * USUAL, delivered, watts),
        left(rated * LOW, delivered, watts),
        left(rated * HIGH, delivered, watts),
        rated * USUAL);
  }

  private static double left(double total, double delivered, double watts) {
    return Math.max(0, (total - delivered) / watts * 3600);
  }
}

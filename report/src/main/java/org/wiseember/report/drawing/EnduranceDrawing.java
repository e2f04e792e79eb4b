package org.wiseember.report.drawing;

import java.util.List;

/**
 * How long which load was held.
 *
 * @param tries every hold
 * @param curve where it trips, from heavy to light loads; may be empty
 * @param promised the label's steps; may be empty
 */
public record EnduranceDrawing(List<Try> tries, List<Point> curve, List<Step> promised)
    implements Drawing {
  /**
   * A hold.
   *
   * @param tripped whether it ended by itself
   */
  public record Try(double seconds, double watts, boolean tripped) {}

  /** A point of the curve with its band in time. */
  public record Point(double watts, double low, double seconds, double high) {}

  /** A load the label promises for a time; infinite for the continuous rating. */
  public record Step(double watts, double seconds) {}

  public EnduranceDrawing {
    tries = List.copyOf(tries);
    curve = List.copyOf(curve);
    promised = List.copyOf(promised);
  }
}

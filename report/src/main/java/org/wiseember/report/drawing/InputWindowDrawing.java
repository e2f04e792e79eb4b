package org.wiseember.report.drawing;

import java.util.List;

/**
 * What a port takes and what may be put into it: volts across, amps up.
 *
 * @param leastVolts at which it begins, V
 * @param mostVolts it may ever see, V
 * @param amps it draws at most, A; infinite for no limit
 * @param watts it takes at most, W; infinite for no limit
 * @param points one an arrangement
 * @param measured volts and amps that were read, thinned; may be empty
 */
public record InputWindowDrawing(
    double leastVolts,
    double mostVolts,
    double amps,
    double watts,
    List<Point> points,
    List<Reading> measured)
    implements Drawing {
  public InputWindowDrawing {
    points = List.copyOf(points);
    measured = List.copyOf(measured);
  }

  /** Where the input worked at a moment. */
  public record Reading(double volts, double amps) {}

  /**
   * One arrangement.
   *
   * @param letter it goes by
   * @param volts where it works in full sun, V
   * @param amps where it works in full sun, A
   * @param coldVolts open circuit on the coldest morning, V
   * @param chosen whether it is the one looked at
   */
  public record Point(String letter, double volts, double amps, double coldVolts, boolean chosen) {}
}

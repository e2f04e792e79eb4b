package org.wiseember.report.drawing;

import java.util.List;

/**
 * Harmonics as bars with caps over them.
 *
 * @param bars by order
 * @param caps whose caps they are; empty for none
 */
public record HarmonicsDrawing(List<Bar> bars, String caps) implements Drawing {
  /**
   * One harmonic.
   *
   * @param order from 2
   * @param percent of the fundamental
   * @param halfWidth how sure, at 95 %
   * @param cap the most it may be; NaN for none
   * @param over whether it is over by more than it is unsure
   */
  public record Bar(int order, double percent, double halfWidth, double cap, boolean over) {}

  public HarmonicsDrawing {
    bars = List.copyOf(bars);
  }
}

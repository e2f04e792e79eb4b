package org.wiseember.report.look;

import java.util.List;

/**
 * Where percent of a claim lies across a seam's width. Equal steps from 60 to 140 %; what lies
 * beyond is drawn at the edge.
 */
public final class ClaimScale {
  public static final double LEAST = 60;
  public static final double MOST = 140;

  /** The lines drawn across, the claim itself among them. */
  public static final List<Integer> TICKS = List.of(60, 80, 100, 120, 140);

  /** Half width of the band round the claim, %. */
  public static final double BAND = 4;

  private ClaimScale() {}

  /** Share of the width, 0 left to 1 right. */
  public static double at(double percent) {
    return Math.max(0, Math.min(1, (percent - LEAST) / (MOST - LEAST)));
  }

  /** Whether a percent lies beyond the drawn part. */
  public static boolean beyond(double percent) {
    return percent < LEAST || percent > MOST;
  }
}

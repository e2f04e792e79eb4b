package org.wiseember.trial.test;

/**
 * Head of a large figure while a test runs.
 *
 * @param unit beside the figure; empty for none
 */
public record LiveTile(String title, String unit) {
  /** What stands in it now: the figure, and a line under it. */
  public record Now(String figure, String under) {}
}

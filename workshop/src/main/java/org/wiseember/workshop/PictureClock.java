package org.wiseember.workshop;

import org.wiseember.bench.connect.HandClock;

/**
 * The time of the test by hand on a picture: it stands where it was set, so that pictures repeat.
 */
final class PictureClock implements HandClock {
  private static final long LOOK_MILLIS = 20;

  private volatile double seconds;

  /** Sets it, s. */
  void set(double now) {
    seconds = now;
  }

  @Override
  public double seconds() {
    return seconds;
  }

  @Override
  public void await(double until) {
    try {
      Thread.sleep(LOOK_MILLIS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public void hurry() {
    // It never waits for long.
  }
}

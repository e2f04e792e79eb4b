package org.wiseember.bench.connect;

/** The time of a bench that is read by hand. Safe for several threads. */
public interface HandClock {
  /** What it shows now, s since the run began. */
  double seconds();

  /** Waits until then, or until {@link #hurry()}, or until the thread is interrupted. */
  void await(double seconds);

  /** Ends the waiting that is going on, or the next. */
  void hurry();

  /**
   * Real time.
   *
   * @param startedSeconds what it shows now, s
   */
  static HandClock real(double startedSeconds) {
    return new RealHandClock(startedSeconds);
  }
}

package org.wiseember.bench.connect;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;

/** Real time, by the machine's steady clock. */
final class RealHandClock implements HandClock {
  private final long origin;
  private final Semaphore hurried = new Semaphore(0);

  RealHandClock(double startedSeconds) {
    this.origin = System.nanoTime() - (long) (startedSeconds * 1e9);
  }

  @Override
  public double seconds() {
    return (System.nanoTime() - origin) / 1e9;
  }

  @Override
  public void await(double seconds) {
    try {
      long left = (long) ((seconds - seconds()) * 1e9);
      if (left > 0 && hurried.tryAcquire(left, TimeUnit.NANOSECONDS)) {
        hurried.drainPermits();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public void hurry() {
    hurried.release();
  }
}

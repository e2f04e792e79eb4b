package org.wiseember.desktop;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.wiseember.bench.connect.HandClock;

/** The clock of a test by hand that stands still until somebody winds it on. */
final class WoundClock implements HandClock {
  private final AtomicReference<Double> seconds = new AtomicReference<>(0.0);
  private final Semaphore woken = new Semaphore(0);

  /** Winds it on, s. */
  void on(double more) {
    seconds.updateAndGet(s -> s + more);
    woken.release();
  }

  @Override
  public double seconds() {
    return seconds.get();
  }

  /** A moment that nobody winds to is not waited for long: the run looks whether it shall end. */
  @Override
  public void await(double until) {
    try {
      if (seconds.get() < until && woken.tryAcquire(20, TimeUnit.MILLISECONDS)) {
        woken.drainPermits();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public void hurry() {
    woken.release();
  }
}

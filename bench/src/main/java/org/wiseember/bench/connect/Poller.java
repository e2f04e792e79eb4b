package org.wiseember.bench.connect;

import java.io.IOException;
import java.util.Arrays;
import java.util.concurrent.TimeUnit;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.InstrumentDescription;

/**
 * Asks one instrument in a thread of its own, once for each request, and connects again by itself
 * when it was lost. A reading belongs to the request it was made for and to no other.
 */
final class Poller implements AutoCloseable {
  private static final long FIRST_PAUSE = TimeUnit.MILLISECONDS.toNanos(200);
  private static final long LONGEST_PAUSE = TimeUnit.SECONDS.toNanos(5);

  private final InstrumentDescription description;
  private final Thread thread;
  private Driver driver;
  private long requested;
  private long answered;
  private double[] values;
  private Health health = new Health(Health.State.CONNECTING, "");
  private Boolean loadWanted;
  private boolean closed;

  Poller(InstrumentDescription description) {
    this.description = description;
    this.values = missing();
    this.thread = new Thread(this::loop, "poll " + description.name());
    thread.setDaemon(true);
    thread.start();
  }

  InstrumentDescription description() {
    return description;
  }

  private double[] missing() {
    double[] none = new double[description.channels().size()];
    Arrays.fill(none, Double.NaN);
    return none;
  }

  synchronized Health health() {
    return health;
  }

  /** Asks for one reading of everything. */
  synchronized void request(long number) {
    requested = number;
    notifyAll();
  }

  /** Switches the load, at once or as soon as the instrument is there. */
  synchronized void load(boolean on) {
    loadWanted = on;
    notifyAll();
  }

  /**
   * Waits for the answer to a request.
   *
   * @param until moment of {@link System#nanoTime()} to wait no longer than
   * @return the readings made for it; NaN where there was none in time
   */
  synchronized double[] await(long number, long until) throws InterruptedException {
    while (answered < number && !closed) {
      long left = until - System.nanoTime();
      if (left <= 0) {
        return missing();
      }
      TimeUnit.NANOSECONDS.timedWait(this, left);
    }
    return answered == number ? values : missing();
  }

  private void loop() {
    long pause = FIRST_PAUSE;
    try {
      while (true) {
        long number;
        Boolean load;
        synchronized (this) {
          while (!closed && requested <= answered && loadWanted == null) {
            wait();
          }
          if (closed) {
            return;
          }
          number = requested;
          load = loadWanted;
          loadWanted = null;
        }
        try {
          if (driver == null) {
            driver = Drivers.open(description);
          }
          if (load != null && description.switchesLoad()) {
            driver.load(load);
          }
          double[] read = number > answered ? driver.read() : values;
          pause = FIRST_PAUSE;
          settle(number, read, Health.ALIVE, null);
        } catch (IOException | RuntimeException e) {
          drop();
          String words = Drivers.words(e);
          settle(number, missing(), new Health(Health.State.LOST, words + "."), load);
          pauseFor(pause);
          pause = Math.min(2 * pause, LONGEST_PAUSE);
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } finally {
      drop();
    }
  }

  private synchronized void settle(long number, double[] read, Health now, Boolean again) {
    values = read;
    answered = number;
    health = now;
    loadWanted = loadWanted == null ? again : loadWanted;
    notifyAll();
  }

  private synchronized void pauseFor(long nanos) throws InterruptedException {
    long until = System.nanoTime() + nanos;
    while (!closed && System.nanoTime() < until) {
      // What is asked meanwhile is answered at once: there is nothing.
      answered = requested;
      notifyAll();
      TimeUnit.NANOSECONDS.timedWait(this, Math.max(1, until - System.nanoTime()));
    }
  }

  private void drop() {
    try {
      if (driver != null) {
        driver.close();
      }
    } catch (IOException ignored) {
      // It is gone already.
    }
    driver = null;
  }

  @Override
  public synchronized void close() {
    closed = true;
    notifyAll();
    thread.interrupt();
  }
}

package org.wiseember.bench.connect;

import java.io.IOException;
import java.net.SocketTimeoutException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.LoadSwitch;
import org.wiseember.bench.instrument.SetPoints;

/**
 * Asks one instrument in a thread of its own, once for each request, and connects again by itself
 * when it was lost. A reading belongs to the request it was made for and to no other. What its load
 * is to do is sent again after every new connection: the instrument may have restarted.
 */
final class Poller implements AutoCloseable {
  private static final long FIRST_PAUSE = TimeUnit.MILLISECONDS.toNanos(200);
  private static final long LONGEST_PAUSE = TimeUnit.SECONDS.toNanos(5);

  /** Longest wait for the thread to let go of its connection; one answer may still be due. */
  private static final long LONGEST_GOODBYE = Drivers.TIMEOUT_MILLIS + 500L;

  private final InstrumentDescription description;
  private final Thread thread;
  private Driver driver;
  private long requested;
  private long answered;
  private double[] values;
  private long readAt;
  private boolean gaveUp;
  private Health health = new Health(Health.State.CONNECTING, "");
  private List<String> order = List.of();
  private boolean orderIsOn;
  private boolean orderSent = true;
  private boolean everOn;
  private boolean ending;
  private boolean knownOff;
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

  /** Whether it is not busy with an earlier request, as slow instruments are for several ticks. */
  synchronized boolean idle() {
    return answered >= requested;
  }

  /** Asks for one reading of everything. */
  synchronized void request(long number) {
    requested = number;
    notifyAll();
  }

  /**
   * What was read for a request.
   *
   * @param values in the description's order; NaN where there was none
   * @param at moment of {@link System#nanoTime()} in the middle of the reading
   */
  record Answer(double[] values, long at) {}

  /** Lets its load do what is wanted, at once or as soon as the instrument is there. */
  synchronized void arrange(SetPoints wanted) {
    LoadSwitch load = description.load().orElseThrow();
    give(load.commands(wanted), load.isOn(wanted));
  }

  private synchronized void give(List<String> commands, boolean on) {
    if (!commands.equals(order)) {
      order = commands;
      orderIsOn = on;
      orderSent = false;
      notifyAll();
    }
  }

  /** Begins to switch its load off, where it ever switched one on; nothing is read any more. */
  synchronized void beginOff() {
    if (description.switchesLoad()) {
      ending = true;
      order = List.of(description.load().orElseThrow().off());
      orderIsOn = false;
      orderSent = false;
      knownOff = !everOn;
      notifyAll();
    }
  }

  /**
   * Waits for the load to be off.
   *
   * @param until moment of {@link System#nanoTime()} to wait no longer than
   * @return why it is not known to be off; empty when it is
   */
  synchronized Optional<String> awaitOff(long until) throws InterruptedException {
    while (description.switchesLoad() && !knownOff) {
      long left = until - System.nanoTime();
      if (left <= 0) {
        String words = health.words();
        return Optional.of(
            words.isEmpty() ? "it does not answer" : words.substring(0, words.length() - 1));
      }
      TimeUnit.NANOSECONDS.timedWait(this, left);
    }
    return Optional.empty();
  }

  /**
   * Waits for the answer to a request.
   *
   * @param until moment of {@link System#nanoTime()} to wait no longer than
   * @return the readings made for it; empty where it is not answered yet
   */
  synchronized Optional<Answer> await(long number, long until) throws InterruptedException {
    while (answered < number && !closed) {
      long left = until - System.nanoTime();
      if (left <= 0) {
        return Optional.empty();
      }
      TimeUnit.NANOSECONDS.timedWait(this, left);
    }
    return Optional.of(new Answer(answered == number ? values : missing(), readAt));
  }

  /** What the thread does next. */
  private record Task(long number, boolean read, List<String> commands, boolean on) {}

  private void loop() {
    long pause = FIRST_PAUSE;
    try {
      for (Task task = next(); task != null; task = next()) {
        try {
          if (driver == null) {
            driver = Drivers.open(description, gaveUp);
            // What it was told before may be forgotten: it is told again.
            task = sendingAgain(task);
          }
          if (!task.commands().isEmpty()) {
            command(task);
          }
          long began = System.nanoTime();
          double[] read = task.read() ? driver.read() : null;
          pause = FIRST_PAUSE;
          gaveUp = false;
          settle(task.number(), began + (System.nanoTime() - began) / 2, read, Health.ALIVE);
        } catch (IOException | RuntimeException e) {
          drop();
          gaveUp = e instanceof SocketTimeoutException;
          settle(
              task.number(),
              System.nanoTime(),
              missing(),
              new Health(Health.State.LOST, Drivers.words(e) + "."));
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

  /** Waits for something to do; null when there is nothing any more. */
  private synchronized Task next() throws InterruptedException {
    while (!closed && (ending || requested <= answered) && orderSent) {
      wait();
    }
    if (closed) {
      return null;
    }
    boolean read = requested > answered && !ending;
    return new Task(requested, read, orderSent ? List.of() : order, orderIsOn);
  }

  private synchronized Task sendingAgain(Task task) {
    orderSent = order.isEmpty();
    return new Task(task.number(), task.read(), order, orderIsOn);
  }

  private void command(Task task) throws IOException {
    synchronized (this) {
      if (task.on() && ending) {
        return;
      }
      everOn |= task.on();
    }
    driver.send(task.commands());
    if (!task.on() && wasEverOn() && driver.loadIsOn()) {
      throw new IOException("it was told to switch off and says that it is on");
    }
    synchronized (this) {
      // One given meanwhile is still to be sent.
      orderSent = order.equals(task.commands());
      knownOff = ending && orderSent;
      notifyAll();
    }
  }

  private synchronized boolean wasEverOn() {
    return everOn;
  }

  private synchronized void settle(long number, long at, double[] read, Health now) {
    readAt = at;
    values = read == null ? values : read;
    answered = number;
    health = now;
    notifyAll();
  }

  /** Waits before it connects again; what has to be switched off is not kept waiting. */
  private synchronized void pauseFor(long nanos) throws InterruptedException {
    long started = System.nanoTime();
    while (!closed && System.nanoTime() < started + (ending ? FIRST_PAUSE : nanos)) {
      // What is asked meanwhile is answered at once: there is nothing.
      answered = requested;
      notifyAll();
      long until = started + (ending ? FIRST_PAUSE : nanos);
      TimeUnit.NANOSECONDS.timedWait(this, Math.max(1, until - System.nanoTime()));
    }
    orderSent = order.isEmpty();
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

  /** Tells it to let go of the instrument. */
  void beginClose() {
    synchronized (this) {
      closed = true;
      notifyAll();
    }
    thread.interrupt();
  }

  /**
   * Lets go of the instrument; when this returns its port is free, unless it hangs in an answer.
   */
  @Override
  public void close() {
    beginClose();
    try {
      thread.join(LONGEST_GOODBYE);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}

package org.wiseember.bench.connect;

import java.io.IOException;
import java.util.Optional;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.Transport;
import org.wiseember.core.waveform.Capture;

/**
 * A scope in a thread of its own: it captures when asked to, and what it caught is there some time
 * later. A capture that failed is tried once more over a new connection.
 */
final class ScopePoller implements AutoCloseable {
  private static final int TIMEOUT_MILLIS = 15_000;
  private static final long LONGEST_GOODBYE = 2_000;

  private final InstrumentDescription description;
  private final Thread thread;
  private boolean wanted;
  private boolean closed;
  private Optional<Capture> caught = Optional.empty();
  private Health health = Health.ALIVE;
  private volatile ScpiClient client;
  private ScopeReader reader;

  ScopePoller(InstrumentDescription description) {
    this.description = description;
    this.thread = new Thread(this::loop, "scope " + description.name());
    thread.setDaemon(true);
    thread.start();
  }

  /** Asks for one capture; what an earlier one brought is forgotten. */
  synchronized void request() {
    wanted = true;
    caught = Optional.empty();
    notifyAll();
  }

  /** What the last request brought, once. */
  synchronized Optional<Capture> take() {
    Optional<Capture> taken = caught;
    caught = Optional.empty();
    return taken;
  }

  synchronized Health health() {
    return health;
  }

  private void loop() {
    try {
      while (awaitRequest()) {
        Optional<Capture> capture = tried(true);
        settle(capture.isPresent() || isClosed() ? capture : tried(false));
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } finally {
      drop();
    }
  }

  private synchronized boolean awaitRequest() throws InterruptedException {
    while (!wanted && !closed) {
      wait();
    }
    wanted = false;
    return !closed;
  }

  private synchronized boolean isClosed() {
    return closed;
  }

  private Optional<Capture> tried(boolean again) {
    try {
      if (reader == null) {
        client = ScpiClient.of(description, TIMEOUT_MILLIS);
        if (description.transport() == Transport.SCPI_SERIAL || !again) {
          InStep.onceQuiet(client::heard, !again);
        }
        reader = new ScopeReader(client, description.scope().orElseThrow());
      }
      return Optional.of(reader.capture());
    } catch (IOException | RuntimeException e) {
      drop();
      if (!again) {
        lost(Drivers.words(e) + ".");
      }
      return Optional.empty();
    }
  }

  private synchronized void settle(Optional<Capture> capture) {
    // One asked for meanwhile replaces it.
    caught = wanted ? Optional.empty() : capture;
    health = capture.isPresent() ? Health.ALIVE : health;
  }

  private synchronized void lost(String words) {
    health = new Health(Health.State.LOST, words);
  }

  private void drop() {
    try {
      if (client != null) {
        client.close();
      }
    } catch (IOException ignored) {
      // It is gone already.
    }
    client = null;
    reader = null;
  }

  /** Lets go of the scope; when this returns its port is free. */
  @Override
  public void close() {
    synchronized (this) {
      closed = true;
      notifyAll();
    }
    thread.interrupt();
    ScpiClient open = client;
    if (open != null) {
      try {
        // It may wait for a capture that takes long; without its line it waits no more.
        open.close();
      } catch (IOException ignored) {
        // It is gone already.
      }
    }
    try {
      thread.join(LONGEST_GOODBYE);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}

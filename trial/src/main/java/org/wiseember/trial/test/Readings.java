package org.wiseember.trial.test;

import java.util.function.Supplier;
import org.wiseember.core.trace.Trace;

/**
 * The readings of a run, which are many: read when somebody looks at them, and once. Safe for
 * several threads.
 */
public final class Readings {
  private final Supplier<Trace> source;
  private Trace read;

  /** Readings that lie somewhere. */
  public Readings(Supplier<Trace> source) {
    this.source = source;
  }

  /** Readings that are at hand. */
  public static Readings of(Trace trace) {
    return new Readings(() -> trace);
  }

  /** Whether they were read, so that asking for them takes no time. */
  public synchronized boolean atHand() {
    return read != null;
  }

  public synchronized Trace trace() {
    if (read == null) {
      read = source.get();
    }
    return read;
  }
}

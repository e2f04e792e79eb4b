package org.wiseember.workbook;

import java.util.function.Supplier;

/**
 * Something that takes a while to get, got when somebody asks for it, and once. Safe for several
 * threads.
 */
public final class OnDemand<T> {
  private final Supplier<T> source;
  private T got;

  public OnDemand(Supplier<T> source) {
    this.source = source;
  }

  /** Something that is at hand. */
  public static <T> OnDemand<T> of(T thing) {
    OnDemand<T> all = new OnDemand<>(() -> thing);
    all.get();
    return all;
  }

  public synchronized T get() {
    if (got == null) {
      got = source.get();
    }
    return got;
  }

  /** Whether it was got, so that asking takes no time. */
  public synchronized boolean atHand() {
    return got != null;
  }
}

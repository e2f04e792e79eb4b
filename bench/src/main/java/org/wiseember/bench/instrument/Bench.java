package org.wiseember.bench.instrument;

import java.util.List;
import org.wiseember.core.trace.Channel;

/**
 * A bench: instruments read together, a load one can switch, and a clock. Used by one thread at a
 * time.
 */
public interface Bench {
  /** The instruments, in the order they are shown. */
  List<Instrument> instruments();

  /** The channels of every frame, in a fixed order. */
  List<Channel> channels();

  /** Switches the load on or off. */
  void load(boolean on);

  /**
   * Lets the bench clock run and reads everything at its end.
   *
   * @param seconds above 0
   */
  Frame advance(double seconds);
}

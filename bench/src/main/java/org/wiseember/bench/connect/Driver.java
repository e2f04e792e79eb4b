package org.wiseember.bench.connect;

import java.io.IOException;
import java.util.List;

/** An open connection to one instrument. For one thread; after a failure it is closed. */
interface Driver extends AutoCloseable {
  /** Reads every channel of the description, in its order; NaN where the instrument has none. */
  double[] read() throws IOException;

  /** Sends what its load is to do, in order. */
  void send(List<String> commands) throws IOException;

  /** Asks whether its load is on. */
  boolean loadIsOn() throws IOException;

  @Override
  void close() throws IOException;
}

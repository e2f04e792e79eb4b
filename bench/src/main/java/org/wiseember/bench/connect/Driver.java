package org.wiseember.bench.connect;

import java.io.IOException;

/** An open connection to one instrument. For one thread; after a failure it is closed. */
interface Driver extends AutoCloseable {
  /** Reads every channel of the description, in its order; NaN where the instrument has none. */
  double[] read() throws IOException;

  /** Switches the load. */
  void load(boolean on) throws IOException;

  @Override
  void close() throws IOException;
}

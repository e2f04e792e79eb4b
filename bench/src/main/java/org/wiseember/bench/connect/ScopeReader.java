package org.wiseember.bench.connect;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import org.wiseember.bench.instrument.ScopeCommands;
import org.wiseember.core.waveform.Capture;

/** Has a scope capture and fetches what it caught, as IEEE 488.2 blocks. */
public final class ScopeReader {
  private final ScpiClient client;
  private final ScopeCommands scope;

  /**
   * Sets the scope up.
   *
   * @throws IOException where it does not take a command
   */
  public ScopeReader(ScpiClient client, ScopeCommands scope) throws IOException {
    this.client = client;
    this.scope = scope;
    for (String line : scope.setUp()) {
      client.command(line);
    }
  }

  /**
   * Captures once. Blocks until the scope is ready or its time limit is over.
   *
   * @return volts, and amps where it has a trace of them, probe ratios in them
   * @throws IOException in words for whoever stands at the bench
   */
  public Capture capture() throws IOException {
    client.command(scope.arm());
    double done = client.number(scope.ready());
    if (done != 1) {
      throw new IOException("it did not say that its capture is ready");
    }
    Fetched volts = fetch(scope.traces().get(0));
    if (scope.traces().size() == 1) {
      return Capture.of(1 / volts.step(), volts.values());
    }
    Fetched amps = fetch(scope.traces().get(1));
    if (amps.values().length != volts.values().length) {
      throw new IOException("its two traces are not of one length");
    }
    return Capture.of(1 / volts.step(), volts.values(), amps.values());
  }

  private record Fetched(double step, double[] values) {}

  private Fetched fetch(ScopeCommands.Trace trace) throws IOException {
    String[] preamble = client.query(trace.preambleQuery()).split(",", -1);
    double step = cell(preamble, scope.preamble().step(), trace);
    if (!(step > 0)) {
      throw new IOException("its preamble has no time between samples");
    }
    boolean scaled = scope.coding() != ScopeCommands.Coding.FLOAT32;
    double scale = scaled ? cell(preamble, scope.preamble().scale(), trace) : 1;
    double offset =
        scaled && scope.preamble().offset() >= 0
            ? cell(preamble, scope.preamble().offset(), trace)
            : 0;
    byte[] block = client.block(trace.dataQuery());
    int bytes = scope.coding().bytes();
    if (block.length == 0 || block.length % bytes != 0) {
      throw new IOException(
          "its block of " + block.length + " bytes is no whole number of samples");
    }
    ByteBuffer data =
        ByteBuffer.wrap(block)
            .order(scope.bigEndian() ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN);
    double[] values = new double[block.length / bytes];
    for (int i = 0; i < values.length; i++) {
      double count =
          switch (scope.coding()) {
            case INT8 -> data.get();
            case INT16 -> data.getShort();
            case FLOAT32 -> data.getFloat();
          };
      values[i] = (count * scale + offset) * trace.ratio();
    }
    return new Fetched(step, values);
  }

  private static double cell(String[] preamble, int place, ScopeCommands.Trace trace)
      throws IOException {
    try {
      return Double.parseDouble(preamble[place].strip());
    } catch (ArrayIndexOutOfBoundsException | NumberFormatException e) {
      throw new IOException(
          "its answer to " + trace.preambleQuery() + " has no number at place " + place);
    }
  }
}

package org.wiseember.bench.connect;

import java.io.IOException;
import org.wiseember.bench.instrument.ChannelSource;
import org.wiseember.bench.instrument.InstrumentDescription;

/** Reads an instrument by the SCPI queries of its description. */
final class ScpiDriver implements Driver {
  private final ScpiClient client;
  private final InstrumentDescription description;

  ScpiDriver(ScpiClient client, InstrumentDescription description) {
    this.client = client;
    this.description = description;
  }

  @Override
  public double[] read() throws IOException {
    double[] values = new double[description.channels().size()];
    for (int i = 0; i < values.length; i++) {
      ChannelSource source = description.channels().get(i);
      values[i] = client.number(source.query()) * source.scale();
    }
    return values;
  }

  @Override
  public void load(boolean on) throws IOException {
    client.command(on ? description.loadOn() : description.loadOff());
  }

  @Override
  public void close() throws IOException {
    client.close();
  }
}

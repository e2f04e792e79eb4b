package org.wiseember.bench.connect;

import java.io.IOException;
import java.util.List;
import org.wiseember.bench.instrument.ChannelSource;
import org.wiseember.bench.instrument.InstrumentDescription;

/** Reads an instrument by the SCPI queries of its description. */
final class ScpiDriver implements Driver {
  private final ScpiClient client;
  private final InstrumentDescription description;
  private final InStep step;

  ScpiDriver(ScpiClient client, InstrumentDescription description, InStep step) {
    this.client = client;
    this.description = description;
    this.step = step;
  }

  @Override
  public double[] read() throws IOException {
    double[] values = new double[description.channels().size()];
    for (int i = 0; i < values.length; i++) {
      ChannelSource source = description.channels().get(i);
      step.ask();
      values[i] = client.number(source.query()) * source.scale();
    }
    step.read();
    return values;
  }

  @Override
  public void send(List<String> commands) throws IOException {
    for (String line : commands) {
      client.command(line);
    }
  }

  @Override
  public boolean loadIsOn() throws IOException {
    step.ask();
    return client.isOn(description.load().orElseThrow().state());
  }

  @Override
  public void close() throws IOException {
    client.close();
  }
}

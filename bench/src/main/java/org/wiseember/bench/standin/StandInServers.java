package org.wiseember.bench.standin;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * All servers of one stand-in bench. Each SCPI instrument has a port of its own, one after the
 * other from the first: AC meter, DC meter, DC load, DC source, scope, thermometer.
 */
public final class StandInServers implements AutoCloseable {
  private final Map<String, ScpiServer> scpi = new LinkedHashMap<>();
  private final List<ModbusServer> modbus = new ArrayList<>();

  /**
   * Starts them.
   *
   * @param scpiPort first of six; 0 for any free ones, below 0 for none
   * @param modbusPort below 0 for none
   * @throws IOException in one sentence when a port is taken
   */
  public StandInServers(StandInBench bench, int scpiPort, int modbusPort) throws IOException {
    StandIns on = new StandIns(bench);
    bench.with(
        u -> {
          u.port(true);
          return u;
        });
    Map<String, ScpiInstrument> instruments = new LinkedHashMap<>();
    instruments.put("AC meter", on.acMeter());
    instruments.put("DC meter", on.dcMeter());
    instruments.put("DC load", on.dcLoad());
    instruments.put("DC source", on.dcSource());
    instruments.put("Scope", on.scope());
    instruments.put("Thermometer", on.thermometer());
    int next = scpiPort;
    try {
      for (Map.Entry<String, ScpiInstrument> entry : instruments.entrySet()) {
        if (scpiPort >= 0) {
          scpi.put(entry.getKey(), new ScpiServer(entry.getValue(), next));
          next += scpiPort == 0 ? 0 : 1;
        }
      }
      if (modbusPort >= 0) {
        modbus.add(new ModbusServer(on, modbusPort));
      }
    } catch (java.net.BindException e) {
      close();
      throw new PortTaken(next, "--scpi-port", e);
    } catch (IOException e) {
      close();
      throw e;
    }
  }

  /** Port of each SCPI instrument by its name, in order. */
  public Map<String, Integer> ports() {
    Map<String, Integer> ports = new LinkedHashMap<>();
    scpi.forEach((name, server) -> ports.put(name, server.port()));
    return ports;
  }

  @Override
  public void close() throws IOException {
    for (ScpiServer server : scpi.values()) {
      server.close();
    }
    modbus.forEach(ModbusServer::close);
  }
}

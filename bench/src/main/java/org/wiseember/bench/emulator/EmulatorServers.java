package org.wiseember.bench.emulator;

import java.io.IOException;
import java.net.BindException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * All servers of one stand-in bench. Each SCPI instrument has a port of its own, one after the
 * other from the first: AC meter, DC meter, DC load, DC source, scope, thermometer.
 */
public final class EmulatorServers implements AutoCloseable {
  private final Map<String, ScpiServer> scpi = new LinkedHashMap<>();
  private final Deque<AutoCloseable> open = new ArrayDeque<>();
  private int modbusPort = -1;

  /**
   * Where they are wanted.
   *
   * @param scpi first of six ports; 0 for any free ones, below 0 for none
   * @param modbus 0 for any free one, below 0 for none
   * @param control the unit's buttons; 0 for any free one, below 0 for none
   * @param line serial port of the Modbus meters; empty for none
   * @param baud of the line
   */
  public record Ports(int scpi, int modbus, int control, Optional<String> line, int baud) {
    /** Instruments alone. */
    public static Ports of(int scpi, int modbus) {
      return new Ports(scpi, modbus, -1, Optional.empty(), 9600);
    }
  }

  /** Opens a server on a port. */
  private interface Opening {
    AutoCloseable at(int port) throws IOException;
  }

  /** Starts instruments alone, see {@link Ports#of}. */
  public EmulatorServers(EmulatedBench bench, int scpiPort, int modbusPort) throws IOException {
    this(bench, Ports.of(scpiPort, modbusPort));
  }

  /**
   * Starts them. The 12 V port is on, and eco mode is off: over the wire nobody could wake the unit
   * without its buttons.
   *
   * @throws IOException in one sentence when a port is taken
   */
  public EmulatorServers(EmulatedBench bench, Ports ports) throws IOException {
    Emulators on = new Emulators(bench);
    bench.with(
        u -> {
          u.port(true);
          u.eco(false);
          return u;
        });
    Map<String, ScpiInstrument> instruments = new LinkedHashMap<>();
    instruments.put("AC meter", on.acMeter());
    instruments.put("DC meter", on.dcMeter());
    instruments.put("DC load", on.dcLoad());
    instruments.put("DC source", on.dcSource());
    instruments.put("Scope", on.scope());
    instruments.put("Thermometer", on.thermometer());
    boolean done = false;
    try {
      int next = ports.scpi();
      for (Map.Entry<String, ScpiInstrument> entry : instruments.entrySet()) {
        if (ports.scpi() >= 0) {
          scpi(entry.getKey(), entry.getValue(), next, "--scpi-port");
          next += ports.scpi() == 0 ? 0 : 1;
        }
      }
      if (ports.control() >= 0) {
        scpi("Unit", on.buttons(), ports.control(), "--control-port");
      }
      ModbusUnits units = new ModbusUnits(on);
      if (ports.modbus() >= 0) {
        open(
            ports.modbus(),
            "--modbus-port",
            port -> {
              ModbusServer server = new ModbusServer(units, port);
              modbusPort = server.port();
              return server;
            });
      }
      if (ports.line().isPresent()) {
        open.push(new ModbusLine(units, ports.line().get(), ports.baud()));
      }
      done = true;
    } finally {
      if (!done) {
        close();
      }
    }
  }

  private void scpi(String name, ScpiInstrument instrument, int port, String option)
      throws IOException {
    open(
        port,
        option,
        at -> {
          ScpiServer server = new ScpiServer(instrument, at);
          scpi.put(name, server);
          return server;
        });
  }

  private void open(int port, String option, Opening opening) throws IOException {
    try {
      open.push(opening.at(port));
    } catch (BindException e) {
      throw new PortTaken(port, option, e);
    }
  }

  /** Port of the Modbus meters; below 0 for none. */
  public int modbusPort() {
    return modbusPort;
  }

  /** Port of each SCPI instrument by its name, in order; last the unit's buttons. */
  public Map<String, Integer> ports() {
    Map<String, Integer> ports = new LinkedHashMap<>();
    scpi.forEach((name, server) -> ports.put(name, server.port()));
    return ports;
  }

  @Override
  public void close() throws IOException {
    while (!open.isEmpty()) {
      try {
        open.pop().close();
      } catch (IOException e) {
        throw e;
      } catch (Exception e) {
        throw new IOException("a stand-in cannot be ended", e);
      }
    }
  }
}

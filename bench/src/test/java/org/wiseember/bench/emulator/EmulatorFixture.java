package org.wiseember.bench.emulator;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicLong;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;

/** Stand-in servers on free ports, with a clock the test moves. */
public final class EmulatorFixture implements AutoCloseable {
  private final AtomicLong nanos = new AtomicLong();
  private final SimulatedUnit unit =
      new SimulatedUnit(
          UnitDesign.typical(Chemistry.LFP, 1000, 1000, 230, 1), Heater.of(600, 230), 1, 22);
  private final EmulatorServers servers;

  public EmulatorFixture(boolean modbus) throws IOException {
    servers = new EmulatorServers(new EmulatedBench(unit, 1, nanos::get, 7), 0, modbus ? 0 : -1);
  }

  public SimulatedUnit unit() {
    return unit;
  }

  public int port(String instrument) {
    return servers.ports().get(instrument);
  }

  public int modbusPort() {
    return servers.modbusPort();
  }

  public void pass(double seconds) {
    nanos.addAndGet((long) (seconds * 1e9));
  }

  /** One connection that sends lines and reads them. */
  public static final class Client implements AutoCloseable {
    private final Socket socket;
    private final BufferedReader in;

    public Client(int port) throws IOException {
      socket = new Socket(InetAddress.getLoopbackAddress(), port);
      socket.setSoTimeout(5000);
      in =
          new BufferedReader(
              new InputStreamReader(socket.getInputStream(), StandardCharsets.ISO_8859_1));
    }

    public void send(String line) throws IOException {
      socket.getOutputStream().write((line + "\n").getBytes(StandardCharsets.US_ASCII));
      socket.getOutputStream().flush();
    }

    public String ask(String line) throws IOException {
      send(line);
      return in.readLine();
    }

    @Override
    public void close() throws IOException {
      socket.close();
    }
  }

  @Override
  public void close() throws IOException {
    servers.close();
  }
}

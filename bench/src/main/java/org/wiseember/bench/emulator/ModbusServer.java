package org.wiseember.bench.emulator;

import com.ghgande.j2mod.modbus.ModbusIOException;
import com.ghgande.j2mod.modbus.io.ModbusTCPTransport;
import com.ghgande.j2mod.modbus.msg.ModbusRequest;
import com.ghgande.j2mod.modbus.msg.ModbusResponse;
import java.io.IOException;
import java.util.Optional;

/** Serves the meters over Modbus/TCP on a loopback port. */
final class ModbusServer implements AutoCloseable {
  private static final int MOST_CLIENTS = 8;

  private final ModbusUnits units;
  private final LoopbackServer server;

  /**
   * Starts listening.
   *
   * @param port 0 for any free one
   */
  ModbusServer(ModbusUnits units, int port) throws IOException {
    this.units = units;
    this.server = new LoopbackServer("modbus", port, MOST_CLIENTS, this::talk);
  }

  int port() {
    return server.port();
  }

  private void talk(LoopbackServer.Client client) throws IOException {
    ModbusTCPTransport transport = new ModbusTCPTransport(client.socket());
    try {
      while (!client.socket().isClosed()) {
        ModbusRequest request = transport.readRequest(units);
        client.heard();
        Optional<ModbusResponse> answer = units.answer(request);
        if (answer.isPresent()) {
          transport.writeResponse(answer.get());
        }
      }
    } catch (ModbusIOException | RuntimeException gone) {
      // It closed the connection, or sent what is no Modbus: then it is closed from here.
      transport.close();
    }
  }

  @Override
  public void close() throws IOException {
    server.close();
  }
}

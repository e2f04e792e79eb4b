package org.wiseember.bench.emulator;

import com.ghgande.j2mod.modbus.ModbusIOException;
import com.ghgande.j2mod.modbus.io.AbstractModbusTransport;
import com.ghgande.j2mod.modbus.msg.ModbusRequest;
import com.ghgande.j2mod.modbus.msg.ModbusResponse;
import com.ghgande.j2mod.modbus.net.SerialConnection;
import com.ghgande.j2mod.modbus.util.SerialParameters;
import java.io.IOException;
import java.util.Optional;

/** Serves the meters over Modbus RTU on a serial port or a pseudo-terminal. */
final class ModbusLine implements AutoCloseable {
  private static final long LONGEST_WAIT = 2000;

  private final ModbusUnits units;
  private final SerialConnection line;
  private final AbstractModbusTransport transport;
  private final Thread listening;
  private volatile boolean closed;

  /**
   * Opens the port and listens.
   *
   * @param port its name or path
   * @throws IOException in one sentence where it cannot be opened
   */
  ModbusLine(ModbusUnits units, String port, int baud) throws IOException {
    this.units = units;
    SerialParameters parameters = new SerialParameters();
    parameters.setPortName(port);
    parameters.setBaudRate(baud);
    parameters.setEncoding("rtu");
    this.line = new SerialConnection(parameters);
    try {
      line.open();
    } catch (IOException | RuntimeException e) {
      throw new PortTaken(
          "The serial port " + port + " cannot be opened. Check its name, or free it.", e);
    }
    this.transport = line.getModbusTransport();
    this.listening = new Thread(this::listen, "modbus line");
    listening.setDaemon(true);
    listening.start();
  }

  private void listen() {
    while (!closed) {
      try {
        ModbusRequest request = transport.readRequest(units);
        Optional<ModbusResponse> answer =
            request == null ? Optional.empty() : units.answer(request);
        if (answer.isPresent()) {
          transport.writeResponse(answer.get());
        }
      } catch (ModbusIOException | RuntimeException noise) {
        // Nothing came, or it was no whole message: the next one may be.
      }
    }
  }

  @Override
  public void close() {
    closed = true;
    line.close();
    try {
      listening.join(LONGEST_WAIT);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}

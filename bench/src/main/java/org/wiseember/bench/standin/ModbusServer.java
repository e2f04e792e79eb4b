package org.wiseember.bench.standin;

import com.ghgande.j2mod.modbus.ModbusException;
import com.ghgande.j2mod.modbus.slave.ModbusSlave;
import com.ghgande.j2mod.modbus.slave.ModbusSlaveFactory;
import java.io.IOException;
import java.net.InetAddress;
import java.util.List;
import java.util.function.DoubleSupplier;

/** Serves the meters as Modbus units on a loopback port: 1 AC, 2 DC, 3 load, 4 source, 6 probes. */
final class ModbusServer implements AutoCloseable {
  private static final int THREADS = 8;

  private final ModbusSlave slave;

  ModbusServer(StandIns on, int port) throws IOException {
    try {
      slave =
          ModbusSlaveFactory.createTCPSlave(InetAddress.getLoopbackAddress(), port, THREADS, false);
      add(1, List.of(on::acWatts, on::acVolts, on::acAmps, on::acWattHours, on::hertz));
      add(2, List.of(on::dcVolts, on::dcAmps, () -> on.dcVolts() * on.dcAmps()));
      add(3, List.of(on::loadVolts, on::loadAmps, () -> on.loadVolts() * on.loadAmps()));
      add(4, List.of(on::sourceVolts, on::sourceAmps, () -> on.sourceVolts() * on.sourceAmps()));
      add(6, List.of(on::caseCelsius, on::roomCelsius));
      slave.open();
    } catch (ModbusException e) {
      throw new PortTaken(port, "--modbus-port", e);
    }
  }

  private void add(int unit, List<DoubleSupplier> values) {
    slave.addProcessImage(unit, new ModbusImage(unit, values));
  }

  @Override
  public void close() {
    ModbusSlaveFactory.close(slave);
  }
}

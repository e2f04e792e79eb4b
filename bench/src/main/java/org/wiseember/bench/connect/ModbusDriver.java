package org.wiseember.bench.connect;

import com.ghgande.j2mod.modbus.ModbusException;
import com.ghgande.j2mod.modbus.ModbusIOException;
import com.ghgande.j2mod.modbus.facade.AbstractModbusMaster;
import com.ghgande.j2mod.modbus.facade.ModbusSerialMaster;
import com.ghgande.j2mod.modbus.facade.ModbusTCPMaster;
import com.ghgande.j2mod.modbus.net.AbstractSerialConnection;
import com.ghgande.j2mod.modbus.procimg.InputRegister;
import com.ghgande.j2mod.modbus.util.SerialParameters;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.util.List;
import java.util.concurrent.locks.LockSupport;
import org.wiseember.bench.instrument.ChannelSource;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.Register;
import org.wiseember.bench.instrument.Transport;

/** Reads a device by the register map of its description. */
final class ModbusDriver implements Driver {
  private final AbstractModbusMaster master;
  private final InstrumentDescription description;

  private final InStep step;

  ModbusDriver(InstrumentDescription description, int timeoutMillis, boolean again)
      throws IOException {
    this.description = description;
    Address address = Address.of(description.address());
    if (description.transport() == Transport.MODBUS_TCP) {
      master = new ModbusTCPMaster(address.name(), address.number(), timeoutMillis, false);
    } else {
      SerialParameters port = new SerialParameters();
      port.setPortName(address.name());
      port.setBaudRate(address.number());
      port.setEncoding("rtu");
      master = new ModbusSerialMaster(port, timeoutMillis);
    }
    // One try: a repeat would hide that the device is slow, and the poller tries again anyway.
    master.setRetries(0);
    try {
      master.connect();
      // Over TCP answers bear the number of their question; on a serial line nothing tells them.
      step =
          master instanceof ModbusSerialMaster serial
              ? InStep.onceQuiet(millis -> heard(serial.getConnection(), millis), again)
              : InStep.fresh(millis -> false);
    } catch (IOException e) {
      master.disconnect();
      throw e;
    } catch (Exception e) {
      // The library declares no narrower type, and its words are its own.
      master.disconnect();
      throw new IOException("its line cannot be opened", e);
    }
  }

  private static boolean heard(AbstractSerialConnection line, int millis) {
    long end = System.nanoTime() + millis * 1_000_000L;
    while (line.bytesAvailable() <= 0 && System.nanoTime() < end) {
      LockSupport.parkNanos(5_000_000);
    }
    boolean heard = false;
    for (int n = line.bytesAvailable(); n > 0; n = line.bytesAvailable()) {
      heard |= line.readBytes(new byte[n], n) > 0;
    }
    return heard;
  }

  @Override
  public double[] read() throws IOException {
    double[] values = new double[description.channels().size()];
    for (int i = 0; i < values.length; i++) {
      ChannelSource source = description.channels().get(i);
      step.ask();
      values[i] = value(source.register().orElseThrow());
    }
    step.read();
    return values;
  }

  private double value(Register register) throws IOException {
    try {
      int count = register.type().words();
      InputRegister[] read =
          register.table() == Register.Table.INPUT
              ? master.readInputRegisters(description.modbusUnit(), register.address(), count)
              : master.readMultipleRegisters(description.modbusUnit(), register.address(), count);
      if (read == null || read.length != count) {
        throw new IOException("it sent too few registers");
      }
      int[] words = new int[count];
      for (int i = 0; i < count; i++) {
        words[i] = read[i].getValue() & 0xffff;
      }
      return register.value(words);
    } catch (ModbusIOException e) {
      throw new SocketTimeoutException("it does not answer");
    } catch (ModbusException e) {
      throw new IOException("it refuses register " + register.address(), e);
    }
  }

  @Override
  public void send(List<String> commands) throws IOException {
    throw new IOException("a Modbus meter switches no load");
  }

  @Override
  public boolean loadIsOn() throws IOException {
    throw new IOException("a Modbus meter switches no load");
  }

  @Override
  public void close() {
    master.disconnect();
  }
}

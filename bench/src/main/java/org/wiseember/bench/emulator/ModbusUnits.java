package org.wiseember.bench.emulator;

import com.ghgande.j2mod.modbus.Modbus;
import com.ghgande.j2mod.modbus.msg.ModbusRequest;
import com.ghgande.j2mod.modbus.msg.ModbusResponse;
import com.ghgande.j2mod.modbus.msg.ReadInputRegistersRequest;
import com.ghgande.j2mod.modbus.msg.ReadInputRegistersResponse;
import com.ghgande.j2mod.modbus.msg.ReadMultipleRegistersRequest;
import com.ghgande.j2mod.modbus.msg.ReadMultipleRegistersResponse;
import com.ghgande.j2mod.modbus.net.AbstractModbusListener;
import com.ghgande.j2mod.modbus.procimg.ProcessImage;
import com.ghgande.j2mod.modbus.procimg.Register;
import com.ghgande.j2mod.modbus.procimg.SimpleProcessImage;
import com.ghgande.j2mod.modbus.procimg.SimpleRegister;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleSupplier;

/**
 * The meters as Modbus units: 1 AC, 2 DC, 3 load, 4 source, 6 probes. Values are read at the moment
 * they are asked for, as 32-bit floats, high word first, the same in input and holding registers;
 * all registers of one request are of one moment. Nothing can be written, and a unit that is not
 * there says nothing (Modbus application protocol 1.1b3 and over serial line 1.02, recalled from
 * memory).
 */
final class ModbusUnits extends AbstractModbusListener {
  private static final int MOST_WORDS = 125;

  private final Map<Integer, List<DoubleSupplier>> units;

  ModbusUnits(Emulators on) {
    units =
        Map.of(
            1,
            List.of(on::acWatts, on::acVolts, on::acAmps, on::acWattHours, on::hertz),
            2,
            List.of(on::dcVolts, on::dcAmps, () -> on.dcVolts() * on.dcAmps()),
            3,
            List.of(on::loadVolts, on::loadAmps, () -> on.loadVolts() * on.loadAmps()),
            4,
            List.of(on::sourceVolts, on::sourceAmps, () -> on.sourceVolts() * on.sourceAmps()),
            6,
            List.of(on::caseCelsius, on::roomCelsius));
  }

  /** The answer to a request; empty where nobody is asked who is there. */
  Optional<ModbusResponse> answer(ModbusRequest request) {
    List<DoubleSupplier> values = units.get(request.getUnitID());
    if (values == null) {
      return Optional.empty();
    }
    if (request instanceof ReadInputRegistersRequest r) {
      return Optional.of(read(r, values, r.getReference(), r.getWordCount(), true));
    }
    if (request instanceof ReadMultipleRegistersRequest r) {
      return Optional.of(read(r, values, r.getReference(), r.getWordCount(), false));
    }
    return Optional.of(refused(request, Modbus.ILLEGAL_FUNCTION_EXCEPTION));
  }

  private static ModbusResponse read(
      ModbusRequest request, List<DoubleSupplier> values, int first, int count, boolean input) {
    if (count < 1 || count > MOST_WORDS) {
      return refused(request, Modbus.ILLEGAL_VALUE_EXCEPTION);
    }
    if (first + count > 2 * values.size()) {
      return refused(request, Modbus.ILLEGAL_ADDRESS_EXCEPTION);
    }
    Register[] registers = new Register[count];
    int bits = 0;
    for (int i = 0; i < count; i++) {
      int at = first + i;
      if (i == 0 || at % 2 == 0) {
        bits = Float.floatToIntBits((float) values.get(at / 2).getAsDouble());
      }
      registers[i] = new SimpleRegister(at % 2 == 0 ? bits >>> 16 : bits & 0xffff);
    }
    ModbusResponse response =
        input
            ? new ReadInputRegistersResponse(registers)
            : new ReadMultipleRegistersResponse(registers);
    return headed(response, request);
  }

  private static ModbusResponse refused(ModbusRequest request, int exception) {
    return headed(request.createExceptionResponse(exception), request);
  }

  private static ModbusResponse headed(ModbusResponse response, ModbusRequest request) {
    response.setTransactionID(request.getTransactionID());
    response.setProtocolID(request.getProtocolID());
    response.setUnitID(request.getUnitID());
    response.setHeadless(request.isHeadless());
    return response;
  }

  /** A serial line is asked by this whether a unit is there before its message is read. */
  @Override
  public ProcessImage getProcessImage(int unit) {
    return units.containsKey(unit) ? new SimpleProcessImage(unit) : null;
  }

  @Override
  public void run() {
    // Who listens is the server or the line.
  }

  @Override
  public void stop() {
    // As above.
  }
}

package org.wiseember.bench.standin;

import com.ghgande.j2mod.modbus.procimg.IllegalAddressException;
import com.ghgande.j2mod.modbus.procimg.InputRegister;
import com.ghgande.j2mod.modbus.procimg.Register;
import com.ghgande.j2mod.modbus.procimg.SimpleProcessImage;
import com.ghgande.j2mod.modbus.procimg.SimpleRegister;
import java.util.List;
import java.util.function.DoubleSupplier;

/**
 * Registers of a device whose values are read at the moment they are asked for: 32-bit floats, high
 * word first, the same in input and holding registers. All registers of one request are of one
 * moment.
 */
final class ModbusImage extends SimpleProcessImage {
  private final List<DoubleSupplier> values;

  ModbusImage(int unit, List<DoubleSupplier> values) {
    super(unit);
    this.values = List.copyOf(values);
  }

  private Register[] range(int first, int count) {
    if (first < 0 || count < 1 || first + count > 2 * values.size()) {
      throw new IllegalAddressException();
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
    return registers;
  }

  @Override
  public synchronized InputRegister[] getInputRegisterRange(int offset, int count) {
    return range(offset, count);
  }

  @Override
  public synchronized Register[] getRegisterRange(int offset, int count) {
    return range(offset, count);
  }

  @Override
  public synchronized InputRegister getInputRegister(int ref) {
    return range(ref, 1)[0];
  }

  @Override
  public synchronized Register getRegister(int ref) {
    // Writing comes here too: these meters take nothing.
    throw new IllegalAddressException();
  }
}

package org.wiseember.bench.instrument;

import java.util.Arrays;
import java.util.Optional;

/** How readings of an instrument come in. */
public enum Transport {
  TYPED("typed", "Typed by hand", ""),
  SCPI_TCP("scpi-tcp", "SCPI over the network", "host:port"),
  SCPI_SERIAL("scpi-serial", "SCPI over a serial port", "port:baud"),
  MODBUS_TCP("modbus-tcp", "Modbus over the network", "host:port"),
  MODBUS_RTU("modbus-rtu", "Modbus over a serial port", "port:baud"),
  CSV("csv", "CSV file, imported afterwards", "");

  private final String key;
  private final String words;
  private final String addressForm;

  Transport(String key, String words, String addressForm) {
    this.key = key;
    this.words = words;
    this.addressForm = addressForm;
  }

  /** As it stands in a description file. */
  public String key() {
    return key;
  }

  public String words() {
    return words;
  }

  /** What its address looks like; empty where it has none. */
  public String addressForm() {
    return addressForm;
  }

  /** Whether the program asks it by itself. */
  public boolean asked() {
    return !addressForm.isEmpty();
  }

  public boolean modbus() {
    return this == MODBUS_TCP || this == MODBUS_RTU;
  }

  public static Optional<Transport> byKey(String key) {
    return Arrays.stream(values()).filter(w -> w.key.equals(key)).findFirst();
  }
}

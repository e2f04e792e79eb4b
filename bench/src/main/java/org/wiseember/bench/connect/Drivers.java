package org.wiseember.bench.connect;

import java.io.IOException;
import java.net.ConnectException;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import org.wiseember.bench.instrument.InstrumentDescription;

/** Opens the driver a description asks for. */
final class Drivers {
  /** For connecting and for every answer, ms. */
  static final int TIMEOUT_MILLIS = 1500;

  private Drivers() {}

  static Driver open(InstrumentDescription description) throws IOException {
    return switch (description.transport()) {
      case SCPI_TCP ->
          new ScpiDriver(ScpiClient.tcp(description.address(), TIMEOUT_MILLIS), description);
      case SCPI_SERIAL ->
          new ScpiDriver(ScpiClient.serial(description.address(), TIMEOUT_MILLIS), description);
      case MODBUS_TCP, MODBUS_RTU -> new ModbusDriver(description, TIMEOUT_MILLIS);
      case TYPED, CSV -> throw new IOException("there is nothing to ask");
    };
  }

  /** What went wrong, in a few words without a stop. */
  static String words(Exception e) {
    if (e instanceof SocketTimeoutException) {
      return "it does not answer";
    }
    if (e instanceof ConnectException) {
      return "nothing listens at its address";
    }
    if (e instanceof UnknownHostException) {
      return "its host is not known";
    }
    String said = e.getMessage();
    return said == null || said.isBlank() ? "the connection broke" : said;
  }
}

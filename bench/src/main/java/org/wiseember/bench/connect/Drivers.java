package org.wiseember.bench.connect;

import java.io.IOException;
import java.net.ConnectException;
import java.net.SocketException;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.Transport;

/** Opens the driver a description asks for. */
final class Drivers {
  /** For connecting and for every answer, ms. */
  static final int TIMEOUT_MILLIS = 1500;

  private Drivers() {}

  /**
   * Opens one.
   *
   * @param again whether an answer was given up on it just before
   */
  static Driver open(InstrumentDescription description, boolean again) throws IOException {
    return switch (description.transport()) {
      case SCPI_TCP, SCPI_SERIAL -> scpi(description, again);
      case MODBUS_TCP, MODBUS_RTU -> new ModbusDriver(description, TIMEOUT_MILLIS, again);
      case TYPED, CSV -> throw new IOException("there is nothing to ask");
    };
  }

  private static Driver scpi(InstrumentDescription description, boolean again) throws IOException {
    ScpiClient client = ScpiClient.of(description, TIMEOUT_MILLIS);
    boolean inStep = false;
    try {
      boolean fresh = description.transport() == Transport.SCPI_TCP && !again;
      InStep step = fresh ? InStep.fresh(client::heard) : InStep.onceQuiet(client::heard, again);
      inStep = true;
      return new ScpiDriver(client, description, step);
    } finally {
      if (!inStep) {
        client.close();
      }
    }
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
    if (e instanceof SocketException || e instanceof RuntimeException) {
      return "the connection broke";
    }
    String said = e.getMessage();
    return said == null || said.isBlank() ? "the connection broke" : said;
  }
}

package org.wiseember.bench.connect;

import com.fazecast.jSerialComm.SerialPort;
import com.fazecast.jSerialComm.SerialPortInvalidPortException;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;

/** A serial port, 8 data bits, no parity, one stop bit. */
final class SerialLink implements Link {
  private static final int SLICE_MILLIS = 50;

  private final SerialPort port;
  private final int timeoutMillis;
  private final byte[] buffer = new byte[4096];
  private int at;
  private int filled;
  private long deadline;

  SerialLink(String name, int baud, int timeoutMillis) throws IOException {
    this.timeoutMillis = timeoutMillis;
    try {
      port = SerialPort.getCommPort(name);
    } catch (SerialPortInvalidPortException e) {
      throw new IOException("there is no serial port " + name, e);
    }
    port.setComPortParameters(baud, 8, SerialPort.ONE_STOP_BIT, SerialPort.NO_PARITY);
    port.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, SLICE_MILLIS, 0);
    if (!port.openPort()) {
      throw new IOException("serial port " + name + " cannot be opened");
    }
    startDeadline();
  }

  @Override
  public void send(String line) throws IOException {
    byte[] bytes = (line + "\n").getBytes(StandardCharsets.US_ASCII);
    if (port.writeBytes(bytes, bytes.length) != bytes.length) {
      throw new IOException("the serial port took nothing");
    }
  }

  @Override
  public int readByte() throws IOException {
    while (at == filled) {
      if (System.nanoTime() > deadline) {
        throw new SocketTimeoutException("no whole answer in time");
      }
      filled = take();
      at = 0;
    }
    return buffer[at++] & 0xff;
  }

  @Override
  public boolean heard(int millis) throws IOException {
    boolean heard = at < filled;
    long end = System.nanoTime() + millis * 1_000_000L;
    do {
      at = 0;
      filled = Math.max(0, port.bytesAvailable() > 0 || millis > 0 ? take() : 0);
      heard |= filled > 0;
      filled = 0;
    } while (!heard && System.nanoTime() < end);
    return heard;
  }

  private int take() throws IOException {
    int n = port.readBytes(buffer, buffer.length);
    if (n < 0) {
      throw new IOException("the serial port is gone");
    }
    return n;
  }

  @Override
  public void startDeadline() {
    deadline = System.nanoTime() + timeoutMillis * 1_000_000L;
  }

  @Override
  public void close() {
    port.closePort();
  }
}

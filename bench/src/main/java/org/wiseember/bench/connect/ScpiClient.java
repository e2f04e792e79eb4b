package org.wiseember.bench.connect;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.Transport;

/**
 * Talks SCPI over a link (IEEE 488.2). After any failure the link is to be closed: an answer that
 * comes late must never be taken for the answer to the next question.
 */
public final class ScpiClient implements AutoCloseable {
  /** SCPI-99 says "infinity" with 9.9E37 and "no reading" with 9.91E37. */
  private static final double OVERLOAD = 9.9e37;

  /** A decimal number as IEEE 488.2, 8.7, lets instruments send it. */
  private static final Pattern NUMBER =
      Pattern.compile("[+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d{1,3})?");

  private final Link link;

  ScpiClient(Link link) {
    this.link = link;
  }

  /** Opens what a description asks for. */
  static ScpiClient of(InstrumentDescription description, int timeoutMillis) throws IOException {
    return description.transport() == Transport.SCPI_TCP
        ? tcp(description.address(), timeoutMillis)
        : serial(description.address(), timeoutMillis);
  }

  /**
   * Opens a connection over TCP.
   *
   * @param address {@code host:port}
   * @param timeoutMillis for connecting and for every answer
   */
  public static ScpiClient tcp(String address, int timeoutMillis) throws IOException {
    Address parts = Address.of(address);
    return new ScpiClient(
        new TcpLink(new java.net.InetSocketAddress(parts.name(), parts.number()), timeoutMillis));
  }

  /**
   * Opens a connection over a serial port.
   *
   * @param address {@code port:baud}
   */
  public static ScpiClient serial(String address, int timeoutMillis) throws IOException {
    Address parts = Address.of(address);
    return new ScpiClient(new SerialLink(parts.name(), parts.number(), timeoutMillis));
  }

  /** Whether anything comes in that nobody asked for; it is dropped. */
  boolean heard(int millis) throws IOException {
    return link.heard(millis);
  }

  /** Sends a command that is not answered. */
  public void command(String line) throws IOException {
    link.send(line);
  }

  /** Asks and reads one line. */
  public String query(String line) throws IOException {
    link.startDeadline();
    link.send(line);
    return readLine();
  }

  /**
   * Asks for a number.
   *
   * @return NaN where the instrument says it has none, or is overloaded
   * @throws IOException where the answer is no number
   */
  public double number(String line) throws IOException {
    String answer = query(line).strip();
    if (NUMBER.matcher(answer).matches()) {
      double value = Double.parseDouble(answer);
      return Math.abs(value) >= OVERLOAD ? Double.NaN : value;
    }
    throw new IOException("it answered “" + shortened(answer) + "” to " + line);
  }

  /**
   * Asks for a Boolean, which instruments answer as 1 or 0 (SCPI-99, 7.3, recalled from memory) and
   * some as ON or OFF.
   *
   * @throws IOException where the answer is neither
   */
  public boolean isOn(String line) throws IOException {
    String answer = query(line).strip();
    if (answer.equalsIgnoreCase("ON") || answer.equalsIgnoreCase("OFF")) {
      return answer.equalsIgnoreCase("ON");
    }
    if (NUMBER.matcher(answer).matches()) {
      return Double.parseDouble(answer) != 0;
    }
    throw new IOException("it answered “" + shortened(answer) + "” to " + line);
  }

  /**
   * Asks for a definite-length block, {@code #<digits><length><bytes>} (IEEE 488.2, 8.7.9).
   *
   * @throws IOException where it is none, or larger than 64 MiB
   */
  public byte[] block(String line) throws IOException {
    link.startDeadline();
    link.send(line);
    if (link.readByte() != '#') {
      throw new IOException("the answer to " + line + " is no block");
    }
    int digits = link.readByte() - '0';
    if (digits < 1 || digits > 9) {
      throw new IOException("the block has no length");
    }
    int length = 0;
    for (int i = 0; i < digits; i++) {
      int digit = link.readByte() - '0';
      if (digit < 0 || digit > 9 || length > Link.LARGEST_BLOCK) {
        throw new IOException("the block's length is no number");
      }
      length = length * 10 + digit;
    }
    if (length > Link.LARGEST_BLOCK) {
      throw new IOException("the block is larger than 64 MiB");
    }
    byte[] bytes = new byte[length];
    for (int i = 0; i < length; i++) {
      bytes[i] = (byte) link.readByte();
    }
    readLine();
    return bytes;
  }

  private String readLine() throws IOException {
    StringBuilder line = new StringBuilder();
    for (int b = link.readByte(); b != '\n'; b = link.readByte()) {
      if (line.length() >= Link.LONGEST_LINE) {
        throw new IOException("it sent a line without end");
      }
      line.append((char) b);
    }
    int end = line.length();
    if (end > 0 && line.charAt(end - 1) == '\r') {
      line.setLength(end - 1);
    }
    return new String(
        line.toString().getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.US_ASCII);
  }

  private static String shortened(String answer) {
    String printable = answer.replaceAll("[^\\x20-\\x7e]", "?");
    return printable.length() > 24 ? printable.substring(0, 24) + "…" : printable;
  }

  @Override
  public void close() throws IOException {
    link.close();
  }
}

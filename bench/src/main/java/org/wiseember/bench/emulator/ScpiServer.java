package org.wiseember.bench.emulator;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/** Serves one instrument on a loopback port; several clients may be connected. */
final class ScpiServer implements AutoCloseable {
  private static final int LONGEST_MESSAGE = 65_536;
  private static final int MOST_CLIENTS = 16;

  private final ScpiInstrument instrument;
  private final LoopbackServer server;

  /**
   * Starts listening.
   *
   * @param port 0 for any free one
   */
  ScpiServer(ScpiInstrument instrument, int port) throws IOException {
    this.instrument = instrument;
    this.server = new LoopbackServer("scpi", port, MOST_CLIENTS, this::talk);
  }

  int port() {
    return server.port();
  }

  /** A line feed ends a message, or a carriage return; of both the second ends an empty one. */
  private void talk(LoopbackServer.Client client) throws IOException {
    InputStream in = new BufferedInputStream(client.socket().getInputStream());
    OutputStream out = new BufferedOutputStream(client.socket().getOutputStream(), 1 << 16);
    StringBuilder message = new StringBuilder();
    boolean overrun = false;
    for (int b = in.read(); b >= 0; b = in.read()) {
      if (b != '\n' && b != '\r') {
        overrun |= message.length() >= LONGEST_MESSAGE;
        if (!overrun) {
          message.append((char) b);
        }
        continue;
      }
      client.heard();
      if (overrun) {
        instrument.raise(ScpiError.inputOverrun());
      } else {
        answer(text(message), out);
      }
      message.setLength(0);
      overrun = false;
    }
  }

  private void answer(String message, OutputStream out) throws IOException {
    byte[] answer = instrument.message(message);
    if (answer.length > 0) {
      out.write(answer);
      out.write('\n');
      out.flush();
    }
  }

  private static String text(StringBuilder message) {
    return new String(
        message.toString().getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.US_ASCII);
  }

  @Override
  public void close() throws IOException {
    server.close();
  }
}

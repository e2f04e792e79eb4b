package org.wiseember.bench.standin;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Serves one instrument on a loopback port; several clients may be connected. */
final class ScpiServer implements AutoCloseable {
  private static final int LONGEST_MESSAGE = 65_536;
  private static final int MOST_CLIENTS = 16;
  private static final long LONGEST_WAIT = 2000;

  private final ServerSocket server;
  private final ScpiInstrument instrument;
  private final Thread accepting;
  private final Set<Socket> clients = ConcurrentHashMap.newKeySet();

  /**
   * Starts listening.
   *
   * @param port 0 for any free one
   */
  ScpiServer(ScpiInstrument instrument, int port) throws IOException {
    this.instrument = instrument;
    this.server = new ServerSocket();
    server.setReuseAddress(true);
    server.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
    accepting = start("scpi " + port(), this::accept);
  }

  int port() {
    return server.getLocalPort();
  }

  private static Thread start(String name, Runnable run) {
    Thread thread = new Thread(run, name);
    thread.setDaemon(true);
    thread.start();
    return thread;
  }

  private void accept() {
    while (!server.isClosed()) {
      try {
        Socket client = server.accept();
        if (clients.size() >= MOST_CLIENTS) {
          client.close();
          continue;
        }
        client.setTcpNoDelay(true);
        clients.add(client);
        start("scpi client", () -> serve(client));
      } catch (IOException closed) {
        // The loop looks whether the server is closed.
      }
    }
  }

  private void serve(Socket client) {
    try (client;
        InputStream in = new BufferedInputStream(client.getInputStream());
        OutputStream out = new BufferedOutputStream(client.getOutputStream(), 1 << 16)) {
      StringBuilder message = new StringBuilder();
      boolean overrun = false;
      for (int b = in.read(); b >= 0; b = in.read()) {
        if (b != '\n') {
          overrun |= message.length() >= LONGEST_MESSAGE;
          if (!overrun) {
            message.append((char) b);
          }
          continue;
        }
        if (overrun) {
          instrument.raise(ScpiError.inputOverrun());
        } else {
          byte[] answer = instrument.message(text(message));
          if (answer.length > 0) {
            out.write(answer);
            out.write('\n');
            out.flush();
          }
        }
        message.setLength(0);
        overrun = false;
      }
    } catch (IOException gone) {
      // The client went away; there is nobody to tell.
    } finally {
      clients.remove(client);
    }
  }

  private static String text(StringBuilder message) {
    int end = message.length();
    if (end > 0 && message.charAt(end - 1) == '\r') {
      message.setLength(end - 1);
    }
    return new String(
        message.toString().getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.US_ASCII);
  }

  @Override
  public void close() throws IOException {
    server.close();
    for (Socket client : clients) {
      client.close();
    }
    try {
      // The system gives the port back when nobody waits on it any more.
      accepting.join(LONGEST_WAIT);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}

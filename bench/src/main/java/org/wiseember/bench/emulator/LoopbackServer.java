package org.wiseember.bench.emulator;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Comparator;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Listens on a loopback port and serves each client in a thread of its own. Where there are as many
 * as it takes, the one that has been silent longest makes room: whoever only holds a connection
 * locks nobody out.
 */
final class LoopbackServer implements AutoCloseable {
  private static final long LONGEST_WAIT = 2000;

  /** Talks with one client until it goes. */
  interface Talk {
    void with(Client client) throws IOException;
  }

  /** One that is connected. */
  static final class Client implements AutoCloseable {
    private final Socket socket;
    private volatile long heard = System.nanoTime();

    private Client(Socket socket) {
      this.socket = socket;
    }

    Socket socket() {
      return socket;
    }

    /** It said something. */
    void heard() {
      heard = System.nanoTime();
    }

    @Override
    public void close() throws IOException {
      socket.close();
    }
  }

  private final String name;
  private final int most;
  private final Talk talk;
  private final ServerSocket server;
  private final Thread accepting;
  private final Set<Client> clients = ConcurrentHashMap.newKeySet();

  /**
   * Starts listening.
   *
   * @param port 0 for any free one
   * @param most clients at once
   */
  LoopbackServer(String name, int port, int most, Talk talk) throws IOException {
    this.name = name;
    this.most = most;
    this.talk = talk;
    this.server = new ServerSocket();
    server.setReuseAddress(true);
    server.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
    accepting = start(name + " " + port(), this::accept);
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
        Client client = new Client(server.accept());
        client.socket().setTcpNoDelay(true);
        makeRoom();
        clients.add(client);
        start(name + " client", () -> serve(client));
      } catch (IOException closed) {
        // The loop looks whether the server is closed.
      }
    }
  }

  private void makeRoom() throws IOException {
    while (clients.size() >= most) {
      Client silent =
          clients.stream().min(Comparator.comparingLong((Client c) -> c.heard)).orElseThrow();
      clients.remove(silent);
      silent.socket().close();
    }
  }

  private void serve(Client client) {
    try (client) {
      talk.with(client);
    } catch (IOException gone) {
      // The client went away; there is nobody to tell.
    } finally {
      clients.remove(client);
    }
  }

  @Override
  public void close() throws IOException {
    server.close();
    for (Client client : clients) {
      client.socket().close();
    }
    try {
      // The system gives the port back when nobody waits on it any more.
      accepting.join(LONGEST_WAIT);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}

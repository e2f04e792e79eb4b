package org.wiseember.trial;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.util.SplittableRandom;

/**
 * A port a server can leave and take again. It lies below the range connections are given their own
 * ports from: there, one that tries again and again to reach a server that is away is in the end
 * given the server's port, and speaks to itself.
 */
final class FreePort {
  private static final int LOWEST = 20_000;
  private static final int HIGHEST = 32_000;
  private static final SplittableRandom DRAWN = new SplittableRandom();

  private FreePort() {}

  static synchronized int find() throws IOException {
    for (int attempt = 0; attempt < 100; attempt++) {
      int port = DRAWN.nextInt(LOWEST, HIGHEST);
      try (ServerSocket free = new ServerSocket(port, 1, InetAddress.getLoopbackAddress())) {
        return free.getLocalPort();
      } catch (IOException taken) {
        // Another is drawn.
      }
    }
    throw new IOException("no port between " + LOWEST + " and " + HIGHEST + " is free");
  }
}

package org.wiseember.bench.connect;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;

/** A TCP socket, as instruments offer at port 5025. */
final class TcpLink implements Link {
  private final Socket socket;
  private final InputStream in;
  private final int timeoutMillis;
  private long deadline;

  TcpLink(InetSocketAddress address, int timeoutMillis) throws IOException {
    this.timeoutMillis = timeoutMillis;
    this.socket = new Socket();
    try {
      socket.setTcpNoDelay(true);
      socket.connect(address, timeoutMillis);
      in = new BufferedInputStream(socket.getInputStream());
    } catch (IOException e) {
      socket.close();
      throw e;
    }
    startDeadline();
  }

  @Override
  public void send(String line) throws IOException {
    socket.getOutputStream().write((line + "\n").getBytes(StandardCharsets.US_ASCII));
    socket.getOutputStream().flush();
  }

  @Override
  public int readByte() throws IOException {
    if (in.available() == 0) {
      // The limit is on the whole answer: one that drips byte by byte must not go on for ever.
      long left = (deadline - System.nanoTime()) / 1_000_000;
      if (left <= 0) {
        throw new SocketTimeoutException("no whole answer in time");
      }
      socket.setSoTimeout((int) Math.min(left, timeoutMillis));
    }
    int b = in.read();
    if (b < 0) {
      throw new EOFException("the connection was closed");
    }
    return b;
  }

  @Override
  public boolean heard(int millis) throws IOException {
    if (in.available() == 0 && millis > 0) {
      socket.setSoTimeout(millis);
      try {
        if (in.read() < 0) {
          throw new EOFException("the connection was closed");
        }
        in.skipNBytes(in.available());
        return true;
      } catch (SocketTimeoutException quiet) {
        return false;
      }
    }
    boolean heard = in.available() > 0;
    in.skipNBytes(in.available());
    return heard;
  }

  @Override
  public void startDeadline() {
    deadline = System.nanoTime() + timeoutMillis * 1_000_000L;
  }

  @Override
  public void close() throws IOException {
    socket.close();
  }
}

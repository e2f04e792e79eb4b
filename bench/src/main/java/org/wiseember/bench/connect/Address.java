package org.wiseember.bench.connect;

import java.io.IOException;

/**
 * An address in two parts, {@code host:port} or {@code port:baud}.
 *
 * @param name host, or name of the serial port
 * @param number TCP port, or baud
 */
record Address(String name, int number) {
  static Address of(String text) throws IOException {
    int colon = text.lastIndexOf(':');
    try {
      int number = Integer.parseInt(text.substring(colon + 1).strip());
      if (colon > 0 && number > 0) {
        return new Address(text.substring(0, colon).strip(), number);
      }
    } catch (NumberFormatException notOne) {
      // Told below.
    }
    throw new IOException("the address “" + text + "” lacks its port or baud after a colon");
  }
}

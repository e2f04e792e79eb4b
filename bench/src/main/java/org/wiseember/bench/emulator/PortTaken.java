package org.wiseember.bench.emulator;

import java.io.IOException;

/** A port that stand-ins cannot listen on; the message is one sentence. */
public final class PortTaken extends IOException {
  private static final long serialVersionUID = 1L;

  PortTaken(int port, String option, Exception cause) {
    super("Port " + port + " is taken. Choose another with " + option + ".", cause);
  }

  PortTaken(String sentence, Exception cause) {
    super(sentence, cause);
  }
}

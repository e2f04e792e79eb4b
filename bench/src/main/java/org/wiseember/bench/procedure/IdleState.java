package org.wiseember.bench.procedure;

import org.wiseember.bench.instrument.Wanted;

/** What is switched on while a unit idles. */
public enum IdleState {
  ALL_ON("all outputs on", true, true, false),
  AC_ON("AC output on", true, false, false),
  DC_ON("DC output on", false, true, false),
  ECO("eco mode", true, false, true),
  ALL_OFF("all outputs off", false, false, false);

  private final String words;
  private final boolean acOutput;
  private final boolean dcPort;
  private final boolean eco;

  IdleState(String words, boolean acOutput, boolean dcPort, boolean eco) {
    this.words = words;
    this.acOutput = acOutput;
    this.dcPort = dcPort;
    this.eco = eco;
  }

  public String words() {
    return words;
  }

  Wanted wanted() {
    return Wanted.idle(acOutput, dcPort, eco);
  }
}

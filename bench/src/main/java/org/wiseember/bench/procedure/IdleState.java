package org.wiseember.bench.procedure;

import java.util.Arrays;
import java.util.Optional;
import org.wiseember.bench.instrument.SetPoints;

/** What is switched on while a unit idles. */
public enum IdleState {
  ALL_ON("all_on", "all outputs on", true, true, false),
  AC_ON("ac_on", "AC output on", true, false, false),
  DC_ON("dc_on", "DC output on", false, true, false),
  ECO("eco", "eco mode", true, false, true),
  ALL_OFF("all_off", "all outputs off", false, false, false);

  private final String key;
  private final String words;
  private final boolean acOutput;
  private final boolean dcPort;
  private final boolean eco;

  IdleState(String key, String words, boolean acOutput, boolean dcPort, boolean eco) {
    this.key = key;
    this.words = words;
    this.acOutput = acOutput;
    this.dcPort = dcPort;
    this.eco = eco;
  }

  /** As kept with a run. */
  public String key() {
    return key;
  }

  public static Optional<IdleState> byKey(String key) {
    return Arrays.stream(values()).filter(s -> s.key.equals(key)).findFirst();
  }

  public String words() {
    return words;
  }

  public SetPoints setPoints() {
    return SetPoints.idle(acOutput, dcPort, eco);
  }
}

package org.wiseember.trial;

import java.util.Arrays;
import java.util.Optional;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.simulated.Clamped;

/** The tests a bench can make of a unit. */
public enum TestKind {
  AC_DRAIN("AC drain", Drain.AC, Clamped.NOWHERE),
  DC_DRAIN("DC drain", Drain.DC, Clamped.PORT),
  LADDER("Efficiency", LoadLadder.KIND, Clamped.BATTERY),
  IDLE("Idle draw", IdleWatch.KIND, Clamped.BATTERY);

  private final String words;
  private final String key;
  private final Clamped clamped;

  TestKind(String words, String key, Clamped clamped) {
    this.words = words;
    this.key = key;
    this.clamped = clamped;
  }

  public String words() {
    return words;
  }

  /** As kept with a run. */
  public String key() {
    return key;
  }

  public boolean drains() {
    return this == AC_DRAIN || this == DC_DRAIN;
  }

  Clamped clamped() {
    return clamped;
  }

  /** The test with this key; empty for another kind of run. */
  public static Optional<TestKind> byKey(String key) {
    return Arrays.stream(values()).filter(k -> k.key.equals(key)).findFirst();
  }
}

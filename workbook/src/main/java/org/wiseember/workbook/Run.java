package org.wiseember.workbook;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.wiseember.core.trace.Channel;

/**
 * A test that was started.
 *
 * @param of the unit or other subject it is of
 * @param kind short stable name of the procedure
 * @param title as shown, {@code AC drain at 600 W}
 * @param ending why it ended, one sentence; empty while it runs
 * @param settings what it was run with
 * @param channels what was read, in the order of the samples
 */
public record Run(
    long id,
    RunOf of,
    String kind,
    String title,
    Instant startedAt,
    State state,
    String ending,
    RunSettings settings,
    List<Channel> channels) {
  /** By when they began; one that was read in later may have begun before. */
  public static final Comparator<Run> OLDEST_FIRST =
      Comparator.comparing(Run::startedAt).thenComparingLong(Run::id);

  /** The unit it is of; 0 where it is of another subject. */
  public long unitId() {
    return of.unitId();
  }

  /** Where a run stands. */
  public enum State {
    RUNNING,
    DONE,
    STOPPED,
    /** The program ended while it ran; what was read until then is there. */
    INTERRUPTED
  }
}

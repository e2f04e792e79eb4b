package org.wiseember.workbook;

import java.time.Instant;
import java.util.List;
import org.wiseember.core.trace.Channel;

/**
 * A test that was started.
 *
 * @param kind short stable name of the procedure
 * @param title as shown, {@code AC drain at 600 W}
 * @param ending why it ended, one sentence; empty while it runs
 * @param settings what it was run with
 * @param channels what was read, in the order of the samples
 */
public record Run(
    long id,
    long unitId,
    String kind,
    String title,
    Instant startedAt,
    State state,
    String ending,
    RunSettings settings,
    List<Channel> channels) {
  /** Where a run stands. */
  public enum State {
    RUNNING,
    DONE,
    STOPPED,
    /** The program ended while it ran; what was read until then is there. */
    INTERRUPTED
  }
}

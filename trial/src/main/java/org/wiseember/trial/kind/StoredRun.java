package org.wiseember.trial.kind;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.display.DisplayAudit;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.workbook.Found;
import org.wiseember.workbook.OnDemand;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.StoredCapture;

/**
 * A run as it is kept: which test it is, what it was made with, what the tester decided about it,
 * and what was read.
 *
 * @param readings corrected where the meters were, typed ones where nothing else read; nothing left
 *     out
 * @param remembered what was kept of its finding; empty where that was worked out just now
 */
public record StoredRun(
    TestType type,
    Run run,
    Treatment treatment,
    OnDemand<Trace> readings,
    List<StoredCapture> captures,
    Optional<Remembered> remembered) {
  public StoredRun {
    captures = List.copyOf(captures);
  }

  /**
   * A finding that was read back.
   *
   * @param row as the workbook keeps it: while that is the same, so is the finding
   * @param preview watts of the run in few points, for a small picture
   * @param displays what the unit's display showed against meters
   */
  public record Remembered(Found.Finding row, Series preview, DisplayAudit displays) {}

  /** The same with what was kept of its finding. */
  public StoredRun with(Remembered found) {
    return new StoredRun(type, run, treatment, readings, captures, Optional.of(found));
  }

  public Trace trace() {
    return readings.get();
  }

  /** The readings as they are treated. */
  public Trace treated() {
    return treatment.of(trace());
  }

  /** Whether readings and captures are at hand, so that a picture of them takes no time. */
  public boolean atHand() {
    return readings.atHand() && captures.stream().allMatch(StoredCapture::atHand);
  }

  /** Reads everything, which may take a while. */
  public void fetch() {
    readings.get();
    captures.forEach(StoredCapture::capture);
  }
}

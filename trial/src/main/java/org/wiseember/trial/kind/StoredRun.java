package org.wiseember.trial.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.display.DisplayAudit;
import org.wiseember.core.figure.Warning;
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
 * @param noticed what a reader of its figures has to know beside what its own test says
 */
public record StoredRun(
    TestType type,
    Run run,
    Treatment treatment,
    OnDemand<Trace> readings,
    List<StoredCapture> captures,
    Optional<Remembered> remembered,
    List<Warning> noticed) {
  public StoredRun {
    captures = List.copyOf(captures);
    noticed = List.copyOf(noticed);
  }

  /**
   * A finding that was read back.
   *
   * @param row as the workbook keeps it: while that is the same, so is the finding
   * @param preview watts of the run in few points, for a small picture
   * @param displays what the unit's display showed against meters
   */
  public record Remembered(Found.Finding row, Series preview, DisplayAudit displays) {}

  /** A run nothing was noticed about yet. */
  public StoredRun(
      TestType type,
      Run run,
      Treatment treatment,
      OnDemand<Trace> readings,
      List<StoredCapture> captures) {
    this(type, run, treatment, readings, captures, Optional.empty(), List.of());
  }

  /** The same with what was kept of its finding. */
  public StoredRun with(Remembered found, List<Warning> warned) {
    return new StoredRun(type, run, treatment, readings, captures, Optional.of(found), warned);
  }

  /** The same with other readings. */
  public StoredRun with(OnDemand<Trace> others) {
    return new StoredRun(type, run, treatment, others, captures, remembered, noticed);
  }

  /** The same with something more to know about it. */
  public StoredRun noticing(Warning warning) {
    List<Warning> more = new ArrayList<>(noticed);
    more.add(warning);
    return new StoredRun(type, run, treatment, readings, captures, remembered, more);
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

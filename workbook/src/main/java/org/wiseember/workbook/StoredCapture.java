package org.wiseember.workbook;

import java.util.Objects;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;

/**
 * A captured wave of a run. Its samples are many: they are read when somebody looks at them, and
 * once. Two are equal when they are the same capture of one workbook. Safe for several threads.
 */
public final class StoredCapture {
  private final long id;
  private final double seconds;
  private final CaptureNote note;
  private final OnDemand<Capture> capture;

  /** One that lies in a workbook. */
  StoredCapture(long id, double seconds, CaptureNote note, OnDemand<Capture> capture) {
    this.id = id;
    this.seconds = seconds;
    this.note = note;
    this.capture = capture;
  }

  /** One that is to be kept. */
  public StoredCapture(double seconds, CaptureNote note, Capture capture) {
    this(0, seconds, note, OnDemand.of(capture));
  }

  /** Its key in the workbook; 0 before it is kept. */
  public long id() {
    return id;
  }

  /** On the run's clock, at its start; NaN where nobody knows when it was taken. */
  public double seconds() {
    return seconds;
  }

  /** What it is of. */
  public CaptureNote note() {
    return note;
  }

  /** What it is called. */
  public String words() {
    return note.words();
  }

  /** Whether it shows the mains and not the unit. */
  public boolean mains() {
    return note.mains();
  }

  /** Of the load at the outlet, W, 0 for none; NaN where nobody said. */
  public double loadWatts() {
    return note.loadWatts();
  }

  /** Whether its samples were read, so that asking for them takes no time. */
  public boolean atHand() {
    return capture.atHand();
  }

  /**
   * Its samples.
   *
   * @throws WorkbookException when they are damaged
   */
  public Capture capture() {
    return capture.get();
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof StoredCapture that
        && id == that.id
        && Double.compare(seconds, that.seconds) == 0
        && note.equals(that.note);
  }

  @Override
  public int hashCode() {
    return Objects.hash(id, seconds, note);
  }

  @Override
  public String toString() {
    return words() + (Double.isNaN(seconds) ? "" : " at " + seconds + " s");
  }
}

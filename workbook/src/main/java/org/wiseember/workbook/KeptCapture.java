package org.wiseember.workbook;

import java.util.Objects;
import java.util.function.Supplier;
import org.wiseember.core.waveform.Capture;

/**
 * A captured wave of a run. Its samples are many: they are read when somebody looks at them, and
 * once. Two are equal when they are the same capture of one workbook. Safe for several threads.
 */
public final class KeptCapture {
  private final long id;
  private final double seconds;
  private final String words;
  private final Supplier<Capture> source;
  private Capture capture;

  /** One that lies in a workbook. */
  KeptCapture(long id, double seconds, String words, Supplier<Capture> source) {
    this.id = id;
    this.seconds = seconds;
    this.words = words;
    this.source = source;
  }

  /** One that is to be kept. */
  public KeptCapture(double seconds, String words, Capture capture) {
    this(0, seconds, words, () -> capture);
  }

  /** Its key in the workbook; 0 before it is kept. */
  public long id() {
    return id;
  }

  /** On the run's clock, at its start. */
  public double seconds() {
    return seconds;
  }

  /** What was captured. */
  public String words() {
    return words;
  }

  /** Whether its samples were read, so that asking for them takes no time. */
  public synchronized boolean atHand() {
    return capture != null;
  }

  /**
   * Its samples.
   *
   * @throws WorkbookException when they are damaged
   */
  public synchronized Capture capture() {
    if (capture == null) {
      capture = source.get();
    }
    return capture;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof KeptCapture that
        && id == that.id
        && Double.compare(seconds, that.seconds) == 0
        && words.equals(that.words);
  }

  @Override
  public int hashCode() {
    return Objects.hash(id, seconds, words);
  }

  @Override
  public String toString() {
    return words + " at " + seconds + " s";
  }
}

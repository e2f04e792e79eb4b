package org.wiseember.bench.run;

import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;

/** Keeps what a run reads. Called from the run's own thread only. */
public interface Recorder {
  /** Takes a frame; it may wait in memory until {@link #flush()}. */
  void append(Frame frame);

  /** Takes something noticed or marked. */
  void note(Notice notice);

  /**
   * Takes a captured wave.
   *
   * @param seconds on the bench clock, at its start
   * @param note what was captured
   */
  default void capture(double seconds, CaptureNote note, Capture capture) {}

  /**
   * Told before an instrument switches a load on, so that it is known to be on whatever happens to
   * the program. Has to be on disk when it returns.
   */
  default void switchingOn(InstrumentDescription instrument) {}

  /** Told once a load that was switched on is known to be off. */
  default void switchedOff(InstrumentDescription instrument) {}

  /**
   * Puts everything taken so far on disk.
   *
   * @return null when it is there, else one sentence on why it is not; what was taken stays in
   *     memory and goes with the next flush
   */
  String flush();

  /** Closes the run honestly. Called once, after the last frame. */
  void end(Phase phase, String ending);
}

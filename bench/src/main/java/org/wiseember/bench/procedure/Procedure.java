package org.wiseember.bench.procedure;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;

/** A test while it runs. Not safe for several threads. */
public interface Procedure {
  /** Short stable name, kept with the run: {@code ac-drain}. */
  String kind();

  Phase phase();

  /** What should hang on the unit until the next frame. */
  SetPoints setPoints();

  /**
   * What a person has to do before it goes on, where the loads do not obey; empty for nothing. On a
   * bench that obeys it is done already.
   */
  default Optional<String> asks() {
    return Optional.empty();
  }

  /** What it asked for is done. */
  default void confirm() {}

  /** What a person does at this moment of a test by hand; empty for a test that is not. */
  default Optional<Now> now() {
    return Optional.empty();
  }

  /**
   * Takes what a person said by key and moves on.
   *
   * @return what was noticed in it, possibly nothing
   */
  default List<Notice> press(TimedOperatorEvent pressed) {
    return List.of();
  }

  /**
   * Takes one frame and moves on.
   *
   * @return what was noticed in it, possibly nothing
   */
  List<Notice> take(Frame frame);

  /**
   * Takes the wave a scope caught in the frame that follows.
   *
   * @return what it shows, under which it is kept
   */
  default CaptureNote captured(Capture capture) {
    return CaptureNote.of("Capture");
  }

  /** The watts the test is about; NaN where they were not read. */
  default double watched(Frame frame) {
    return frame.value(Channel.AC_POWER);
  }

  /**
   * Ends the test early; the readings so far stay.
   *
   * @param why one sentence
   */
  void stop(String why);

  /**
   * Ends the test because a person saw its end, as when the output dropped out and nothing tells
   * the program.
   *
   * @param why one sentence
   */
  void finish(String why);

  /** Why it ended, one sentence; empty while it runs. */
  Optional<String> ending();

  /** What a person does, in order. */
  List<DoNow> steps();
}

package org.wiseember.trial.kind.start;

import org.wiseember.core.waveform.Capture;
import org.wiseember.report.drawing.WaveDrawing;

/** Volts and amps of a motor's start, as a chart. */
final class StartPicture {
  private StartPicture() {}

  /** Volts and amps of one start. */
  static WaveDrawing of(Capture capture) {
    return new WaveDrawing(
        milliseconds(capture, 0, capture.size(), 0),
        capture.volts(),
        capture.amps(),
        Double.NaN,
        Double.NaN,
        "");
  }

  private static double[] milliseconds(Capture capture, int from, int to, double zero) {
    double[] t = new double[Math.max(0, to - from)];
    for (int i = 0; i < t.length; i++) {
      t[i] = 1000 * (from + i) / capture.perSecond() - zero;
    }
    return t;
  }
}

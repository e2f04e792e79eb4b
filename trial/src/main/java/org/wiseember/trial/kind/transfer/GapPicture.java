package org.wiseember.trial.kind.transfer;

import java.util.Arrays;
import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.transfer.TransferGap;
import org.wiseember.core.waveform.Capture;
import org.wiseember.report.drawing.WaveDrawing;

/** The volts around a switch-over gap, as a chart. */
final class GapPicture {
  private static final double AROUND_MS = 45;

  private GapPicture() {}

  /** The volts around one gap. */
  static WaveDrawing of(Capture capture, Optional<TransferGap> gap) {
    double middle = 1000 * gap.map(g -> (g.from() + g.to()) / 2).orElse(capture.seconds() / 2);
    double zero = 1000 * gap.map(TransferGap::from).orElse(0.0);
    int from = index(capture, middle - AROUND_MS);
    int to = index(capture, middle + AROUND_MS);
    return new WaveDrawing(
        milliseconds(capture, from, to, zero),
        Arrays.copyOfRange(capture.volts(), from, to),
        new double[0],
        gap.isPresent() && gap.get().seconds() > 0 ? 0 : Double.NaN,
        1000 * gap.map(TransferGap::seconds).orElse(0.0),
        gap.map(g -> Figures.withUncertainty(1000 * g.seconds(), 1000 * g.u95()) + " ms")
            .orElse(""));
  }

  private static int index(Capture capture, double ms) {
    return (int) Math.max(0, Math.min(capture.size(), Math.round(ms / 1000 * capture.perSecond())));
  }

  private static double[] milliseconds(Capture capture, int from, int to, double zero) {
    double[] t = new double[Math.max(0, to - from)];
    for (int i = 0; i < t.length; i++) {
      t[i] = 1000 * (from + i) / capture.perSecond() - zero;
    }
    return t;
  }
}

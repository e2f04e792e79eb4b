package org.wiseember.core.transfer;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.HalfCycleRms;

/**
 * A stretch of a capture in which the one-cycle RMS lay outside 90 to 110 % of what it usually is,
 * or ought to be.
 *
 * @param from s into the capture
 * @param seconds how long
 * @param percent the furthest it went, % of the nominal volts
 */
public record Sag(double from, double seconds, double percent) {
  private static final double LOW = 90;
  private static final double HIGH = 110;

  /**
   * Finds them, in order.
   *
   * @param hertz of the fundamental
   * @param nominalVolts V; 0 for the usual of the capture itself
   */
  public static List<Sag> in(Capture capture, double hertz, double nominalVolts) {
    HalfCycleRms rms = HalfCycleRms.of(capture.volts(), capture.perSecond(), hertz);
    if (rms.size() == 0) {
      return List.of();
    }
    double[] sorted = rms.values().clone();
    Arrays.sort(sorted);
    double nominal = nominalVolts > 0 ? nominalVolts : sorted[sorted.length / 2];
    List<Sag> found = new ArrayList<>();
    int start = -1;
    double worst = 100;
    for (int i = 0; i <= rms.size(); i++) {
      double percent = i < rms.size() ? 100 * rms.value(i) / nominal : 100;
      boolean outside = percent < LOW || percent > HIGH;
      if (outside) {
        start = start < 0 ? i : start;
        worst = Math.abs(percent - 100) > Math.abs(worst - 100) ? percent : worst;
      } else if (start >= 0) {
        found.add(new Sag(rms.seconds(start), (i - start) * rms.step(), worst));
        start = -1;
        worst = 100;
      }
    }
    return found;
  }

  /** Whether the ITI curve has a computer's supply bear it. */
  public boolean borne() {
    return ItiCurve.bears(percent, seconds);
  }

  /** One sentence. */
  public String words() {
    return (percent < 100 ? "Down to " : "Up to ")
        + Figures.fixed(percent, 0)
        + " % for "
        + Figures.fixed(1000 * seconds, 0)
        + " ms, "
        + (borne() ? "inside" : "outside")
        + " the ITI curve.";
  }
}

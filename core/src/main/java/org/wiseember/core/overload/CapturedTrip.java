package org.wiseember.core.overload;

import java.util.Optional;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.HalfCycleRms;

/**
 * A trip that a scope caught: from where the current steps up to where the one-cycle RMS of the
 * volts, taken every half cycle, has gone. For trips too short for a meter.
 *
 * @param seconds from the step to the trip
 * @param halfWidth limits of it, half a cycle
 */
public record CapturedTrip(double seconds, double halfWidth) {
  private static final double DEAD = 0.1;

  private static final double HALF = 0.5;

  /**
   * Reads a capture of volts and amps.
   *
   * @param hertz of the output
   * @return empty where the output is alive at its end, or there is no step of the current in it
   */
  public static Optional<CapturedTrip> in(Capture capture, double hertz) {
    if (!capture.hasAmps() || capture.seconds() * hertz < 4) {
      return Optional.empty();
    }
    HalfCycleRms volts = HalfCycleRms.of(capture.volts(), capture.perSecond(), hertz);
    HalfCycleRms amps = HalfCycleRms.of(capture.amps(), capture.perSecond(), hertz);
    int n = volts.size();
    if (n < 4 || amps.size() < 4 || volts.value(n - 1) > DEAD * volts.most()) {
      return Optional.empty();
    }
    double cycle = 1 / hertz;
    double base = amps.value(0) * amps.value(0);
    double step = amps.most() * amps.most() - base;
    double on = Double.NaN;
    for (int i = 0; i < amps.size() && Double.isNaN(on); i++) {
      // So much of this window lies behind the step.
      double share = (amps.value(i) * amps.value(i) - base) / step;
      on = share >= HALF ? amps.seconds(i) + (HALF - share) * cycle : on;
    }
    double off = Double.NaN;
    double alive = volts.most() * volts.most();
    for (int i = n - 1; i >= 0 && Double.isNaN(off); i--) {
      double share = volts.value(i) * volts.value(i) / alive;
      off = share >= HALF ? volts.seconds(i) + (share - HALF) * cycle : off;
    }
    return off > on ? Optional.of(new CapturedTrip(off - on, 0.5 / hertz)) : Optional.empty();
  }
}

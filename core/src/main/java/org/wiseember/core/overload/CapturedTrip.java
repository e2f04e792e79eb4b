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

  /** A window half in the dead time reads so much of the volts before. */
  private static final double HALF_GONE = Math.sqrt(0.5);

  private static final double STEP = 0.5;

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
    double on = Double.NaN;
    double base = amps.value(0);
    double level = base + STEP * (amps.most() - base);
    for (int i = 0; i < amps.size(); i++) {
      if (amps.value(i) > level) {
        on = amps.seconds(i);
        break;
      }
    }
    double off = Double.NaN;
    for (int i = n - 1; i > 0 && Double.isNaN(off); i--) {
      if (volts.value(i - 1) > HALF_GONE * volts.most()) {
        off = volts.seconds(i);
      }
    }
    return off > on ? Optional.of(new CapturedTrip(off - on, 0.5 / hertz)) : Optional.empty();
  }
}

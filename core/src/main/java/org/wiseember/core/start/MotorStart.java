package org.wiseember.core.start;

import java.util.Optional;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.HalfCycleRms;

/**
 * One try at starting a motor, as a capture shows it.
 *
 * @param outcome how it went
 * @param peakAmps highest instantaneous current, A
 * @param mostRmsAmps highest one-cycle RMS current, A
 * @param mostVoltAmperes highest product of one-cycle RMS volts and amps, VA
 * @param restVolts one-cycle RMS before the start, V
 * @param leastVolts lowest one-cycle RMS while it started, V; before a trip where it tripped
 * @param dipSeconds time below 90 % of the volts before, s
 * @param startSeconds from the inrush to where the current has fallen to half its most, s; NaN
 *     where it did not start
 * @param sourceOhms by how much the volts gave way for each ampere, Ω; NaN without current
 */
public record MotorStart(
    Outcome outcome,
    double peakAmps,
    double mostRmsAmps,
    double mostVoltAmperes,
    double restVolts,
    double leastVolts,
    double dipSeconds,
    double startSeconds,
    double sourceOhms) {
  /** How a try went. */
  public enum Outcome {
    STARTED("started"),
    /** The output dropped out. */
    TRIPPED("tripped"),
    /** The volts held, lower than they should be, and the motor did not come up to speed. */
    SAGGED("sagged, did not start");

    private final String words;

    Outcome(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  private static final double DEAD = 0.3;
  private static final double DIP = 0.9;

  /** The current of a motor that runs is below this share of what it took at most. */
  private static final double RUNNING = 0.5;

  /** A change of current smaller than this tells nothing of the source, A. */
  private static final double LEAST_AMPS = 0.5;

  /**
   * Reads a capture of volts and amps that begins before the motor is switched on.
   *
   * @param hertz of the output
   * @return empty where the capture has no amps, no volts before, or is shorter than five cycles
   */
  public static Optional<MotorStart> of(Capture capture, double hertz) {
    if (!capture.hasAmps() || capture.seconds() * hertz < 5) {
      return Optional.empty();
    }
    HalfCycleRms volts = HalfCycleRms.of(capture.volts(), capture.perSecond(), hertz);
    HalfCycleRms amps = aligned(capture, volts, hertz);
    int n = Math.min(volts.size(), amps.size());
    if (n < 6) {
      return Optional.empty();
    }
    double rest = (volts.value(0) + volts.value(1)) / 2;
    if (!(rest > 1)) {
      return Optional.empty();
    }
    int most = 0;
    double mostVa = 0;
    for (int i = 0; i < n; i++) {
      most = amps.value(i) > amps.value(most) ? i : most;
      mostVa = Math.max(mostVa, volts.value(i) * amps.value(i));
    }
    double endVolts = (volts.value(n - 1) + volts.value(n - 2)) / 2;
    double endAmps = (amps.value(n - 1) + amps.value(n - 2)) / 2;
    boolean dead = endVolts < DEAD * rest;
    boolean runs = endAmps < RUNNING * amps.value(most);
    Outcome outcome = dead ? Outcome.TRIPPED : runs ? Outcome.STARTED : Outcome.SAGGED;
    double least = rest;
    int below = 0;
    int dies = n;
    for (int i = n - 1; i >= 0; i--) {
      dies = volts.value(i) <= DEAD * rest ? i : dies;
    }
    // The two windows before the end reach into the dead time.
    for (int i = 0; i < (dies < n ? dies - 2 : n); i++) {
      least = Math.min(least, volts.value(i));
      below += volts.value(i) < DIP * rest ? 1 : 0;
    }
    double onset = onset(amps, n, most);
    double done = Double.NaN;
    for (int i = most; i < n && outcome == Outcome.STARTED; i++) {
      if (amps.value(i) < RUNNING * amps.value(most)) {
        done = amps.seconds(i) - onset;
        break;
      }
    }
    double step = amps.value(most) - (amps.value(0) + amps.value(1)) / 2;
    double atMost = Math.min(volts.value(most), rest);
    double peak = 0;
    for (int i = 0; i < capture.size(); i++) {
      peak = Math.max(peak, Math.abs(capture.amps(i)));
    }
    return Optional.of(
        new MotorStart(
            outcome,
            peak,
            amps.value(most),
            mostVa,
            rest,
            least,
            below * volts.step(),
            done,
            step > LEAST_AMPS && atMost > DEAD * rest ? (rest - atMost) / step : Double.NaN));
  }

  /** RMS of the amps over the very windows of the volts. */
  private static HalfCycleRms aligned(Capture capture, HalfCycleRms volts, double hertz) {
    double rate = capture.perSecond();
    double cycle = rate / hertz;
    double[] sums = new double[capture.size() + 1];
    for (int i = 0; i < capture.size(); i++) {
      sums[i + 1] = sums[i] + capture.amps(i) * capture.amps(i);
    }
    double[] values = new double[volts.size()];
    for (int k = 0; k < values.length; k++) {
      double from = Math.max(0, (volts.seconds(k) - 0.5 / hertz) * rate);
      int a = (int) Math.round(from);
      int b = (int) Math.min(capture.size(), Math.round(from + cycle));
      values[k] = Math.sqrt((sums[b] - sums[Math.min(a, b)]) / cycle);
    }
    return new HalfCycleRms(volts.from(), volts.step(), values);
  }

  private static double onset(HalfCycleRms amps, int n, int most) {
    double start = (amps.value(0) + amps.value(1)) / 2;
    double level = start + (amps.value(most) - start) / 4;
    for (int i = 0; i < n; i++) {
      if (amps.value(i) > level) {
        return amps.seconds(i);
      }
    }
    return amps.seconds(0);
  }

  /** By how much the volts dipped, % of those before. */
  public double dipPercent() {
    return 100 * (1 - leastVolts / restVolts);
  }

  /**
   * What the motor would take of a source that does not give way, A: a motor at a standstill takes
   * amps in proportion to volts, so a weak source limits its own inrush and a lower reading is no
   * gentler motor.
   */
  public double stiffAmps() {
    return mostRmsAmps * restVolts / Math.max(leastVolts, 1e-9);
  }
}

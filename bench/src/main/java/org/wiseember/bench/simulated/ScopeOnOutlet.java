package org.wiseember.bench.simulated;

import java.util.SplittableRandom;
import org.wiseember.core.waveform.Capture;

/**
 * A scope on the outlet of a simulated bench: volts and amps at {@value #PER_SECOND} samples a
 * second, with twelve bits and half a bit of noise. What is switched meanwhile shows: the unit's
 * time passes sample by sample.
 */
final class ScopeOnOutlet {
  static final int PER_SECOND = 10_000;
  private static final double VOLTS_BIT = 1000.0 / 4096;
  private static final double AMPS_BIT = 400.0 / 4096;

  /** The new source's wave is at any angle to the old one's. */
  private double turn;

  private final SplittableRandom noise;
  private boolean mains;

  ScopeOnOutlet(SplittableRandom noise) {
    this.noise = noise;
    this.turn = noise.nextDouble();
  }

  /**
   * Catches a stretch.
   *
   * @param seconds long
   * @param before seconds of it that pass before the moment
   * @param moment what is switched then
   */
  Capture catches(SimulatedUnit unit, double seconds, double before, Runnable moment) {
    int n = (int) Math.round(seconds * PER_SECOND);
    int switched = (int) Math.round(before * PER_SECOND);
    double[] volts = new double[n];
    double[] amps = new double[n];
    double dt = 1.0 / PER_SECOND;
    mains = unit.handingThrough();
    for (int i = 0; i < n; i++) {
      if (i == switched) {
        moment.run();
      }
      unit.advance(dt);
      boolean fromMains = unit.handingThrough();
      if (mains && !fromMains) {
        turn += noise.nextDouble();
        mains = false;
      }
      turn += unit.design().inverter().hertz() * dt;
      volts[i] = bits(unit.waveAt(turn), VOLTS_BIT);
      amps[i] = bits(unit.currentAt(turn), AMPS_BIT);
    }
    return Capture.of(PER_SECOND, volts, amps);
  }

  /** Catches a wave while nothing is switched, ten times as finely. */
  Capture still(SimulatedUnit unit, double seconds) {
    int perSecond = 10 * PER_SECOND;
    int n = (int) Math.round(seconds * perSecond);
    double[] volts = new double[n];
    double[] amps = new double[n];
    for (int i = 0; i < n; i++) {
      turn += unit.design().inverter().hertz() / perSecond;
      volts[i] = bits(unit.waveAt(turn), VOLTS_BIT);
      amps[i] = bits(unit.currentAt(turn), AMPS_BIT);
    }
    unit.advance(seconds);
    return Capture.of(perSecond, volts, amps);
  }

  private double bits(double value, double bit) {
    return bit * Math.rint(value / bit + noise.nextDouble() - 0.5);
  }
}

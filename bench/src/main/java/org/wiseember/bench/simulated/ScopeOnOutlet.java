package org.wiseember.bench.simulated;

import java.util.Set;
import java.util.SplittableRandom;
import org.wiseember.bench.simulated.design.ModelDeviation;
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

  private static final double DYING_SECONDS = 0.004;
  private static final double COARSER = 16;
  private static final double STEP_OFF = 0.3;

  /** By how much a clamp turns the phase, periods: 1.4 degrees. */
  private static final double TURNED = 0.004;

  /** The new source's wave is at any angle to the old one's. */
  private double turn;

  private final SplittableRandom noise;
  private final Set<ModelDeviation> departs;
  private boolean mains;
  private double wasThere;
  private double deadFor;

  ScopeOnOutlet(SplittableRandom noise, Set<ModelDeviation> departs) {
    this.noise = noise;
    this.departs = Set.copyOf(departs);
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
      volts[i] = volts(unit.waveAt(turn) + dying(unit, dt));
      amps[i] = amps(unit);
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
      volts[i] = volts(unit.waveAt(turn));
      amps[i] = amps(unit);
    }
    unit.advance(seconds);
    return Capture.of(perSecond, volts, amps);
  }

  /** What a filter behind the relay still gives while nothing feeds the outlet, V. */
  private double dying(SimulatedUnit unit, double dt) {
    if (unit.alive() || !departs.contains(ModelDeviation.DYING_VOLTS)) {
      wasThere = unit.waveAt(turn);
      deadFor = 0;
      return 0;
    }
    deadFor += dt;
    return wasThere * Math.exp(-deadFor / DYING_SECONDS);
  }

  private double volts(double value) {
    return departs.contains(ModelDeviation.CROOKED_STEPS)
        ? crooked(value, COARSER * VOLTS_BIT)
        : bits(value, VOLTS_BIT);
  }

  private double amps(SimulatedUnit unit) {
    double lag = departs.contains(ModelDeviation.TURNED_PHASE) ? TURNED : 0;
    return bits(unit.currentAt(turn - lag), AMPS_BIT);
  }

  /** Eight bits, each step off by up to a third of itself, always the same way. */
  private double crooked(double value, double bit) {
    double code = Math.rint(value / bit + noise.nextDouble() - 0.5);
    double off = Math.sin(code * 12.9898) * 43758.5453;
    return bit * (code + STEP_OFF * (2 * (off - Math.floor(off)) - 1));
  }

  private double bits(double value, double bit) {
    return bit * Math.rint(value / bit + noise.nextDouble() - 0.5);
  }
}

package org.wiseember.bench.simulated;

import java.util.SplittableRandom;
import org.wiseember.core.uncertainty.MeterClass;

/** A plug-in AC meter that lies within its class, counts a total, and may answer to the mean. */
final class AcMeter {
  static final MeterClass VOLTS = MeterClass.ofReading(0.3, 1, 0.1);
  static final MeterClass AMPS = MeterClass.ofReading(0.5, 1, 0.01);
  static final MeterClass ENERGY = MeterClass.ofReading(0.5, 0, 0.1);
  static final MeterClass HERTZ = MeterClass.ofReading(0.02, 0, 0.01);
  static final MeterClass PROBE = MeterClass.ofReading(0, 5, 0.1);

  private final SimulatedMeter watts;
  private final SimulatedMeter volts;
  private final SimulatedMeter amps;
  private final SimulatedMeter hertz;
  private final boolean averaging;
  private final double clock;
  private double wattsNow;
  private double voltsNow;
  private double ampsNow;
  private double total;
  private double lastUnrounded;

  /**
   * @param averaging whether volts and amps answer to the rectified mean
   * @param clock its seconds over true seconds, by which it counts its total
   */
  AcMeter(MeterClass power, SplittableRandom random, boolean averaging, double clock) {
    this.watts = new SimulatedMeter(power, random);
    this.volts = new SimulatedMeter(VOLTS, random);
    this.amps = new SimulatedMeter(AMPS, random);
    this.hertz = new SimulatedMeter(HERTZ, random);
    this.averaging = averaging;
    this.clock = clock;
  }

  /** Sees these true values for this long. */
  void see(double trueVolts, Draw draw, double jitter, WaveShape shape, double seconds) {
    double before = watts.unrounded(draw.watts());
    wattsNow = Math.max(0, watts.read(draw.watts() * jitter));
    voltsNow = volts.read(trueVolts * (averaging ? shape.averagingFactor(0) : 1));
    ampsNow = Math.max(0, amps.read(averaging ? draw.averagedAmps() : draw.amps()));
    total += (lastUnrounded + before) / 2 * seconds * clock / 3600;
    lastUnrounded = before;
  }

  double watts() {
    return wattsNow;
  }

  double volts() {
    return voltsNow;
  }

  double amps() {
    return ampsNow;
  }

  /** The running total, Wh, in whole steps of its resolution. */
  double total() {
    return Math.floor(total / ENERGY.resolution()) * ENERGY.resolution();
  }

  double hertz(double truth) {
    return truth > 0 ? hertz.read(truth) : 0;
  }
}

package org.wiseember.bench.simulated;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Set;
import java.util.SplittableRandom;
import org.wiseember.bench.simulated.design.ModelDeviation;
import org.wiseember.bench.simulated.load.LoadDraw;
import org.wiseember.bench.simulated.load.WaveShape;
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

  /** A slow one reads every so many seconds, a late one answers what it read before. */
  private static final double SLOW_SECONDS = 5;

  private static final int LATE_READINGS = 3;

  private final boolean late;
  private final boolean slow;
  private final Deque<double[]> before = new ArrayDeque<>();
  private double sinceRead = SLOW_SECONDS;

  /**
   * @param averaging whether volts and amps answer to the rectified mean
   * @param clock its seconds over true seconds, by which it counts its total
   * @param departs in what it is no plain meter
   */
  AcMeter(
      MeterClass power,
      SplittableRandom random,
      boolean averaging,
      double clock,
      Set<ModelDeviation> departs) {
    this.watts = new SimulatedMeter(power, random, departs);
    this.volts = new SimulatedMeter(VOLTS, random, departs);
    this.amps = new SimulatedMeter(AMPS, random);
    this.hertz = new SimulatedMeter(HERTZ, random);
    this.late = departs.contains(ModelDeviation.LATE_ANSWERS);
    this.slow = departs.contains(ModelDeviation.SLOW_METER);
    this.averaging = averaging;
    this.clock = clock;
  }

  /** Sees these true values for this long. */
  void see(double trueVolts, LoadDraw draw, double jitter, WaveShape shape, double seconds) {
    double now = watts.unrounded(draw.watts());
    total += (lastUnrounded + now) / 2 * seconds * clock / 3600;
    lastUnrounded = now;
    sinceRead += seconds;
    if (slow && sinceRead < SLOW_SECONDS) {
      return;
    }
    sinceRead = 0;
    answer(
        new double[] {
          Math.max(0, watts.read(draw.watts() * jitter)),
          volts.read(trueVolts * (averaging ? shape.averagingFactor(0) : 1)),
          Math.max(0, amps.read(averaging ? draw.averagedAmps() : draw.amps()))
        });
  }

  private void answer(double[] read) {
    before.addLast(read);
    double[] given = late && before.size() > LATE_READINGS ? before.removeFirst() : read;
    if (!late) {
      before.clear();
    }
    wattsNow = given[0];
    voltsNow = given[1];
    ampsNow = given[2];
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

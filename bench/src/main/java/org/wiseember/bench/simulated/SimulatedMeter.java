package org.wiseember.bench.simulated;

import java.util.Set;
import java.util.random.RandomGenerator;
import org.wiseember.bench.simulated.design.ModelDeviation;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * One reading of a meter that lies within its class: a gain and an offset drawn once from the seed,
 * and a display that rounds.
 */
public final class SimulatedMeter {
  private final MeterClass meterClass;

  /** Over so much of the logarithm of what it reads a bent gain turns once. */
  private static final double BEND = 1.7;

  /** More than this magnetises a clamp, A. */
  private static final double MAGNETISES = 5;

  private final double gain;
  private final double offset;
  private final double share;
  private final double fixed;
  private final double phase;
  private final boolean bent;
  private final boolean remembers;
  private double most;

  /** Draws its error. */
  public SimulatedMeter(MeterClass meterClass, RandomGenerator random) {
    this(meterClass, random, Set.of());
  }

  /**
   * Draws its error.
   *
   * @param departs in what it is not off by one gain and one offset
   */
  SimulatedMeter(MeterClass meterClass, RandomGenerator random, Set<ModelDeviation> departs) {
    this.meterClass = meterClass;
    this.share = meterClass.percentOfReading() / 100;
    this.bent = departs.contains(ModelDeviation.BENT_GAIN);
    this.remembers = departs.contains(ModelDeviation.REMANENCE);
    this.gain = 1 + meterClass.percentOfReading() / 100 * (2 * random.nextDouble() - 1);
    this.fixed =
        meterClass.percentOfRange() / 100 * meterClass.range()
            + meterClass.digits() * meterClass.resolution();
    this.offset = fixed * (2 * random.nextDouble() - 1);
    this.phase = 2 * Math.PI * (gain - 1) / Math.max(share, 1e-9);
  }

  /** What the display shows for a true value; zero is shown as zero. */
  public double read(double truth) {
    double shown = unrounded(truth);
    double step = meterClass.resolution();
    return step > 0 ? Math.rint(shown / step) * step : shown;
  }

  /** The same before the display rounds it, as a running total adds it up. */
  double unrounded(double truth) {
    most = Math.max(most, Math.abs(truth));
    double by = bent ? 1 + share * Math.sin(phase + BEND * Math.log1p(Math.abs(truth))) : gain;
    double more = remembers ? (most > MAGNETISES ? fixed : -fixed) : offset;
    return truth == 0 ? 0 : truth * by + more;
  }
}

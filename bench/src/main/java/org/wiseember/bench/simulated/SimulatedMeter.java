package org.wiseember.bench.simulated;

import java.util.random.RandomGenerator;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * One reading of a meter that lies within its class: a gain and an offset drawn once from the seed,
 * and a display that rounds.
 */
public final class SimulatedMeter {
  private final MeterClass meterClass;
  private final double gain;
  private final double offset;

  /** Draws its error. */
  public SimulatedMeter(MeterClass meterClass, RandomGenerator random) {
    this.meterClass = meterClass;
    this.gain = 1 + meterClass.percentOfReading() / 100 * (2 * random.nextDouble() - 1);
    double fixed =
        meterClass.percentOfRange() / 100 * meterClass.range()
            + meterClass.digits() * meterClass.resolution();
    this.offset = fixed * (2 * random.nextDouble() - 1);
  }

  /** What the display shows for a true value; zero is shown as zero. */
  public double read(double truth) {
    double shown = unrounded(truth);
    double step = meterClass.resolution();
    return step > 0 ? Math.rint(shown / step) * step : shown;
  }

  /** The same before the display rounds it, as a running total adds it up. */
  double unrounded(double truth) {
    return truth == 0 ? 0 : truth * gain + offset;
  }
}

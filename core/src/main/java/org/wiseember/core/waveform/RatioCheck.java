package org.wiseember.core.waveform;

import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * The ratio of probe and transformer held against a meter that read the same volts.
 *
 * @param scope RMS by the capture, its ratio in it, V
 * @param meter what the meter showed, V
 * @param ratio that was taken, 1 for none
 */
public record RatioCheck(Estimate scope, Estimate meter, double ratio) {
  /** Probes and transformers come in these steps; common practice, no published source. */
  private static final double[] STEPS = {10, 100, 20, 50, 200, 500, 1000, 2, 5};

  private static final double NEAR = 0.04;

  /** Holds a capture against a meter's reading. */
  public static RatioCheck of(
      WaveformFinding f, double meterVolts, MeterClass meter, double ratio) {
    return new RatioCheck(
        f.rms(),
        new Estimate(meterVolts, Budget.of().with("Meter", meter, meterVolts, 1).u95()),
        ratio);
  }

  /** Whether they differ by no more than both allow. */
  public boolean agrees() {
    return Math.abs(scope.value() - meter.value()) <= Math.hypot(scope.u95(), meter.u95());
  }

  /** The ratio at which they would be the same. */
  public Estimate impliedRatio() {
    double r = ratio * meter.value() / scope.value();
    double share =
        Math.hypot(meter.u95() / meter.value(), scope.u95() / Math.max(scope.value(), 1e-12));
    return new Estimate(r, Math.abs(r) * share);
  }

  /** One or two sentences. */
  public String words() {
    String both =
        "Scope "
            + Figures.fixed(scope.value(), 1)
            + " V, meter "
            + Figures.fixed(meter.value(), 1)
            + " V";
    if (agrees()) {
      return both + ": they agree within what both allow.";
    }
    double off = meter.value() / scope.value();
    for (double step : STEPS) {
      for (double times : new double[] {step, 1 / step}) {
        if (Math.abs(off / times - 1) < NEAR) {
          return both
              + ": a factor of "
              + Figures.plain(step)
              + (times > 1 ? " is missing" : " too much is in it")
              + ". Check the probe's setting.";
        }
      }
    }
    Estimate implied = impliedRatio();
    return both
        + ": more apart than both allow. The ratio would have to be "
        + Figures.withUncertainty(implied.value(), implied.u95())
        + ".";
  }
}

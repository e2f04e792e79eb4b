package org.wiseember.core.charge;

import java.util.Arrays;
import java.util.Optional;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * What panels would give into the DC input if nothing but their light held them back: watts follow
 * lux, up to the most that was ever drawn.
 *
 * @param wattsPerLux what they give where only the light binds, W/lx
 * @param lux the light, lx
 * @param most W ever drawn and held
 * @param volts at the DC input, V
 * @param working volts at which they are drawn from as hard as they give, V
 */
record Sun(double wattsPerLux, Series lux, double most, Series volts, double working) {
  private static final int BINS = 400;

  /** Where only the light binds, watts a lux are at their highest. */
  private static final double HIGHEST = 0.9;

  private static final double DIM = 0.2;

  /** Panels that are asked for less go up their curve by so much. */
  private static final double UP_THE_CURVE = 1.02;

  /** Empty where no light or no DC input was logged. */
  static Optional<Sun> of(Trace trace, Inputs inputs) {
    Series lux = trace.series(Channel.ILLUMINANCE);
    Series direct = inputs.parts().get(Inlet.DC);
    if (lux.size() < 2 || direct == null) {
      return Optional.empty();
    }
    Bins bins =
        new Bins(
            direct.seconds(0),
            direct.seconds(direct.size() - 1),
            Math.max(1, Math.min(BINS, direct.size() / 2)));
    double[] light = bins.medians(lux);
    double[] watts = bins.medians(direct);
    double most = Level.of(watts);
    double brightest = Arrays.stream(light).max().orElse(0);
    Series volts = trace.series(Channel.IN_VOLTAGE);
    double[] atPort = bins.medians(volts);
    double[] drawn = new double[light.length];
    double[] ratios = new double[light.length];
    int n = 0;
    for (int c = 0; c < light.length; c++) {
      if (light[c] > DIM * brightest && Level.on(watts[c], most)) {
        drawn[n] = atPort[c];
        ratios[n++] = watts[c] / light[c];
      }
    }
    if (n == 0) {
      return Optional.empty();
    }
    double[] sorted = Arrays.copyOf(ratios, n);
    Arrays.sort(sorted);
    double[] usual = Arrays.copyOf(drawn, n);
    Arrays.sort(usual);
    return Optional.of(new Sun(sorted[(int) (HIGHEST * (n - 1))], lux, most, volts, usual[n / 2]));
  }

  /** Whether volts are so high that the panels are asked for less than they could give. */
  boolean upTheCurve(double atVolts) {
    return !(atVolts <= UP_THE_CURVE * working);
  }

  /** W under a light. */
  double expected(double atLux) {
    return Double.isNaN(atLux) ? most : Math.min(most, wattsPerLux * atLux);
  }
}

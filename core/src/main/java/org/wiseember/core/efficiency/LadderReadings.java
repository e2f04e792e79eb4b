package org.wiseember.core.efficiency;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * AC and DC readings of the same moments. Where the meters read at their own times, the DC side is
 * taken on the line between its neighbours.
 *
 * @param ac watts out, at the times of the pairs
 * @param dcWatts in, one a pair
 * @param dcVolts NaN where only DC watts were read
 * @param acVolts NaN where they were not read
 * @param displayWatts NaN where nobody read the display
 * @param inWatts from a source into the unit; 0 where none was read
 * @param acStep by how much the AC watts step
 * @param dcStep by how much the DC watts step, where they were read as such
 * @param voltStep by how much the DC volts step
 * @param ampStep by how much the DC amps step
 */
record LadderReadings(
    Series ac,
    double[] dcWatts,
    double[] dcVolts,
    double[] acVolts,
    double[] displayWatts,
    double[] inWatts,
    double acStep,
    double dcStep,
    double voltStep,
    double ampStep,
    List<Warning> warnings) {
  private static final double LEAST_REACH = 2;
  private static final double REACH_INTERVALS = 2.5;

  boolean isEmpty() {
    return ac.size() == 0;
  }

  /** Whether DC watts come from volts × amps. */
  boolean byProduct() {
    return !Double.isNaN(voltStep);
  }

  static LadderReadings of(Trace trace) {
    List<Warning> warnings = new ArrayList<>();
    Series watts = trace.series(Channel.AC_POWER);
    if (watts.size() == 0) {
      watts = trace.product(Channel.AC_VOLTAGE, Channel.AC_CURRENT);
      if (watts.size() > 0) {
        warnings.add(
            new Warning(
                "va_not_watts",
                "AC volts × amps is VA, which is more than watts unless the load is a plain heater;"
                    + " efficiency from it is an upper limit."));
      }
    }
    Series power = trace.series(Channel.DC_POWER);
    Series volts = trace.series(Channel.DC_VOLTAGE);
    Series amps = trace.series(Channel.DC_CURRENT);
    boolean product = power.size() == 0;
    Aligned dc = new Aligned(power);
    Aligned v = new Aligned(volts);
    Aligned i = new Aligned(amps);
    Aligned out = new Aligned(trace.series(Channel.AC_VOLTAGE));
    Aligned shown = new Aligned(trace.series(Channel.DISPLAY_POWER));
    Aligned in = new Aligned(trace.series(Channel.IN_POWER));
    int n = 0;
    double[] t = new double[watts.size()];
    double[][] columns = new double[6][watts.size()];
    for (int k = 0; k < watts.size(); k++) {
      double at = watts.seconds(k);
      double in1 = product ? v.at(at) * i.at(at) : dc.at(at);
      if (Double.isNaN(in1)) {
        continue;
      }
      t[n] = at;
      columns[0][n] = watts.value(k);
      columns[1][n] = in1;
      columns[2][n] = v.at(at);
      columns[3][n] = out.at(at);
      columns[4][n] = shown.at(at);
      double fed = in.at(at);
      columns[5][n] = Double.isNaN(fed) ? 0 : fed;
      n++;
    }
    return new LadderReadings(
        Series.of(cut(t, n), cut(columns[0], n)),
        cut(columns[1], n),
        cut(columns[2], n),
        cut(columns[3], n),
        cut(columns[4], n),
        cut(columns[5], n),
        watts.step(),
        power.step(),
        product ? volts.step() : Double.NaN,
        product ? amps.step() : Double.NaN,
        warnings);
  }

  private static double[] cut(double[] values, int n) {
    return java.util.Arrays.copyOf(values, n);
  }

  /** A channel read off at other moments. */
  private static final class Aligned {
    private final Series series;
    private final double reach;

    Aligned(Series series) {
      this.series = series;
      this.reach = Math.max(LEAST_REACH, REACH_INTERVALS * series.usualInterval());
    }

    double at(double moment) {
      return series.size() == 0 ? Double.NaN : series.at(moment, reach);
    }
  }
}

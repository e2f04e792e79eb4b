package org.wiseember.core.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * Where the watts of a charge come from when no input of its own was logged: a wall meter logged as
 * AC power, else the DC side while current flows into the pack.
 *
 * @param series W, above 0 into the unit
 */
record InputPower(Series series, List<Warning> warnings) {
  private static final double LEAST = 5;

  static Optional<InputPower> of(Trace trace) {
    List<Warning> warnings = new ArrayList<>();
    Series wall = trace.series(Channel.AC_POWER);
    if (wall.size() > 1) {
      warnings.add(
          new Warning(
              "ac_as_input",
              "There is no column of charge power; AC power is taken for the wall's, into the"
                  + " charger."));
      return Optional.of(new InputPower(wall, warnings));
    }
    Series dc = trace.series(Channel.DC_POWER);
    Series pack = dc.size() > 1 ? dc : trace.product(Channel.DC_VOLTAGE, Channel.DC_CURRENT);
    if (pack.size() < 2) {
      return Optional.empty();
    }
    double[] t = new double[pack.size()];
    double[] w = new double[pack.size()];
    double into = 0;
    double out = 0;
    for (int i = 0; i < t.length; i++) {
      t[i] = pack.seconds(i);
      w[i] = -pack.value(i);
      into += Math.max(0, w[i]);
      out += Math.max(0, -w[i]);
    }
    boolean signed = into >= out;
    if (!signed) {
      for (int i = 0; i < w.length; i++) {
        w[i] = -w[i];
      }
    }
    if (Math.max(into, out) < LEAST) {
      return Optional.empty();
    }
    warnings.add(
        new Warning(
            "dc_as_input",
            signed
                ? "Only the pack's side was logged; what flows into it is taken, charger losses not"
                    + " in it."
                : "Only the pack's side was logged, with current positive; it is taken to flow into"
                    + " the pack."));
    return Optional.of(new InputPower(Series.of(t, w), warnings));
  }
}

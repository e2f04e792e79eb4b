package org.wiseember.report.plot;

import java.util.LinkedHashMap;
import java.util.Map;
import org.wiseember.core.quantity.Figures;

/** Names of an axis that goes by tens: a place is the logarithm to 10 of what is named there. */
public final class Decades {
  private static final double[] FIGURES = {1, 1.5, 2, 3, 5, 7};
  private static final int POWERS = 6;

  private Decades() {}

  /** Times as people say them, from a second to ten hours. */
  public static Map<Double, String> times() {
    Map<Double, String> names = new LinkedHashMap<>();
    names.put(Math.log10(1), "1 s");
    names.put(Math.log10(10), "10 s");
    names.put(Math.log10(60), "1 min");
    names.put(Math.log10(600), "10 min");
    names.put(Math.log10(3600), "1 h");
    names.put(Math.log10(36_000), "10 h");
    return names;
  }

  /** Plain figures between two places. */
  public static Map<Double, String> figures(double from, double to) {
    Map<Double, String> names = new LinkedHashMap<>();
    for (int power = 0; power < POWERS; power++) {
      for (double f : FIGURES) {
        double figure = f * Math.pow(10, power);
        double at = Math.log10(figure);
        if (at > from && at < to) {
          names.put(at, Figures.plain(figure).replace(Figures.THIN_SPACE, '\u00a0'));
        }
      }
    }
    return names;
  }
}

package org.wiseember.core.solar;

/**
 * Equal panels, some in series, some of those strings in parallel.
 *
 * @param panel each of them
 * @param series panels a string, 1 or more
 * @param parallel strings, 1 or more
 */
public record Arrangement(Panel panel, int series, int parallel) {
  private static final int STEPS = 24;
  private static final int ROUNDS = 3;

  public Arrangement {
    if (series < 1 || parallel < 1) {
      throw new IllegalArgumentException("an arrangement has at least one panel");
    }
  }

  public int panels() {
    return series * parallel;
  }

  /** By the plates, W. */
  public double plateWatts() {
    return panels() * panel.watts();
  }

  /** Open-circuit volts on the coldest morning, V. */
  public double coldVolts(double celsius) {
    return series * panel.openVolts() * ColdVolts.factor(panel, celsius);
  }

  /** Whether a port may ever see it: its cold open-circuit volts stay within the port's. */
  public boolean allowed(Port port, double coldestCelsius) {
    return coldVolts(coldestCelsius) <= port.mostVolts();
  }

  /** {@code three in series}, {@code two strings of two}, {@code one}. */
  public String words() {
    if (panels() == 1) {
      return "one " + panel.name();
    }
    if (parallel == 1) {
      return series + " " + panel.name() + " in series";
    }
    return series == 1
        ? parallel + " " + panel.name() + " in parallel"
        : parallel + " strings of " + series + " " + panel.name();
  }

  /**
   * What a port draws from it, which tracks the best point it is allowed to.
   *
   * @param model of its panel
   * @param light W/m²
   * @param cellCelsius °C
   * @return volts, amps and watts; all 0 where the port does not begin
   */
  public double[] drawn(DiodeModel model, Port port, double light, double cellCelsius) {
    DiodeModel.Curve curve = model.at(light, cellCelsius);
    double open = series * curve.open();
    double high = Math.min(open, port.mostVolts());
    if (open < port.leastVolts() || open > port.mostVolts() || high <= 0) {
      return new double[3];
    }
    // What it draws rises to one highest point and falls again: look coarsely, then around it.
    double from = port.leastVolts();
    double to = high;
    double bestVolts = from;
    for (int round = 0; round < ROUNDS; round++) {
      double step = (to - from) / STEPS;
      double most = -1;
      for (int k = 0; k <= STEPS; k++) {
        double volts = from + step * k;
        double watts = drawnAt(volts, curve, port);
        if (watts > most) {
          most = watts;
          bestVolts = volts;
        }
      }
      from = Math.max(port.leastVolts(), bestVolts - step);
      to = Math.min(high, bestVolts + step);
    }
    double watts = drawnAt(bestVolts, curve, port);
    return watts > 0 && bestVolts > 0
        ? new double[] {bestVolts, watts / bestVolts, watts}
        : new double[3];
  }

  private double drawnAt(double volts, DiodeModel.Curve curve, Port port) {
    return Math.min(port.takes(volts), volts * parallel * curve.amps(volts / series));
  }
}

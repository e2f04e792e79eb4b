package org.wiseember.core.solar;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/** Why a way of wiring panels into a port stands as it does, with the numbers put in. */
public final class WayBecause {
  /** A converter is set so far under the most volts of the port, V. */
  private static final double UNDER = 2;

  private static final double CONVERTER = 0.95;

  /** A gain of less is not worth a converter, as a share. */
  private static final double WORTH = 0.03;

  private static final double FULL_LIGHT = 1000;

  private final Designer.Way way;
  private final Arrangement arrangement;
  private final Port port;
  private final Site site;

  private WayBecause(Designer.Way way, Port port, Site site) {
    this.way = way;
    this.arrangement = way.arrangement();
    this.port = port;
    this.site = site;
  }

  /** The reasons of one way. */
  public static Explanation of(Designer.Way way, Port port, Site site) {
    return new WayBecause(way, port, site).explained();
  }

  private Explanation explained() {
    boolean never = way.standing() == Designer.Standing.NEVER;
    List<String> sum = new ArrayList<>();
    cold(sum);
    if (!never) {
      sun(sum);
      sum.add(boost());
    }
    Because because =
        Because.of(Budget.of(), sum)
            .summed(
                never
                    ? Figures.fixed(way.coldVolts() - port.mostVolts(), 1)
                        + " V over what the port may ever see"
                    : "drawn in full sun, "
                        + Figures.fixed(way.dayWattHours() / 1000, 2)
                        + " kWh on the day")
            .watching(
                "Light does not matter for the volts: the first sun on a cold panel gives nearly all"
                    + " of them.",
                "The open volts of a sheet may be off by 3 %: leave room.",
                "Amps and watts are drawn, not pushed: more than the port takes is left on the"
                    + " roof.")
            .otherwise(never ? "" : Designer.schools(arrangement.plateWatts(), port));
    return new Explanation(
        arrangement.words(),
        never
            ? Figures.fixed(way.coldVolts(), 1) + " V"
            : Figures.fixed(way.fullSunWatts(), 0) + " W",
        never ? Unit.VOLT : Unit.WATT,
        because);
  }

  private void cold(List<String> sum) {
    Panel panel = arrangement.panel();
    sum.add(Figures.plain(panel.openVolts(), Unit.VOLT) + " open circuit, by its sheet");
    double factor = ColdVolts.factor(panel, site.coldestCelsius());
    String at = Figures.plain(site.coldestCelsius(), Unit.CELSIUS);
    sum.add(
        "× "
            + Figures.fixed(factor, 3)
            + " at "
            + at
            + (ColdVolts.bySheet(panel)
                ? ", by its coefficient of "
                    + Figures.plain(panel.voltsPerKelvin())
                    + " % a kelvin from 25\u00a0°C"
                : ", by NEC table 690.7(A)"));
    double warm = arrangement.series() * panel.openVolts();
    boolean coldOnly = warm <= port.mostVolts() && way.coldVolts() > port.mostVolts();
    sum.add(
        "× "
            + arrangement.series()
            + " in series = "
            + Figures.fixed(way.coldVolts(), 1)
            + " V; the port may see "
            + Figures.plain(port.mostVolts(), Unit.VOLT)
            + (coldOnly
                ? ". At 25\u00a0°C it would be "
                    + Figures.fixed(warm, 1)
                    + " V: the cold alone forbids it"
                : ""));
  }

  private void sun(List<String> sum) {
    double cells = CellWarmth.celsius(site.airCelsius(), FULL_LIGHT);
    DiodeModel model = DiodeModel.of(arrangement.panel());
    double[] drawn = arrangement.drawn(model, port, 1000, cells);
    double[] peak = model.at(1000, cells).peak();
    double could = arrangement.panels() * peak[0] * peak[1];
    sum.add(
        "In full sun with cells at "
            + Figures.fixed(cells, 0)
            + "\u00a0°C the panels could give "
            + Figures.fixed(could, 0)
            + " W at "
            + Figures.fixed(arrangement.series() * peak[0], 1)
            + " V");
    sum.add(
        drawn[2] <= 0
            ? "The port begins at "
                + Figures.plain(port.leastVolts(), Unit.VOLT)
                + ": nothing is drawn"
            : "The port draws "
                + Figures.fixed(drawn[1], 1)
                + " A at "
                + Figures.fixed(drawn[0], 1)
                + " V = "
                + Figures.fixed(drawn[2], 0)
                + " W"
                + bound(drawn, could));
  }

  private String bound(double[] drawn, double could) {
    if (drawn[2] >= 0.995 * could) {
      return ", all they have";
    }
    return drawn[2] >= 0.995 * port.watts()
        ? ", its most watts"
        : drawn[1] >= 0.995 * port.amps() ? ", its most amps" : ", held by its volt window";
  }

  /** What a converter between would change. */
  private String boost() {
    DiodeModel model = DiodeModel.of(arrangement.panel());
    double[] peak = model.at(1000, CellWarmth.celsius(site.airCelsius(), FULL_LIGHT)).peak();
    double volts = port.mostVolts() - UNDER;
    if (arrangement.series() * peak[0] >= volts || volts <= port.leastVolts()) {
      return "A boost converter has nothing to raise: the string has the port's volts already";
    }
    Boost boost = new Boost(volts, CONVERTER);
    double taken = boost.taken(port, arrangement.panels() * peak[0] * peak[1]);
    return "Through a boost converter set to "
        + Figures.plain(volts, Unit.VOLT)
        + ": "
        + Figures.fixed(taken, 0)
        + " W"
        + (taken > (1 + WORTH) * way.fullSunWatts()
            ? ", " + Figures.fixed(taken - way.fullSunWatts(), 0) + " W more"
            : ", no gain");
  }
}

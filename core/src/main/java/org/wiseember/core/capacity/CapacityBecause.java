package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/** The sum behind a delivered energy, in the tester's own terms. */
record CapacityBecause(
    PowerReading power,
    double ratedWattHours,
    double energy,
    Budget budget,
    double hours,
    double measured,
    double taken,
    GapBridge bridge,
    BesideMeter beside) {
  /** Warnings that say why another figure is missing; they do not touch the energy. */
  private static final Set<String> NOT_ABOUT_ENERGY = Set.of("no_dc_current", "no_rating");

  Because of(int readings, Optional<Double> display, List<Warning> warnings) {
    double u95 = budget.u95();
    List<String> sum = new ArrayList<>();
    sum.add("E = Σ P·Δt over " + Figures.plain(readings) + " readings of " + power.kind().words());
    if (bridge.count() > 0) {
      sum.add(
          "= "
              + wattHours(measured)
              + " read + "
              + wattHours(bridge.wattHours())
              + " bridged over "
              + Figures.duration(bridge.seconds()));
    }
    if (hours > 0) {
      sum.add(
          "= "
              + Figures.fixed(taken / hours, 1)
              + " W × "
              + Figures.fixed(hours, 4)
              + " h = "
              + Figures.rounded(taken, u95)
              + " Wh");
    }
    if (beside.standing() > 0) {
      sum.add("+ " + wattHours(beside.standing()) + " that a radio or an app took from the load");
    }
    if (beside.leads() > 0) {
      sum.add("+ " + wattHours(beside.leads()) + " lost in the leads before the meter");
    }
    String written = Figures.rounded(energy, u95);
    if (beside.wattHours() > 0) {
      sum.add("= " + written + " Wh");
    }
    String summary = "from " + Figures.duration(hours * 3600) + " under load";
    if (!Double.isNaN(ratedWattHours)) {
      String yield = Figures.fixed(100 * energy / ratedWattHours, 1) + " %";
      summary = yield + " of the " + Figures.plain(ratedWattHours) + " Wh on the label";
    }
    display.ifPresent(
        percent -> sum.add("Display at the cut-off: " + Figures.plain(percent) + " %"));
    boolean ac = power.alternatingCurrent();
    List<String> watch = new ArrayList<>();
    watch.add(
        ac
            ? "This is energy delivered at the outlet against the label. It mixes what the cells"
                + " gave at this load, the reserve kept back and the inverter's losses; it is not"
                + " conversion efficiency."
            : "This is energy taken on the DC side: no inverter losses are in it. At the 12 V port"
                + " those of its converter are.");
    warnings.stream()
        .filter(w -> !NOT_ABOUT_ENERGY.contains(w.code()))
        .forEach(w -> watch.add(w.message()));
    return Because.of(budget, sum)
        .summed(summary)
        .watching(watch)
        .otherwise(
            "A gentler load yields more. Some testers drain on the DC side at 0.2 C, some at half"
                + " and some at full AC rating; figures from different loads do not compare.");
  }

  /** What the energy is called. */
  static String name(boolean alternatingCurrent) {
    return alternatingCurrent ? "AC energy delivered" : "DC energy delivered";
  }

  private static String wattHours(double value) {
    return Figures.plain(value, Unit.WATT_HOUR);
  }
}

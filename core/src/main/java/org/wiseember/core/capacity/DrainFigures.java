package org.wiseember.core.capacity;

import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/**
 * The figures of a drain, each with its own because.
 *
 * @param cutShort whether the drain ended before the unit did: what came out is then the least that
 *     would have
 */
record DrainFigures(boolean cutShort) {
  private static final double SECONDS_PER_HOUR = 3600;

  private Figure bounded(Figure figure) {
    return cutShort ? figure.bounded(Bound.AT_LEAST) : figure;
  }

  /** Wh from the first loaded reading to the cut-off. */
  Figure energy(boolean alternatingCurrent, double wattHours, Because because) {
    return bounded(
        Figure.of(
            "delivered_energy",
            CapacityBecause.name(alternatingCurrent),
            wattHours,
            Unit.WATT_HOUR,
            because));
  }

  /** Ah over the same time. */
  Figure charge(Figure charge) {
    return bounded(charge);
  }

  /** s from the first loaded reading to the cut-off, pauses of the load inside. */
  Figure duration(double seconds, Budget budget) {
    return bounded(
        Figure.of(
            "duration",
            "Time under load",
            seconds,
            Unit.SECOND,
            Because.of(budget, "From the first loaded reading to the cut-off")
                .summed(Figures.duration(seconds) + ", pauses of the load inside")));
  }

  /** W, the energy the load took over the time it was on. */
  Figure meanPower(Figure energy, double wattHours, Figure duration) {
    double mean = wattHours / (duration.value() / SECONDS_PER_HOUR);
    Budget budget =
        energy
            .budget()
            .scaled(mean / wattHours)
            .with(duration.budget().scaled(mean / duration.value()));
    return Figure.of(
        "mean_power",
        "Mean power",
        mean,
        Unit.WATT,
        Because.of(
                wattHours > 0 ? budget : Budget.of(),
                Figures.rounded(wattHours, energy.u95())
                    + " Wh ÷ "
                    + Figures.fixed(duration.value() / SECONDS_PER_HOUR, 4)
                    + " h = "
                    + Figures.rounded(mean, wattHours > 0 ? budget.u95() : 0)
                    + " W")
            .summed("over the whole drain, pauses inside")
            .from(energy, duration));
  }

  /** Delivered over the label, %; empty where the label has no capacity. */
  Optional<Figure> yieldOf(Figure energy, double ratedWattHours) {
    if (Double.isNaN(ratedWattHours)) {
      return Optional.empty();
    }
    Budget budget = energy.budget().scaled(100 / ratedWattHours);
    double percent = 100 * energy.value() / ratedWattHours;
    return Optional.of(
        bounded(
            Figure.of(
                "yield",
                "Yield",
                percent,
                Unit.PERCENT,
                Because.of(
                        budget,
                        Figures.rounded(energy.value(), energy.u95())
                            + " Wh ÷ "
                            + Figures.plain(ratedWattHours)
                            + " Wh = "
                            + Figures.rounded(percent, budget.u95())
                            + " %")
                    .summed("of the " + Figures.plain(ratedWattHours) + " Wh on the label")
                    .from(energy)
                    .watching(
                        "Yield mixes what the cells gave at this load, the reserve and the inverter;"
                            + " it is not conversion efficiency."))));
  }

  /** s from the first row of the log to the cut-off. */
  Figure cutoffTime(double seconds, Budget budget) {
    return Figure.of(
        "cutoff_time",
        "Cut-off",
        seconds,
        Unit.SECOND,
        Because.of(budget, "From the first row of the log to the cut-off")
            .summed(Figures.duration(seconds) + " into the log"));
  }
}

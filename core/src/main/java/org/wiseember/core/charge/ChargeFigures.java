package org.wiseember.core.charge;

import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * The figures of a charge, each with its own because.
 *
 * @param start of the charge, s in the log
 * @param end of it, s in the log
 * @param endSeen whether it stopped by itself; else more would have gone in
 * @param meter behind the watts
 */
record ChargeFigures(double start, double end, boolean endSeen, MeterClass meter) {
  private static final double SECONDS_PER_HOUR = 3600;

  private static final String OTHER =
      "Some stop at 100 % on the display, which may come before or after the charge ends.";

  Figure energyIn(double wattHours, Budget budget) {
    Figure energy =
        Figure.of(
            "energy_in",
            "Energy in",
            wattHours,
            Unit.WATT_HOUR,
            Because.of(
                    budget,
                    "From " + Figures.clock(start) + " to " + Figures.clock(end) + " in the log",
                    "E = ∫P dt = " + Figures.rounded(wattHours, budget.u95()) + " Wh")
                .summed("from the first charging reading to the last")
                .watching(
                    "What a charger loses as heat is in it where the meter sits before the charger.",
                    "A hot pack charges slower: note its temperature and how long it rested.")
                .otherwise(OTHER));
    return endSeen ? energy : energy.bounded(Bound.AT_LEAST);
  }

  Figure peak(double watts) {
    Budget budget =
        Budget.of(Repeats.once(watts, Repeats.WHOLE_TEST)).with("Input meter", meter, watts, 1);
    return Figure.of(
        "peak_power",
        "Peak",
        watts,
        Unit.WATT,
        Because.of(
                budget,
                "Highest median over half a minute = "
                    + Figures.rounded(watts, budget.u95())
                    + " W")
            .summed("the most it took")
            .watching("Neither a spike nor a meter's noise is a peak.")
            .otherwise("Some give the highest single reading, which is a little more."));
  }

  Figure mean(Figure energy) {
    double hours = (end - start) / SECONDS_PER_HOUR;
    Budget budget = energy.budget().scaled(1 / hours);
    return Figure.of(
        "mean_power",
        "Mean power",
        energy.value() / hours,
        Unit.WATT,
        Because.of(
                budget,
                Figures.rounded(energy.value(), energy.u95())
                    + " Wh ÷ "
                    + Figures.fixed(hours, 3)
                    + " h = "
                    + Figures.rounded(energy.value() / hours, budget.u95())
                    + " W")
            .summed("from the first charging reading to the last")
            .from(energy));
  }

  /** Where a slow fall ends is a matter of taste: such times are not surer than a hundredth. */
  private static Budget moment(double seconds, double interval, double share) {
    return Budget.of(
        share * seconds > interval
            ? Contribution.wholeWidth(
                "Where a slow end is told, a hundredth taken", share * seconds)
            : Contribution.wholeWidth("Where it is told between readings", interval),
        Repeats.once(seconds, Repeats.WHOLE_TEST));
  }

  Figure timeTo80(double seconds, double interval, Figure energy) {
    return Figure.of(
        "time_to_80",
        "80 % of the energy after",
        seconds,
        Unit.SECOND,
        Because.of(
                moment(seconds, interval, 0.01),
                "0.8 × "
                    + Figures.rounded(energy.value(), energy.u95())
                    + " Wh was in after "
                    + Figures.duration(seconds))
            .summed("until 80 % of the energy was in")
            .from(energy)
            .watching("80 % of the energy that went in, not 80 % on the display."));
  }

  Figure timeToFull(double seconds, double interval) {
    return Figure.of(
        "time_to_full",
        "Full after",
        seconds,
        Unit.SECOND,
        Because.of(
                moment(seconds, interval, 0.01),
                "From "
                    + Figures.clock(start)
                    + " to "
                    + Figures.clock(end)
                    + " = "
                    + Figures.duration(seconds))
            .summed("until it stopped charging by itself")
            .otherwise(OTHER));
  }

  Figure taperStart(double seconds, double interval) {
    return Figure.of(
        "taper_start",
        "Begins to taper after",
        seconds,
        Unit.SECOND,
        Because.of(
                Budget.of(
                    Contribution.wholeWidth(
                        "Where a fall begins", Math.max(interval, 0.01 * (end - start)))),
                "The watts fall for good from "
                    + Figures.duration(seconds)
                    + " after the first charging reading on")
            .summed("where the power begins to fall"));
  }

  Figure taperShare(double percent, Figure energy, Figure taperStart) {
    return Figure.of(
        "taper_share",
        "Energy in when it begins to taper",
        percent,
        Unit.PERCENT,
        Because.of(
                Budget.of(Contribution.wholeWidth("Where a fall begins", 2)),
                "Energy in by then over all of "
                    + Figures.rounded(energy.value(), energy.u95())
                    + " Wh")
            .summed("of the energy that went in")
            .from(energy, taperStart));
  }
}

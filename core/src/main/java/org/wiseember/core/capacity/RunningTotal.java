package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * Usable capacity from nothing but a meter's running total: what the total gained between its first
 * and last rise. A total that falls was reset; what it had gained before is kept.
 */
final class RunningTotal {
  private final Trace trace;
  private final CapacityMethod method;
  private final List<Warning> warnings;

  /**
   * @param trace with what was left out by hand missing
   * @param warnings given so far
   */
  RunningTotal(Trace trace, CapacityMethod method, List<Warning> warnings) {
    this.trace = trace;
    this.method = method;
    this.warnings = new ArrayList<>(warnings);
  }

  CapacityFinding find() {
    Series total = trace.series(Channel.AC_ENERGY);
    if (method.treatment().cutoff().isPresent()) {
      double moment = method.treatment().cutoff().getAsDouble();
      total = total.upTo(moment);
      warnings.add(
          new Warning(
              "cutoff_moved",
              "The cut-off was set by hand, "
                  + Figures.clock(moment - trace.seconds(0))
                  + " into the log; figures go up to there."));
    }
    double gained = 0;
    int first = -1;
    int last = -1;
    int resets = 0;
    for (int i = 1; i < total.size(); i++) {
      double rise = total.value(i) - total.value(i - 1);
      if (rise > 0) {
        gained += rise;
        first = first < 0 ? i - 1 : first;
        last = i;
      } else if (rise < 0) {
        resets++;
      }
    }
    if (last < 0) {
      warnings.add(
          new Warning(
              "no_power",
              "The log has no power, no volts with amps and no energy total that rises, so there"
                  + " is no drain to work out."));
      return CapacityFinding.none(warnings);
    }
    if (resets > 0) {
      warnings.add(
          new Warning(
              "total_fell",
              "The meter's total fell "
                  + (resets == 1 ? "once" : resets + " times")
                  + "; it was reset or lost power, and energy around that moment is missing."));
    }
    warnings.add(
        new Warning("total_only", "Worked out from the meter's running total, without power."));
    warnings.add(
        new Warning("no_dc_current", "No DC current in this log, so no delivered charge."));
    if (method.accuracyAssumed()) {
      warnings.add(UsableCapacity.accuracyAssumed(method.power()));
    }
    double start = total.seconds(first);
    double end = total.seconds(last);
    double seconds = end - start;
    double meanPower = seconds > 0 ? gained / (seconds / 3600) : 0;
    double watts = meanPower > 0 ? meanPower : 1;
    Budget budget =
        new Budget(List.of())
            .with("Meter", method.power(), watts, gained / watts)
            .with(Contribution.rectangular("Steps of the total", step(total)))
            .with(Repeats.once(gained, Repeats.WHOLE_TEST));
    Budget time = Budget.of(Contribution.rectangular("Between two totals", total.usualInterval()));
    if (Double.isNaN(method.ratedWattHours())) {
      warnings.add(new Warning("no_rating", "No rated capacity was given, so there is no yield."));
    }
    DrainFigures figures = new DrainFigures(CapacityFinding.cutShort(warnings));
    Figure energy =
        figures.energy(
            true,
            gained,
            Because.of(
                    budget,
                    "E = what the total gained = " + Figures.rounded(gained, budget.u95()) + " Wh")
                .summed("from the meter's own total")
                .watching(warnings.stream().map(Warning::message).toList()));
    Figure duration = figures.duration(seconds, time);
    return new CapacityFinding(
        Optional.of(energy),
        Optional.empty(),
        Optional.of(duration),
        seconds > 0 ? Optional.of(figures.meanPower(energy, gained, duration)) : Optional.empty(),
        figures.yieldOf(energy, method.ratedWattHours()),
        Optional.of(figures.cutoffTime(end - trace.seconds(0), time)),
        start,
        end,
        true,
        Optional.empty(),
        warnings);
  }

  /**
   * By how much the total moves at least. A logged total stands still between its steps; one read
   * off by hand rises every time, and its step is that of its last digit: the greatest power of ten
   * of which every reading is a whole multiple.
   */
  static double step(Series total) {
    double least = Double.POSITIVE_INFINITY;
    int still = 0;
    for (int i = 1; i < total.size(); i++) {
      double rise = total.value(i) - total.value(i - 1);
      if (rise > 0) {
        least = Math.min(least, rise);
      } else if (rise == 0) {
        still++;
      }
    }
    return still > total.size() / 4 ? least : Math.min(least, lastDigit(total));
  }

  private static double lastDigit(Series total) {
    for (double step = 100; step > 0.001; step /= 10) {
      double wanted = step;
      boolean fits = true;
      for (int i = 0; i < total.size() && fits; i++) {
        double steps = total.value(i) / wanted;
        fits = Math.abs(steps - Math.rint(steps)) < 1e-6;
      }
      if (fits) {
        return step;
      }
    }
    return 0.001;
  }
}

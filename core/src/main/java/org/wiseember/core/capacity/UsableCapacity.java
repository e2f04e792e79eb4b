package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.core.because.Because;
import org.wiseember.core.because.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * Usable capacity from the trace of one drain: E = ∫ P dt from the first loaded reading to the
 * cut-off, by the trapezoid rule on the real timestamps.
 *
 * <p>Source: definition; common practice for the choice of start and end, no published source.
 * Holes in the readings are bridged only in the open: with the meter's own running total where it
 * has one, else at the power on both sides with an uncertainty as large as the bridge.
 */
public final class UsableCapacity {
  private static final double SECONDS_PER_HOUR = 3600;

  /** Readings further apart than this are written down by a person, not logged, s. */
  private static final double HAND_SECONDS = 120;

  /** Warnings that say why another figure is missing; they do not touch the energy. */
  private static final Set<String> NOT_ABOUT_ENERGY = Set.of("no_dc_current", "no_rating");

  private final Trace trace;
  private final CapacityMethod method;
  private final List<Warning> warnings = new ArrayList<>();

  private UsableCapacity(Trace trace, CapacityMethod method) {
    this.trace = trace;
    this.method = method;
  }

  /**
   * Works out one drain.
   *
   * @param trace readings in SI units and Wh; may be empty
   * @param method the label and the meters
   * @return figures, or empty figures with a warning that says what is missing
   */
  public static CapacityFinding of(Trace trace, CapacityMethod method) {
    return new UsableCapacity(trace, method).find();
  }

  private CapacityFinding find() {
    Optional<PowerReading> reading = PowerReading.of(trace);
    if (reading.isEmpty() || readByHand(reading.get().series())) {
      return new RunningTotal(trace, method).find();
    }
    PowerReading power = reading.get();
    warnings.addAll(power.warnings());
    Series series = power.series();
    LoadPhases phases = LoadPhases.find(series);
    if (phases.on().isEmpty()) {
      warnings.add(
          new Warning("no_load", "No load is seen in this log, so there is no drain to work out."));
      return CapacityFinding.none(warnings);
    }
    if (method.accuracyAssumed()) {
      warnings.add(accuracyAssumed(method.power()));
    }
    return workOut(power, phases);
  }

  /**
   * Watts noted every few minutes say little about what passed between them; the meter's own total,
   * where somebody wrote it down, has counted it all.
   */
  private boolean readByHand(Series watts) {
    Series total = trace.series(Channel.AC_ENERGY);
    boolean sparse = watts.size() < 2 || watts.usualInterval() > HAND_SECONDS;
    return sparse
        && total.size() >= 2
        && total.value(total.size() - 1) > total.value(0)
        && total.seconds(total.size() - 1) >= lastTime(watts);
  }

  private static double lastTime(Series series) {
    return series.size() == 0 ? Double.NEGATIVE_INFINITY : series.seconds(series.size() - 1);
  }

  static Warning accuracyAssumed(MeterClass meter) {
    return new Warning(
        "accuracy_assumed",
        "The meter's accuracy was not given; ± " + meter.words() + " of reading is assumed.");
  }

  private CapacityFinding workOut(PowerReading power, LoadPhases phases) {
    Series series = power.series();
    int first = phases.on().get(0).first();
    int last = phases.on().get(phases.on().size() - 1).last();
    double pace = series.usualInterval();
    boolean deadSeen = last + 1 < series.size() && !series.gapAfter(last);
    int end = deadSeen ? last + 1 : last;
    double start = series.seconds(first);
    double cutoff =
        deadSeen ? (series.seconds(last) + series.seconds(last + 1)) / 2 : series.seconds(last);
    double onset =
        first > 0 && !series.gapAfter(first - 1) ? start - series.seconds(first - 1) : pace;

    double measured = series.integral(first, end) / SECONDS_PER_HOUR;
    Bridge bridge = bridgeGaps(series, phases, first, end);
    double energy = measured + bridge.wattHours();
    double hours = (cutoff - start) / SECONDS_PER_HOUR;
    double onHours = onHours(series, phases);

    noteEnds(series, phases, first, last, deadSeen);
    noteCycling(series, phases);

    Budget budget = new Budget(List.of());
    double onPower = onHours > 0 ? Math.min(energy / onHours, phases.level() * 2) : phases.level();
    MeterClass meter = method.power();
    budget =
        budget.with(
            Contribution.rectangular("Meter, " + meter.words(), relative(meter, onPower) * energy));
    if (meter.resolution() > 0) {
      budget =
          budget.with(
              Contribution.rectangular(
                  "Last digit of the meter", meter.resolution() / 2 * onHours));
    }
    double level = phases.level();
    boolean startSeen = first > 0;
    budget =
        budget.with(
            Contribution.rectangular(
                "Start and end between readings",
                level
                    * Math.hypot(startSeen ? onset : 0, deadSeen ? pace / 2 : pace)
                    / SECONDS_PER_HOUR));
    int edges = 2 * (phases.on().size() - 1);
    if (edges > 0) {
      // Each switching falls anywhere between two readings, independently of the others.
      budget =
          budget.with(
              new Contribution(
                  "Switching between readings, " + edges + " times",
                  level * pace / SECONDS_PER_HOUR / Math.sqrt(12) * Math.sqrt(edges),
                  Double.POSITIVE_INFINITY,
                  ""));
    }
    if (bridge.halfWidth() > 0) {
      budget = budget.with(Contribution.rectangular("Bridged gaps", bridge.halfWidth()));
    }
    Estimate delivered = new Estimate(energy, budget.u95());

    double timeHalfWidth =
        Math.hypot(startSeen ? onset : 0, deadSeen ? halfHole(series, last) : pace);
    // If the clock was set, the gap was no time at all.
    double clockDoubt = method.clockMayStep() ? bridge.seconds() : 0;
    Estimate duration =
        new Estimate(
            cutoff - start,
            Budget.of(Contribution.rectangular("Time", Math.hypot(timeHalfWidth, clockDoubt)))
                .u95());
    Optional<Estimate> meanPower =
        hours > 0
            ? Optional.of(
                new Estimate(
                    energy / hours,
                    energy
                        / hours
                        * Math.hypot(
                            energy > 0 ? delivered.u95() / energy : 0,
                            duration.u95() / duration.value())))
            : Optional.empty();
    if (meanPower.isEmpty()) {
      warnings.add(
          new Warning("too_short", "Only one loaded reading: there is no time to average over."));
    }
    Optional<Estimate> yield = yieldOf(delivered);
    double cutoffHalfWidth = deadSeen ? halfHole(series, last) : pace;
    Estimate cutoffTime =
        new Estimate(
            cutoff - trace.seconds(0),
            Budget.of(Contribution.rectangular("Time", Math.hypot(cutoffHalfWidth, clockDoubt)))
                .u95());
    return new CapacityFinding(
        Optional.of(delivered),
        charge(start, cutoff),
        Optional.of(duration),
        meanPower,
        yield,
        Optional.of(cutoffTime),
        start,
        cutoff,
        power.alternatingCurrent(),
        Optional.of(because(power, delivered, duration, measured, bridge, budget, end - first + 1)),
        warnings);
  }

  private static double halfHole(Series series, int last) {
    return (series.seconds(last + 1) - series.seconds(last)) / 2;
  }

  private static double relative(MeterClass meter, double reading) {
    return reading > 0 ? meter.halfWidth(reading) / reading : 0;
  }

  private static double onHours(Series series, LoadPhases phases) {
    double seconds = 0;
    for (LoadPhases.Phase phase : phases.on()) {
      seconds += series.seconds(phase.last()) - series.seconds(phase.first());
    }
    return seconds / SECONDS_PER_HOUR;
  }

  private Optional<Estimate> yieldOf(Estimate delivered) {
    if (Double.isNaN(method.ratedWattHours())) {
      warnings.add(new Warning("no_rating", "No rated capacity was given, so there is no yield."));
      return Optional.empty();
    }
    return Optional.of(delivered.scaled(100 / method.ratedWattHours()));
  }

  /** Energy in the holes. */
  private record Bridge(double wattHours, double halfWidth, double seconds, int count) {}

  private Bridge bridgeGaps(Series series, LoadPhases phases, int first, int end) {
    double energy = 0;
    double halfWidth = 0;
    double seconds = 0;
    List<Series.Gap> gaps = series.gaps(first, end);
    for (Series.Gap gap : gaps) {
      double before = series.value(gap.index());
      double after = series.value(gap.index() + 1);
      double hours = gap.seconds() / SECONDS_PER_HOUR;
      double most = phases.level() * hours;
      Optional<Double> counted = totalAcross(gap).filter(wh -> wh >= 0 && wh <= 1.5 * most);
      seconds += gap.seconds();
      if (counted.isPresent()) {
        energy += counted.get();
        halfWidth += relative(method.power(), phases.level()) * counted.get();
        warnings.add(
            gapWarning(gap, "the meter's own total gives " + wattHours(counted.get()) + " for it"));
        continue;
      }
      boolean onBefore = before > phases.threshold();
      boolean onAfter = after > phases.threshold();
      double guess;
      if (phases.cycles()) {
        guess = most / 2;
      } else if (onBefore && onAfter) {
        guess = (before + after) / 2 * hours;
      } else if (onBefore || onAfter) {
        guess = most / 2;
      } else {
        guess = 0;
      }
      energy += guess;
      // Nothing is known of the hole: as much again either way must stay possible.
      halfWidth += Math.max(guess, onBefore || onAfter ? most / 2 : 0);
      warnings.add(
          gapWarning(
              gap, "bridged with " + wattHours(guess) + " and the uncertainty widened by as much"));
    }
    return new Bridge(energy, halfWidth, seconds, gaps.size());
  }

  private Warning gapWarning(Series.Gap gap, String how) {
    return new Warning(
        "gap",
        "No readings for "
            + Figures.duration(gap.seconds())
            + " from "
            + Figures.clock(gap.from() - trace.seconds(0))
            + "; "
            + how
            + ".");
  }

  private static String wattHours(double value) {
    return Figures.plain(value, Unit.WATT_HOUR);
  }

  /** What the meter's running total gained across a hole, where the total is there. */
  private Optional<Double> totalAcross(Series.Gap gap) {
    Series total = trace.series(Channel.AC_ENERGY);
    double before = Double.NaN;
    for (int i = 0; i < total.size(); i++) {
      if (total.seconds(i) <= gap.from()) {
        before = total.value(i);
      } else if (total.seconds(i) >= gap.to()) {
        return Double.isNaN(before) ? Optional.empty() : Optional.of(total.value(i) - before);
      }
    }
    return Optional.empty();
  }

  private void noteEnds(Series series, LoadPhases phases, int first, int last, boolean deadSeen) {
    double before = series.seconds(first) - trace.seconds(0);
    if (before > Math.max(60, 5 * series.usualInterval())) {
      warnings.add(
          new Warning(
              "starts_late",
              "The load came on "
                  + Figures.duration(before)
                  + " into the log; time and energy are counted from there."));
    }
    if (!deadSeen) {
      String what;
      if (last + 1 < series.size()) {
        what =
            "Readings stop under load and go on later; the cut-off is taken at the last loaded"
                + " reading, and the unit may have run on.";
      } else if (trace.seconds(trace.size() - 1) - series.seconds(last) > Series.GAP_SECONDS) {
        what =
            "The power readings stop under load while the log goes on: the meter may have stopped"
                + " before the unit, so this is the least the unit delivered.";
      } else {
        what =
            "The log ends under load: the cut-off was not seen, so this is the least the unit"
                + " delivered.";
      }
      warnings.add(new Warning("cutoff_not_seen", what));
    } else if (phases.cycles()) {
      double tail = series.seconds(series.size() - 1) - series.seconds(last);
      if (phases.later().isEmpty() && tail < 1.5 * phases.longestPause(series)) {
        warnings.add(
            new Warning(
                "ends_in_pause",
                "The log ends in a pause no longer than the load's own; the unit may still have"
                    + " been alive."));
      }
    }
    if (!phases.later().isEmpty()) {
      LoadPhases.Phase back = phases.later().get(0);
      warnings.add(
          new Warning(
              "load_returned",
              "Load comes back "
                  + Figures.duration(series.seconds(back.first()) - series.seconds(last))
                  + " after the cut-off; what follows is left out of the drain."));
    }
  }

  private void noteCycling(Series series, LoadPhases phases) {
    int pauses = phases.on().size() - 1;
    if (pauses > 0) {
      warnings.add(
          new Warning(
              "load_cycles",
              "The load went off and came back "
                  + (pauses == 1 ? "once" : pauses + " times")
                  + ", up to "
                  + Figures.duration(phases.longestPause(series))
                  + " at a time; mean power includes the pauses."));
    }
  }

  private Optional<Estimate> charge(double start, double cutoff) {
    Series amps = trace.series(Channel.DC_CURRENT);
    int from = -1;
    int to = -1;
    for (int i = 0; i < amps.size(); i++) {
      if (amps.seconds(i) >= start && from < 0) {
        from = i;
      }
      if (amps.seconds(i) <= cutoff) {
        to = i;
      }
    }
    if (from < 0 || to <= from) {
      warnings.add(
          new Warning("no_dc_current", "No DC current in this log, so no delivered charge."));
      return Optional.empty();
    }
    double ampHours = amps.integral(from, to) / SECONDS_PER_HOUR;
    double hours = (amps.seconds(to) - amps.seconds(from)) / SECONDS_PER_HOUR;
    double mean = hours > 0 ? ampHours / hours : 0;
    double missing = 0;
    for (Series.Gap gap : amps.gaps(from, to)) {
      missing += gap.seconds() / SECONDS_PER_HOUR * Math.abs(amps.value(gap.index()));
    }
    Budget budget =
        Budget.of(
            Contribution.rectangular("Clamp", relative(method.current(), mean) * ampHours),
            Contribution.rectangular(
                "Start and end", Math.abs(mean) * amps.usualInterval() / SECONDS_PER_HOUR),
            Contribution.rectangular("Gaps", missing));
    return Optional.of(new Estimate(ampHours + missing, budget.u95()));
  }

  private Because because(
      PowerReading power,
      Estimate delivered,
      Estimate duration,
      double measured,
      Bridge bridge,
      Budget budget,
      int readings) {
    List<String> sum = new ArrayList<>();
    double hours = duration.value() / SECONDS_PER_HOUR;
    sum.add("E = Σ P·Δt over " + Figures.plain(readings) + " readings of " + power.words());
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
              + Figures.fixed(delivered.value() / hours, 1)
              + " W × "
              + Figures.fixed(hours, 4)
              + " h = "
              + Figures.rounded(delivered.value(), delivered.u95())
              + " Wh");
    }
    String summary = "from " + Figures.duration(duration.value()) + " under load";
    if (!Double.isNaN(method.ratedWattHours())) {
      double yield = 100 * delivered.value() / method.ratedWattHours();
      sum.add(
          Figures.rounded(delivered.value(), delivered.u95())
              + " ÷ "
              + Figures.plain(method.ratedWattHours())
              + " = "
              + Figures.fixed(yield, 1)
              + " %");
      summary =
          Figures.fixed(yield, 1)
              + " % of the "
              + Figures.plain(method.ratedWattHours())
              + " Wh on the label";
    }
    List<String> watch = new ArrayList<>();
    watch.add(
        power.alternatingCurrent()
            ? "This is energy delivered at the outlet against the label. It mixes what the cells"
                + " gave at this load, the reserve kept back and the inverter's losses; it is not"
                + " conversion efficiency."
            : "This is energy taken on the DC side: no inverter losses are in it.");
    warnings.stream()
        .filter(w -> !NOT_ABOUT_ENERGY.contains(w.code()))
        .forEach(w -> watch.add(w.message()));
    return new Because(
        power.alternatingCurrent() ? "AC energy delivered" : "DC energy delivered",
        Figures.withUncertainty(delivered.value(), delivered.u95(), Unit.WATT_HOUR),
        summary,
        sum,
        Unit.WATT_HOUR,
        budget,
        watch,
        "A gentler load yields more. Some testers drain on the DC side at 0.2 C, some at half and"
            + " some at full AC rating; figures from different loads do not compare.");
  }
}

package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
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

  /** A source that gives less than this, or this share of the load, does not count, W. */
  private static final double FED_WATTS = 5;

  private static final double FED_SHARE = 0.02;
  private static final double FED_SECONDS = 60;

  /** A display read longer ago than this says nothing of the cut-off, s. */
  private static final double DISPLAY_REACH = 900;

  /** From here on a display at the cut-off is not at its end, %. */
  private static final double RESERVE_SHOWN = 3;

  private static final Series NO_READINGS = Trace.empty().series(Channel.AC_ENERGY);

  private final Trace trace;
  private final CapacityMethod method;
  private final List<Warning> warnings = new ArrayList<>();

  private UsableCapacity(Trace trace, CapacityMethod method) {
    this.trace = method.treatment().of(trace);
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
    for (Treatment.LeftOut stretch : method.treatment().leftOut()) {
      warnings.add(
          new Warning(
              "left_out",
              "Left out by hand from "
                  + Figures.clock(stretch.from() - origin())
                  + " to "
                  + Figures.clock(stretch.to() - origin())
                  + ": "
                  + stretch.reason()
                  + "."));
    }
    Optional<PowerReading> reading = PowerReading.of(trace);
    if (reading.isEmpty() && onlyDisplay()) {
      warnings.add(
          new Warning(
              "display_only",
              "The only watts in this log are those of the unit's own display, which is what a test"
                  + " is to check; log a meter's watts."));
      return CapacityFinding.none(warnings);
    }
    if (reading.isEmpty() || readByHand(reading.get().series())) {
      return new RunningTotal(trace, method, warnings).find();
    }
    PowerReading power = reading.get();
    warnings.addAll(power.warnings());
    OptionalDouble moved = method.treatment().cutoff();
    Series series = power.series();
    LoadPhases phases = LoadPhases.find(series);
    double fed = phases.on().isEmpty() ? Double.NaN : fedFrom(phases, series);
    double endHalfWidth = Double.NaN;
    if (moved.isPresent() || !Double.isNaN(fed)) {
      double moment = Double.isNaN(fed) ? moved.orElseThrow() : Math.min(fed, moved.orElse(fed));
      endHalfWidth = moment == fed ? series.usualInterval() : 0;
      series = series.upTo(moment);
      phases = moved.isPresent() ? LoadPhases.all(series) : LoadPhases.find(series);
    }
    if (phases.on().isEmpty()) {
      warnings.add(
          new Warning("no_load", "No load is seen in this log, so there is no drain to work out."));
      return CapacityFinding.none(warnings);
    }
    if (method.accuracyAssumed()) {
      warnings.add(accuracyAssumed(method.power()));
    }
    moved.ifPresent(
        at ->
            warnings.add(
                new Warning(
                    "cutoff_moved",
                    "The cut-off was set by hand, "
                        + Figures.clock(at - origin())
                        + " into the log; figures go up to there.")));
    return workOut(power, series, phases, endHalfWidth);
  }

  private double origin() {
    return trace.isEmpty() ? 0 : trace.seconds(0);
  }

  private boolean onlyDisplay() {
    return trace.series(Channel.DISPLAY_POWER).size() > 1
        && trace.series(Channel.AC_ENERGY).size() < 2;
  }

  /**
   * When a source began to feed the unit under load; from then on the socket gives more than the
   * pack. NaN where none did.
   */
  private double fedFrom(LoadPhases phases, Series power) {
    Series in = trace.series(Channel.IN_POWER);
    double start = power.seconds(phases.on().get(0).first());
    double end = power.seconds(phases.on().get(phases.on().size() - 1).last());
    double enough = Math.max(FED_WATTS, FED_SHARE * phases.level());
    double since = Double.NaN;
    for (int i = in.from(start); i < in.size() && in.seconds(i) <= end; i++) {
      if (!(in.value(i) > enough)) {
        since = Double.NaN;
        continue;
      }
      since = Double.isNaN(since) ? in.seconds(i) : since;
      if (in.seconds(i) - since >= FED_SECONDS) {
        warnings.add(
            new Warning(
                "input_on",
                "From "
                    + Figures.clock(since - origin())
                    + " a source fed the unit while the load ran; what the socket gave from then on"
                    + " is not the pack's and is left out."));
        return since;
      }
    }
    return Double.NaN;
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

  private CapacityFinding workOut(
      PowerReading power, Series series, LoadPhases phases, double endHalfWidth) {
    Series volts =
        trace.series(power.alternatingCurrent() ? Channel.AC_VOLTAGE : Channel.DC_VOLTAGE);
    DrainEnds ends =
        DrainEnds.find(
            series, phases, volts, origin(), trace.seconds(trace.size() - 1), endHalfWidth);
    warnings.addAll(ends.warnings());
    Series total = power.alternatingCurrent() ? trace.series(Channel.AC_ENERGY) : NO_READINGS;
    GapBridge bridge = GapBridge.over(series, phases, ends.first(), ends.end(), total, origin());
    warnings.addAll(bridge.warnings());
    noteCycling(series, phases);

    double measured = series.integral(ends.first(), ends.end()) / SECONDS_PER_HOUR;
    double hours = (ends.cutoff() - ends.start()) / SECONDS_PER_HOUR;
    if (!(hours > 0)) {
      warnings.add(
          new Warning(
              "too_short",
              "Load was read at one moment only: there is no time for energy to flow in."));
      return CapacityFinding.none(warnings);
    }
    double onHours = onHours(series, phases);
    double taken = measured + bridge.wattHours();
    BesideMeter beside = BesideMeter.of(trace, method.treatment(), power, ends, hours);
    warnings.addAll(beside.warnings());
    double energy = taken + beside.wattHours();

    Budget budget = meters(power, taken, onHours, phases, ends);
    double pace = series.usualInterval();
    budget =
        budget.with(
            Contribution.rectangular(
                "Start and end between readings",
                phases.level()
                    * Math.hypot(ends.startHalfWidth(), ends.energyHalfWidth())
                    / SECONDS_PER_HOUR));
    int edges = 2 * (phases.on().size() - 1);
    if (edges > 0) {
      // Each switching falls anywhere between two readings, independently of the others.
      budget =
          budget.with(
              Contribution.normal(
                  "Switching between readings, " + edges + " times",
                  phases.level() * pace / SECONDS_PER_HOUR / Math.sqrt(12) * Math.sqrt(edges)));
    }
    if (bridge.halfWidth() > 0) {
      // The edges are as likely as the middle: the load was on all the time, or the clock was set.
      budget = budget.with(Contribution.normal("Bridged gaps", bridge.halfWidth() / Math.sqrt(3)));
    }
    if (beside.halfWidth() > 0) {
      budget = budget.with(Contribution.rectangular("Added beside the meter", beside.halfWidth()));
    }
    budget = budget.with(Repeats.once(energy, Repeats.WHOLE_TEST));
    // If the clock was set, the gap was no time at all.
    double clockDoubt = method.clockMayStep() ? bridge.seconds() : 0;
    Optional<Double> display = displayAt(ends.cutoff());
    noteReserve(display);
    if (Double.isNaN(method.ratedWattHours())) {
      warnings.add(new Warning("no_rating", "No rated capacity was given, so there is no yield."));
    }
    Optional<Figure> charge = charge(ends.start(), ends.cutoff());
    CapacityBecause because =
        new CapacityBecause(
            power, method.ratedWattHours(), energy, budget, hours, measured, taken, bridge, beside);
    DrainFigures figures = new DrainFigures(CapacityFinding.cutShort(warnings));
    Figure delivered =
        figures.energy(
            power.alternatingCurrent(),
            energy,
            because.of(ends.end() - ends.first() + 1, display, warnings));
    Figure duration =
        figures.duration(
            ends.cutoff() - ends.start(),
            time("Start and cut-off", ends.startHalfWidth() + ends.cutoffHalfWidth(), clockDoubt));
    return new CapacityFinding(
        Optional.of(delivered),
        charge.map(c -> figures.charge(c)),
        Optional.of(duration),
        hours > 0 ? Optional.of(figures.meanPower(delivered, taken, duration)) : Optional.empty(),
        figures.yieldOf(delivered, method.ratedWattHours()),
        Optional.of(
            figures.cutoffTime(
                ends.cutoff() - origin(), time("Cut-off", ends.cutoffHalfWidth(), clockDoubt))),
        ends.start(),
        ends.cutoff(),
        power.alternatingCurrent(),
        display,
        warnings);
  }

  /** How sure a time between two moments of the log is. */
  private static Budget time(String what, double halfWidth, double clockDoubt) {
    Budget budget = Budget.of(Contribution.wholeWidth(what + " between readings", halfWidth));
    return clockDoubt > 0
        ? budget.with(Contribution.normal("Clock that was set", clockDoubt / Math.sqrt(3)))
        : budget;
  }

  /** What the meters' own limits do to the energy. */
  private Budget meters(
      PowerReading power, double energy, double onHours, LoadPhases phases, DrainEnds ends) {
    double watts =
        onHours > 0 && energy > 0 ? Math.min(energy / onHours, phases.level() * 2) : phases.level();
    double perWatt = energy / watts;
    Budget none = new Budget(List.of());
    if (power.kind() != PowerReading.Kind.DC_PRODUCT || method.voltage().isEmpty()) {
      return none.with("Meter", method.power(), watts, perWatt);
    }
    Series volts = trace.series(Channel.DC_VOLTAGE);
    double sum = 0;
    int n = 0;
    for (int i = volts.from(ends.start());
        i < volts.size() && volts.seconds(i) <= ends.cutoff();
        i++) {
      sum += volts.value(i);
      n++;
    }
    double meanVolts = n > 0 && sum > 0 ? sum / n : 1;
    return none.with("Voltmeter", method.voltage().get(), meanVolts, energy / meanVolts)
        .with("Ammeter", method.current(), watts / meanVolts, energy / (watts / meanVolts));
  }

  private static double onHours(Series series, LoadPhases phases) {
    double seconds = 0;
    for (LoadPhases.Phase phase : phases.on()) {
      seconds += series.seconds(phase.last()) - series.seconds(phase.first());
    }
    return seconds / SECONDS_PER_HOUR;
  }

  /** What the charge display showed last before the cut-off. */
  private Optional<Double> displayAt(double cutoff) {
    Series display = trace.series(Channel.DISPLAY_CHARGE);
    int before = display.from(Math.nextUp(cutoff)) - 1;
    return before < 0 || cutoff - display.seconds(before) > DISPLAY_REACH
        ? Optional.empty()
        : Optional.of(display.value(before));
  }

  private void noteReserve(Optional<Double> display) {
    if (display.isPresent() && display.get() >= RESERVE_SHOWN) {
      warnings.add(reserveShown(display.get()));
    }
  }

  static Warning reserveShown(double percent) {
    return new Warning(
        "reserve_shown",
        "The display stood at "
            + Figures.plain(percent)
            + " % at the cut-off, not at 0: so much the unit keeps back at this load, or its"
            + " display is off by as much.");
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

  private Optional<Figure> charge(double start, double cutoff) {
    Series amps = trace.series(Channel.DC_CURRENT);
    int from = amps.from(start);
    int to = amps.from(Math.nextUp(cutoff)) - 1;
    if (from >= amps.size() || to <= from) {
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
    double perAmp = mean == 0 ? hours : ampHours / mean;
    Budget budget =
        new Budget(List.of())
            .with("Clamp", method.current(), mean, perAmp)
            .with(
                Contribution.rectangular(
                    "Start and end", Math.abs(mean) * amps.usualInterval() / SECONDS_PER_HOUR))
            .with(Contribution.rectangular("Gaps", missing))
            .with(Repeats.once(ampHours + missing, Repeats.WHOLE_TEST));
    return Optional.of(
        Figure.of(
            "delivered_charge",
            "Charge delivered",
            ampHours + missing,
            Unit.AMPERE_HOUR,
            Because.of(
                    budget,
                    "Q = ∫I dt = "
                        + Figures.fixed(mean, 2)
                        + " A × "
                        + Figures.fixed(hours, 4)
                        + " h = "
                        + Figures.rounded(ampHours + missing, budget.u95())
                        + " Ah")
                .summed("out of the pack, from the first loaded reading to the cut-off")
                .watching(
                    "Amp-hours compare only at like volts: those of a 12 V port are not those of the"
                        + " pack.")));
  }
}

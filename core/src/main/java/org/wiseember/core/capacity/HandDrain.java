package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.hand.HandNotes;
import org.wiseember.core.hand.ImpliedWatts;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * Usable capacity from a drain made by hand: when the load went on and when the output dropped out
 * as they were said, and the totals or the watts that were read. Energy between two totals needs no
 * clock. A total that was last read before the end is brought up to it at the mean power, in the
 * open, where both moments are known, and is a bound where they are not; without totals the energy
 * is the mean of the watts that were read times the time.
 *
 * <p>Source: E = P·t; common practice, no published source.
 */
public final class HandDrain {
  private static final double SECONDS_PER_HOUR = 3600;

  /** So much of the energy may be brought up from the last total; more is a guess. */
  private static final double MOST_BROUGHT = 0.25;

  /** How far a load's power may be from its mean in the time nobody read the total. */
  private static final double BROUGHT_SHARE = 0.1;

  private static final double RESERVE_SHOWN = 3;

  /** An end known no better than this lies somewhere between two entries, ± s. */
  private static final double BETWEEN_READINGS = 60;

  /** What was read and said as near as this happened together, s. */
  private static final double TOGETHER = 5;

  /** A display that shows no more has nothing left to give: common practice, no source, %. */
  private static final double SHOWN_EMPTY = 5;

  private final HandNotes notes;
  private final Trace typed;
  private final CapacityMethod method;
  private final boolean alternating;
  private final double labelWatts;
  private final TimedOperatorEvent on;
  private final Optional<TimedOperatorEvent> out;
  private final Optional<TimedOperatorEvent> takenOff;
  private final List<Warning> warnings = new ArrayList<>();
  private final List<String> sum = new ArrayList<>();

  private HandDrain(
      HandNotes notes,
      CapacityMethod method,
      boolean alternating,
      double labelWatts,
      TimedOperatorEvent on) {
    this.notes = notes;
    this.typed = method.treatment().of(notes.typed());
    this.method = method;
    this.alternating = alternating;
    this.labelWatts = labelWatts;
    this.on = on;
    double never = Double.POSITIVE_INFINITY;
    this.out =
        TimedOperatorEvent.first(
            notes.presses(),
            on.seconds(),
            never,
            OperatorEvent.DROPPED_OUT,
            OperatorEvent.TRIPPED,
            OperatorEvent.WENT_OFF);
    this.takenOff =
        TimedOperatorEvent.first(notes.presses(), on.seconds(), never, OperatorEvent.TAKEN_OFF);
  }

  /**
   * Works out one drain.
   *
   * @param alternating whether it was taken at the AC outlet
   * @param labelWatts the most the label says it gives, W; NaN where it does not say
   * @return empty where nothing was read or said
   */
  public static Optional<CapacityFinding> of(
      HandNotes notes, CapacityMethod method, boolean alternating, double labelWatts) {
    return notes
        .first(OperatorEvent.LOAD_ON)
        .or(() -> notes.unsaid(notes.typed().series(total(alternating))))
        .map(on -> new HandDrain(notes, method, alternating, labelWatts, on).find());
  }

  private static Channel total(boolean alternating) {
    return alternating ? Channel.AC_ENERGY : Channel.DC_ENERGY;
  }

  /** Energy and how sure it is. */
  private record Taken(double wattHours, Budget budget, Bound bound) {
    Taken with(double more, Contribution contribution) {
      return new Taken(wattHours + more, budget.with(contribution), bound);
    }
  }

  private CapacityFinding find() {
    double end = end();
    if (!(end > on.seconds())) {
      warnings.add(new Warning("too_short", "Nothing was read or said after the load went on."));
      return CapacityFinding.none(warnings);
    }
    noteEnd();
    if (method.accuracyAssumed()) {
      warnings.add(UsableCapacity.accuracyAssumed(method.power()));
    }
    if (Double.isNaN(method.ratedWattHours())) {
      warnings.add(new Warning("no_rating", "No rated capacity was given, so there is no yield."));
    }
    boolean timed = timed();
    Optional<Taken> taken =
        byTotal(end, timed).or(() -> timed ? byWatts(end) : Optional.<Taken>empty());
    if (taken.isEmpty()) {
      warnings.add(
          new Warning(
              "no_power",
              "Neither a meter's total nor watts and their time were read under load, so there is"
                  + " no energy to work out."));
      return CapacityFinding.none(warnings);
    }
    return figures(standing(secondMeter(taken.get()), end, timed), timed, end);
  }

  /** Whether anything may be worked out from the time under load. */
  private boolean timed() {
    boolean known = on.when().isKnown() && ended().isKnown();
    if (!known) {
      warnings.add(
          new Warning(
              "moment_unknown",
              (on.when().isKnown() ? "When it ended" : "When the load went on")
                  + " nobody noted; there is no figure by time."));
    }
    Optional<Warning> implausible =
        ImpliedWatts.implausible(
            notes, typed.series(total(alternating)), watts(), labelWatts, on.when(), ended());
    implausible.ifPresent(warnings::add);
    return known && implausible.isEmpty();
  }

  /** When it ended; the last reading where nobody said. */
  private double end() {
    return Math.max(ended().at(), on.seconds());
  }

  private Moment ended() {
    double last = typed.isEmpty() ? on.seconds() : typed.seconds(typed.size() - 1);
    return out.or(() -> takenOff).map(TimedOperatorEvent::when).orElseGet(() -> notes.read(last));
  }

  private void noteEnd() {
    if (out.isEmpty()) {
      warnings.add(
          takenOff.isPresent()
              ? new Warning(
                  "load_ended_first",
                  "The load was taken off before the output dropped out; the unit holds at least so"
                      + " much.")
              : new Warning(
                  "cutoff_not_seen",
                  "Nobody said that the output dropped out; the unit holds at least so much."));
    }
  }

  private Optional<Taken> byTotal(double end, boolean timed) {
    Series total = typed.series(total(alternating));
    int last = total.size() - 1;
    if (last < 0) {
      return Optional.empty();
    }
    if (last == 0) {
      return single(total, end);
    }
    double gained = 0;
    int resets = 0;
    for (int i = 1; i <= last; i++) {
      double rise = total.value(i) - total.value(i - 1);
      // A meter that lost its total counts from nothing again.
      gained += rise >= 0 ? rise : total.value(i);
      resets += rise < 0 ? 1 : 0;
    }
    if (resets > 0) {
      warnings.add(
          new Warning(
              "total_fell",
              "The meter's total fell "
                  + (resets == 1 ? "once" : resets + " times")
                  + "; it was reset or lost power, and energy around that moment is missing."));
    }
    if (!(gained > 0)) {
      return Optional.empty();
    }
    sum.add("E = what the total gained = " + Figures.plain(gained) + " Wh");
    Moment lastRead = notes.read(total.seconds(last));
    boolean together =
        lastRead.latest() >= ended().earliest() && lastRead.within() + ended().within() <= TOGETHER;
    boolean endRead = total.seconds(last) >= end || together;
    boolean between =
        ended().earliest() <= lastRead.latest() && ended().within() > BETWEEN_READINGS;
    if (!endRead && (!timed || between)) {
      warnings.add(
          new Warning(
              "cutoff_not_seen",
              "When it ended after the last total of "
                  + Figures.plain(total.value(last))
                  + " Wh nobody knows; the unit holds at least what was counted."));
      return Optional.of(taken(gained, 0, total, meanWatts(end), Bound.AT_LEAST));
    }
    double early = timed ? Math.max(0, total.seconds(0) - on.latest()) : 0;
    double late = endRead ? 0 : Math.max(0, end - total.seconds(last));
    double missing = (early > 1 ? early : 0) + (late > 1 ? late : 0);
    double counted = total.seconds(last) - Math.max(on.seconds(), total.seconds(0));
    double brought = counted > 0 ? gained / counted * missing : Double.NaN;
    if (missing > 0 && !(brought <= MOST_BROUGHT * gained)) {
      warnings.add(
          new Warning(
              "cutoff_not_seen",
              "Between its first and last reading the total misses "
                  + Figures.duration(missing)
                  + " of the time under load; the unit holds at least what it counted."));
      brought = 0;
    } else if (missing > 0) {
      warnings.add(
          new Warning(
              "total_early",
              "The total was not read for "
                  + Figures.duration(missing)
                  + " at the start or the end; "
                  + Figures.fixed(brought, 1)
                  + " Wh at the mean power are added."));
      sum.add(
          "+ "
              + Figures.fixed(gained / counted * SECONDS_PER_HOUR, 0)
              + " W × "
              + Figures.duration(missing)
              + " = "
              + Figures.fixed(brought, 1)
              + " Wh");
    }
    double energy = gained + Math.max(0, brought);
    double hours = (end - on.seconds()) / SECONDS_PER_HOUR;
    double watts = timed ? Math.max(1, energy / hours) : meanWatts(end);
    Bound bound = resets > 0 ? Bound.AT_LEAST : Bound.EXACT;
    return Optional.of(taken(energy, Math.max(0, brought), total, watts, bound));
  }

  /** One total alone: all of it may have been there before. */
  private Optional<Taken> single(Series total, double end) {
    double read = total.value(0);
    boolean before = total.seconds(0) < end && out.isPresent();
    if (before || !(read > 0) || !(out.isPresent() || shownEmpty())) {
      return Optional.empty();
    }
    warnings.add(
        new Warning(
            "start_unread",
            "The meter's total was read at the end alone; what stood there before nobody knows, so"
                + " the energy is at most "
                + Figures.plain(read)
                + " Wh."));
    sum.add("E ≤ the last total = " + Figures.plain(read) + " Wh");
    return Optional.of(taken(read, 0, total, meanWatts(end), Bound.AT_MOST));
  }

  private boolean shownEmpty() {
    Series display = typed.series(Channel.DISPLAY_CHARGE);
    return display.size() > 0 && display.value(display.size() - 1) <= SHOWN_EMPTY;
  }

  /**
   * An energy by totals.
   *
   * @param watts its meter was at, as far as they are known; NaN where nobody knows, then its class
   *     counts for the whole
   */
  private Taken taken(double energy, double brought, Series total, double watts, Bound bound) {
    Budget budget =
        watts > 0
            ? Budget.of().with("Meter", method.power(), watts, energy / watts)
            : Budget.of().with("Meter", method.power(), energy, 1);
    double reaction =
        Math.max(1, watts > 0 ? watts : 0)
            * (TimedOperatorEvent.REACTION + (brought > 0 ? on.within() + ended().within() : 0))
            / SECONDS_PER_HOUR;
    return new Taken(
        energy,
        budget
            .with(Contribution.rectangular("Steps of the total", step(total, total(alternating))))
            .with(
                Contribution.wholeWidth(
                    "Between total and end", Math.max(BROUGHT_SHARE * brought, reaction)))
            .with(Repeats.once(energy, Repeats.WHOLE_TEST)),
        bound);
  }

  private double step(Series total, Channel channel) {
    return notes.steps().getOrDefault(channel, RunningTotal.step(total));
  }

  private Series watts() {
    Series read = typed.series(alternating ? Channel.AC_POWER : Channel.DC_POWER);
    return read.size() > 0 || alternating
        ? read
        : typed.product(Channel.DC_VOLTAGE, Channel.DC_CURRENT);
  }

  /** Mean of the watts read under load; NaN for none. */
  private double meanWatts(double end) {
    double sumOf = 0;
    int n = 0;
    Series watts = watts();
    for (int i = watts.from(on.earliest()); i < watts.size() && watts.seconds(i) <= end; i++) {
      sumOf += watts.value(i);
      n++;
    }
    return n == 0 ? Double.NaN : sumOf / n;
  }

  private Optional<Taken> byWatts(double end) {
    double mean = meanWatts(end);
    if (!(mean > 0)) {
      return Optional.empty();
    }
    Series watts = watts();
    double least = Double.POSITIVE_INFINITY;
    double most = 0;
    int n = 0;
    for (int i = watts.from(on.earliest()); i < watts.size() && watts.seconds(i) <= end; i++) {
      least = Math.min(least, watts.value(i));
      most = Math.max(most, watts.value(i));
      n++;
    }
    double hours = (end - on.seconds()) / SECONDS_PER_HOUR;
    double energy = mean * hours;
    warnings.add(
        new Warning(
            "watts_and_time",
            "From the watts that were read "
                + (n == 1 ? "once" : n + " times")
                + " and the time alone; what they were in between nobody knows. A meter's total"
                + " would tell."));
    sum.add(
        "E = "
            + Figures.fixed(mean, 1)
            + " W × "
            + Figures.fixed(hours, 4)
            + " h = "
            + Figures.fixed(energy, 1)
            + " Wh");
    double unlike = Math.max((most - least) / 2, mean * BROUGHT_SHARE / Math.max(1, n));
    return Optional.of(
        new Taken(
            energy,
            Budget.of()
                .with("Meter", method.power(), mean, hours)
                .with(Contribution.rectangular("Watts between readings", unlike * hours))
                .with(
                    Contribution.wholeWidth(
                        "Moments by hand",
                        mean
                            * (on.within()
                                + Math.max(ended().within(), TimedOperatorEvent.REACTION))
                            / SECONDS_PER_HOUR))
                .with(Repeats.once(energy, Repeats.WHOLE_TEST)),
            Bound.EXACT));
  }

  /** Two meters in line that differ by more than both allow widen the figure. */
  private Taken secondMeter(Taken first) {
    Series other = typed.series(Channel.SECOND_AC_ENERGY);
    if (!alternating || other.size() < 2) {
      return first;
    }
    double second = other.value(other.size() - 1) - other.value(0);
    double apart = Math.abs(second - first.wattHours());
    double allowed =
        Math.sqrt(2) * method.power().halfWidth(first.wattHours())
            + step(other, Channel.SECOND_AC_ENERGY);
    String both =
        "Two meters in line: "
            + Figures.plain(Math.rint(10 * first.wattHours()) / 10)
            + " and "
            + Figures.plain(second)
            + " Wh, "
            + Figures.fixed(100 * apart / first.wattHours(), 1)
            + " % apart";
    sum.add(both);
    if (apart <= allowed) {
      warnings.add(new Warning("meters_agree", both + ", which their classes allow."));
      return first;
    }
    warnings.add(
        new Warning(
            "meters_apart",
            both + ", more than their classes allow. Which is right is not known; ± is as wide."));
    return first.with(0, Contribution.wholeWidth("Second meter", apart));
  }

  /** What a radio or an app would have left for the load. */
  private Taken standing(Taken taken, double end, boolean timed) {
    if (!timed) {
      return taken;
    }
    BesideMeter beside =
        BesideMeter.standing(
            method.treatment(), alternating, (end - on.seconds()) / SECONDS_PER_HOUR);
    warnings.addAll(beside.warnings());
    return beside.wattHours() > 0
        ? taken.with(
            beside.wattHours(),
            Contribution.rectangular("Added beside the meter", beside.halfWidth()))
        : taken;
  }

  private CapacityFinding figures(Taken taken, boolean timed, double end) {
    double seconds = end - on.seconds();
    Optional<Double> display = displayAtEnd(end);
    display
        .filter(d -> d >= RESERVE_SHOWN && out.isPresent())
        .ifPresent(d -> warnings.add(UsableCapacity.reserveShown(d)));
    Budget time =
        timed
            ? Budget.of(
                Contribution.wholeWidth(
                    "Moments by hand",
                    on.within()
                        + out.or(() -> takenOff).map(TimedOperatorEvent::within).orElse(0.0)))
            : Budget.of();
    DrainFigures figures = new DrainFigures(CapacityFinding.cutShort(warnings));
    Figure energy =
        figures.energy(
            alternating,
            taken.wattHours(),
            Because.of(taken.budget(), sum)
                .summed("read by hand")
                .watching(warnings.stream().map(Warning::message).toList()));
    Figure bounded = taken.bound() == Bound.EXACT ? energy : energy.bounded(taken.bound());
    Optional<Figure> duration =
        timed ? Optional.of(figures.duration(seconds, time)) : Optional.empty();
    return new CapacityFinding(
        Optional.of(bounded),
        charge().map(figures::charge),
        duration,
        taken.bound() == Bound.EXACT
            ? duration.map(d -> figures.meanPower(energy, taken.wattHours(), d))
            : Optional.empty(),
        figures
            .yieldOf(bounded, method.ratedWattHours())
            .map(y -> taken.bound() == Bound.EXACT ? y : y.bounded(taken.bound())),
        duration.map(d -> figures.cutoffTime(end, time)),
        on.seconds(),
        end,
        alternating,
        display,
        warnings);
  }

  /** What the charge display showed last, up to the moment everything was written down. */
  private Optional<Double> displayAtEnd(double end) {
    Series display = typed.series(Channel.DISPLAY_CHARGE);
    int last = display.size() - 1;
    return last >= 0
            && display.seconds(last) > on.seconds()
            && display.seconds(last) >= end - BEFORE_THE_END
        ? Optional.of(display.value(last))
        : Optional.empty();
  }

  /** A display read longer ago than this says nothing of the cut-off, s. */
  private static final double BEFORE_THE_END = 900;

  /** Amp-hours a tester on the DC side counted. */
  private Optional<Figure> charge() {
    Series counted = typed.series(Channel.DC_CHARGE);
    if (counted.size() < 2) {
      if (alternating) {
        return Optional.empty();
      }
      warnings.add(
          new Warning(
              "no_dc_current",
              "Amp-hours were not read at the start and at the end, so there is no charge."));
      return Optional.empty();
    }
    double ampHours = counted.value(counted.size() - 1) - counted.value(0);
    Budget budget =
        Budget.of()
            .with("Tester", method.current(), Math.max(ampHours, 1e-3), 1)
            .with(Contribution.rectangular("Steps of the total", step(counted, Channel.DC_CHARGE)))
            .with(Repeats.once(ampHours, Repeats.WHOLE_TEST));
    return Optional.of(
        Figure.of(
            "delivered_charge",
            "Charge delivered",
            ampHours,
            Unit.AMPERE_HOUR,
            Because.of(budget, "What the tester counted = " + Figures.plain(ampHours) + " Ah")
                .summed("by the tester on the DC side")
                .watching(
                    "Amp-hours compare only at like volts: those of a 12 V port are not those of"
                        + " the pack.")));
  }
}

package org.wiseember.core.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * A charge that was looked at now and then: from the press that the source went in to the press
 * that it is full, with the watts, or the meter's total, that were read in between. It became full
 * somewhere between the last look that found it charging and the press.
 *
 * <p>Source: E = ∫P dt by the trapezoid rule over what was read; what may have been between two
 * readings lies between them. Common practice, no published source.
 */
public final class HandCharge {
  private static final double SECONDS_PER_HOUR = 3600;
  private static final double LEAST_WATTS = 3;
  private static final double CHARGING_SHARE = 0.04;

  /** Readings this near the highest are of the same plateau. */
  private static final double PLATEAU = 0.03;

  /** A most that was read so often was no accident. */
  private static final int PLATEAU_READINGS = 3;

  /** A first reading so soon stands for the time before it, give or take a twentieth. */
  private static final double SOON_SECONDS = 300;

  /** A total so near the begin or the end was read there, s. */
  private static final double SOON_TOTAL = 120;

  private static final Channel TOTAL = Channel.AC_ENERGY;

  private static final double SOON_READ = 0.05;
  private static final double LONG_UNREAD = 0.5;

  private final HandNotes notes;
  private final Trace typed;
  private final Series power;
  private final MeterClass meter;
  private final TimedOperatorEvent in;
  private final Optional<TimedOperatorEvent> full;
  private final Optional<TimedOperatorEvent> out;
  private final List<Warning> warnings = new ArrayList<>();

  private HandCharge(HandNotes notes, Series power, MeterClass meter, TimedOperatorEvent in) {
    this.notes = notes;
    this.typed = notes.typed();
    this.power = power;
    this.meter = meter;
    this.in = in;
    double never = Double.POSITIVE_INFINITY;
    this.full = TimedOperatorEvent.first(notes.presses(), in.seconds(), never, OperatorEvent.FULL);
    this.out =
        TimedOperatorEvent.first(
            notes.presses(), in.seconds(), never, OperatorEvent.FULL, OperatorEvent.TAKEN_OFF);
  }

  /**
   * Works one charge out.
   *
   * @param meter class of the meter on the input; empty where nobody said, then ± 2 % is assumed
   * @return empty where nothing was read or said
   */
  public static Optional<ChargeFinding> of(HandNotes notes, Optional<MeterClass> meter) {
    Trace typed = notes.typed();
    Optional<TimedOperatorEvent> in =
        notes.first(OperatorEvent.LOAD_ON).or(() -> notes.unsaid(typed.series(TOTAL)));
    if (in.isEmpty()) {
      return Optional.empty();
    }
    if (notes.first(OperatorEvent.REFUSES).isPresent()) {
      return Optional.of(
          ChargeFinding.none(
              List.of(new Warning("refused", "It took nothing from this source, as was said."))));
    }
    Series power =
        Inputs.of(typed).map(Inputs::whole).orElseGet(() -> typed.series(Channel.IN_POWER));
    HandCharge charge =
        new HandCharge(notes, power, meter.orElseGet(() -> AssumedMeter.of(Unit.WATT)), in.get());
    if (meter.isEmpty()) {
      charge.warnings.add(
          new Warning(
              "accuracy_assumed",
              "The meter's accuracy was not given; ± 2 % of reading is assumed."));
    }
    return Optional.of(charge.find());
  }

  /** A moment between two others. */
  private record Between(double from, double to) {
    double middle() {
      return (from + to) / 2;
    }

    double half() {
      return (to - from) / 2;
    }
  }

  private ChargeFinding find() {
    double most = 0;
    for (int i = power.from(in.earliest()); i < power.size(); i++) {
      most = Math.max(most, power.value(i));
    }
    double threshold = Math.max(LEAST_WATTS, CHARGING_SHARE * most);
    double lastCharging = in.seconds();
    for (int i = power.from(in.earliest()); i < power.size(); i++) {
      lastCharging = power.value(i) > threshold ? power.seconds(i) : lastCharging;
    }
    Between end = end(lastCharging);
    if (!(end.middle() > in.seconds())) {
      warnings.add(new Warning("no_charge", "Nothing was read or said after the source went in."));
      return ChargeFinding.none(warnings);
    }
    if (full.isEmpty()) {
      warnings.add(
          new Warning(
              "not_full",
              "Nobody said that it was full; how long that takes, and 80 % of what, cannot be"
                  + " told."));
    }
    warnings.add(
        new Warning(
            "looked_now_and_then",
            "Read by hand "
                + power.size()
                + " times; where it begins to taper cannot be told from that."));
    boolean timed = timed();
    boolean filled = timed && full.isPresent();
    ChargeFigures figures = new ChargeFigures(in.seconds(), end.middle(), full.isPresent(), meter);
    Optional<Figure> energy =
        byTotal(figures).or(() -> timed ? byWatts(end, figures) : Optional.<Figure>empty());
    boolean exact = timed && energy.filter(e -> e.bound() == Bound.EXACT).isPresent();
    Optional<Figure> peak =
        most > threshold ? Optional.of(peak(figures.peak(most), most)) : Optional.empty();
    return new ChargeFinding(
        energy,
        peak,
        exact ? energy.map(figures::mean) : Optional.empty(),
        exact && filled ? energy.flatMap(e -> eighty(e, end, figures)) : Optional.empty(),
        filled
            ? Optional.of(figures.timeToFull(end.middle() - in.seconds(), end.half() + in.within()))
            : Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        in.seconds(),
        end.middle(),
        warnings);
  }

  /** When it stopped charging: somewhere since it was last seen to. */
  private Between end(double lastCharging) {
    double said = out.map(TimedOperatorEvent::latest).orElse(lastCharging);
    return full.isPresent()
        ? new Between(Math.min(lastCharging, said), said)
        : new Between(said, said);
  }

  /** A most that was read but once or twice may not have been the most. */
  private Figure peak(Figure peak, double most) {
    int near = 0;
    for (int i = power.from(in.earliest()); i < power.size(); i++) {
      near += power.value(i) >= most * (1 - PLATEAU) ? 1 : 0;
    }
    return near >= PLATEAU_READINGS ? peak : peak.bounded(Bound.AT_LEAST);
  }

  /** Whether anything may be worked out from the time it charged. */
  private boolean timed() {
    Moment last =
        out.map(TimedOperatorEvent::when)
            .orElseGet(
                () -> notes.read(typed.isEmpty() ? in.seconds() : typed.seconds(typed.size() - 1)));
    if (!in.when().isKnown() || !last.isKnown()) {
      warnings.add(
          new Warning(
              "moment_unknown",
              (in.when().isKnown() ? "When it ended" : "When the source went in")
                  + " nobody noted; there is no figure by time."));
      return false;
    }
    Optional<Warning> implausible =
        ImpliedWatts.implausible(notes, typed.series(TOTAL), power, Double.NaN, in.when(), last);
    implausible.ifPresent(warnings::add);
    return implausible.isEmpty();
  }

  /** What a meter's total gained; a bound where its first or last reading is missing. */
  private Optional<Figure> byTotal(ChargeFigures figures) {
    Series total = typed.series(TOTAL);
    int last = total.size() - 1;
    if (last < 0) {
      return Optional.empty();
    }
    double gained = last == 0 ? total.value(0) : 0;
    boolean fell = false;
    for (int i = 1; i <= last; i++) {
      double rise = total.value(i) - total.value(i - 1);
      gained += rise >= 0 ? rise : total.value(i);
      fell |= rise < 0;
    }
    boolean late = last > 0 && total.seconds(0) > in.latest() + SOON_TOTAL;
    boolean endRead = out.filter(o -> total.seconds(last) >= o.seconds() - SOON_TOTAL).isPresent();
    if (!(gained > 0) || (last == 0 && !endRead) || (late && power.size() > 0)) {
      return Optional.empty();
    }
    if (last == 0) {
      warnings.add(
          new Warning(
              "start_unread",
              "The meter's total was read at the end alone; what stood there before nobody knows, so"
                  + " the energy is at most "
                  + Figures.plain(gained)
                  + " Wh."));
    }
    if (fell) {
      warnings.add(
          new Warning(
              "total_fell",
              "The meter's total fell; it was reset or lost power, and energy around that moment is"
                  + " missing."));
    }
    Budget budget =
        Budget.of()
            .with("Input meter", meter, gained, 1)
            .with(
                Contribution.rectangular(
                    "Steps of the total", notes.steps().getOrDefault(TOTAL, 0.0)))
            .with(Repeats.once(gained, Repeats.WHOLE_TEST));
    Bound bound =
        last == 0 ? Bound.AT_MOST : (fell || late || !endRead) ? Bound.AT_LEAST : Bound.EXACT;
    return Optional.of(figures.energyIn(gained, budget).bounded(bound));
  }

  private Optional<Figure> byWatts(Between end, ChargeFigures figures) {
    int first = power.from(in.earliest());
    if (first >= power.size() || power.seconds(first) > end.to()) {
      return Optional.empty();
    }
    // Up to the first reading it took what that one shows, give or take.
    double unread = Math.max(0, power.seconds(first) - in.seconds());
    double sum = power.value(first) * unread;
    double unsure = (unread > SOON_SECONDS ? LONG_UNREAD : SOON_READ) * sum;
    int last = first;
    for (int i = first + 1; i < power.size() && power.seconds(i) <= end.to(); i++) {
      double span = power.seconds(i) - power.seconds(i - 1);
      sum += (power.value(i) + power.value(i - 1)) / 2 * span;
      unsure += Math.abs(power.value(i) - power.value(i - 1)) / 2 * span;
      last = i;
    }
    double rest = Math.max(0, end.to() - power.seconds(last));
    sum += power.value(last) / 2 * rest;
    unsure += power.value(last) / 2 * rest;
    double energy = sum / SECONDS_PER_HOUR;
    double begun = power.value(first) * in.within() / SECONDS_PER_HOUR;
    return Optional.of(
        figures.energyIn(
            energy,
            Budget.of(Contribution.rectangular("Watts between readings", unsure / SECONDS_PER_HOUR))
                .with(Contribution.wholeWidth("When it went in", begun))
                .with("Input meter", meter, energy, 1)
                .with(Repeats.once(energy, Repeats.WHOLE_TEST))));
  }

  /** When four fifths of the energy were in, by what was read. */
  private Optional<Figure> eighty(Figure energy, Between end, ChargeFigures figures) {
    double wanted = 0.8 * energy.value() * SECONDS_PER_HOUR;
    double sum = 0;
    double at = in.seconds();
    for (int i = power.from(in.earliest()); i < power.size() && at < end.to(); i++) {
      double before = i == power.from(in.earliest()) ? power.value(i) : power.value(i - 1);
      double span = power.seconds(i) - at;
      double more = (before + power.value(i)) / 2 * span;
      if (sum + more >= wanted) {
        double reached = at + (more > 0 ? (wanted - sum) / more * span : 0);
        return Optional.of(
            figures.timeTo80(reached - in.seconds(), span / 2 + in.within(), energy));
      }
      sum += more;
      at = power.seconds(i);
    }
    warnings.add(
        new Warning(
            "eighty_not_read",
            "When 80 % was in lies behind the last reading, at "
                + Figures.clock(at)
                + "; it cannot be told."));
    return Optional.empty();
  }
}

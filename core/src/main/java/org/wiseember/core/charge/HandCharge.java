package org.wiseember.core.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.figure.Warning;
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

  private static final double SOON_READ = 0.05;
  private static final double LONG_UNREAD = 0.5;

  private final Trace typed;
  private final Series power;
  private final MeterClass meter;
  private final TimedOperatorEvent in;
  private final Optional<TimedOperatorEvent> full;
  private final Optional<TimedOperatorEvent> out;
  private final List<Warning> warnings = new ArrayList<>();

  private HandCharge(
      Trace typed,
      Series power,
      MeterClass meter,
      List<TimedOperatorEvent> presses,
      TimedOperatorEvent in) {
    this.typed = typed;
    this.power = power;
    this.meter = meter;
    this.in = in;
    double never = Double.POSITIVE_INFINITY;
    this.full = TimedOperatorEvent.first(presses, in.seconds(), never, OperatorEvent.FULL);
    this.out =
        TimedOperatorEvent.first(
            presses, in.seconds(), never, OperatorEvent.FULL, OperatorEvent.TAKEN_OFF);
  }

  /**
   * Works one charge out.
   *
   * @param typed what was read off, as a trace
   * @param presses what was said, in order of time
   * @param meter class of the meter on the input; empty where nobody said, then ± 2 % is assumed
   * @return empty where nobody said when the source went in
   */
  public static Optional<ChargeFinding> of(
      Trace typed, List<TimedOperatorEvent> presses, Optional<MeterClass> meter) {
    Optional<TimedOperatorEvent> in =
        presses.stream().filter(p -> p.is(OperatorEvent.LOAD_ON)).findFirst();
    if (in.isEmpty()) {
      return Optional.empty();
    }
    if (presses.stream().anyMatch(p -> p.is(OperatorEvent.REFUSES))) {
      return Optional.of(
          ChargeFinding.none(
              List.of(new Warning("refused", "It took nothing from this source, as was said."))));
    }
    Series power =
        Inputs.of(typed).map(Inputs::whole).orElseGet(() -> typed.series(Channel.IN_POWER));
    HandCharge charge =
        new HandCharge(
            typed, power, meter.orElseGet(() -> AssumedMeter.of(Unit.WATT)), presses, in.get());
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
    ChargeFigures figures = new ChargeFigures(in.seconds(), end.middle(), full.isPresent(), meter);
    Optional<Figure> energy = energy(end, figures);
    Optional<Figure> peak =
        most > threshold ? Optional.of(peak(figures.peak(most), most)) : Optional.empty();
    return new ChargeFinding(
        energy,
        peak,
        energy.map(figures::mean),
        full.isPresent() ? energy.flatMap(e -> eighty(e, end, figures)) : Optional.empty(),
        full.isPresent()
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

  private Optional<Figure> energy(Between end, ChargeFigures figures) {
    return byTotal().or(() -> byWatts(end)).map(e -> figures.energyIn(e.wattHours(), e.budget()));
  }

  private record Taken(double wattHours, Budget budget) {}

  /** What a meter's total gained, where it was read before and after. */
  private Optional<Taken> byTotal() {
    Series total = typed.series(Channel.AC_ENERGY);
    int last = total.size() - 1;
    if (last < 1 || total.seconds(0) > in.latest() + 120 || total.value(last) <= total.value(0)) {
      return Optional.empty();
    }
    double gained = total.value(last) - total.value(0);
    return Optional.of(
        new Taken(
            gained,
            Budget.of()
                .with("Input meter", meter, gained, 1)
                .with(Repeats.once(gained, Repeats.WHOLE_TEST))));
  }

  private Optional<Taken> byWatts(Between end) {
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
    return Optional.of(
        new Taken(
            energy,
            Budget.of(Contribution.rectangular("Watts between readings", unsure / SECONDS_PER_HOUR))
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
        return Optional.of(figures.timeTo80(reached - in.seconds(), span / 2, energy));
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

package org.wiseember.core.overload;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wiseember.core.figure.Because;
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
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * How long each load was held, from the trace of a ladder of loads above the rating.
 *
 * <p>Source: definition; time from the load step to where the output drops, mean power in between.
 */
public final class OverloadLadder {
  /** Tries this near each other, as a share of their watts, are tries at one load. */
  static final double SAME_LOAD = 0.03;

  /** A later try at the same load is shorter by so much when the inverter was still warm. */
  private static final double SHORTER = 0.05;

  /** A capture begun this near to a load step is of that step, s. */
  private static final double SAME_MOMENT = 2.5;

  static final String SCHOOLS =
      "Some step the load up until it trips, some put the whole load on at once. From a base load"
          + " the trip comes sooner than from cold; the load before each step is noted.";

  private final Map<Double, CapturedTrip> caught;
  private final Trace trace;
  private final OverloadMethod method;
  private final List<Warning> warnings = new ArrayList<>();

  private OverloadLadder(Trace trace, OverloadMethod method, Map<Double, CapturedTrip> caught) {
    this.caught = new TreeMap<>(caught);
    this.trace = method.treatment().of(trace);
    this.method = method;
  }

  /** Works out one run. */
  public static OverloadFinding of(Trace trace, OverloadMethod method) {
    return of(trace, method, Map.of());
  }

  /**
   * Works out one run with trips a scope caught.
   *
   * @param caught by the moment on the trace's clock at which the capture began, s
   */
  public static OverloadFinding of(
      Trace trace, OverloadMethod method, Map<Double, CapturedTrip> caught) {
    return new OverloadLadder(trace, method, caught).find();
  }

  /**
   * Works out a run that was made by hand.
   *
   * @param typed what was read off, as a trace
   * @param presses what was said, in order of time; without any only readings speak
   */
  public static OverloadFinding byHand(
      Trace typed, List<TimedOperatorEvent> presses, OverloadMethod method) {
    return new OverloadLadder(typed, method, Map.of()).findByHand(presses);
  }

  private OverloadFinding findByHand(List<TimedOperatorEvent> presses) {
    noteAccuracy();
    if (presses.stream().noneMatch(p -> p.is(OperatorEvent.LOAD_ON))) {
      return readAlone();
    }
    OperatorHolds pressed = new OperatorHolds(presses, trace);
    warnings.addAll(pressed.warnings());
    if (pressed.holds().isEmpty()) {
      warnings.add(
          new Warning("no_load", "No load was put on whose watts were read, so none is judged."));
      return nothing(List.of());
    }
    return found(pressed.holds(), pressed.power(), 0);
  }

  /** Readings by hand without a word of what happened: only what was read is known. */
  private OverloadFinding readAlone() {
    Series power = trace.series(Channel.AC_POWER);
    if (power.size() < 1) {
      warnings.add(new Warning("no_power", "No watts were read, so no load can be judged."));
      return nothing(List.of());
    }
    HoldFinder finder = HoldFinder.readByHand(power, trace.series(Channel.AC_VOLTAGE));
    List<Hold> holds = finder.find();
    if (holds.isEmpty()) {
      warnings.add(new Warning("no_load", "No load was read."));
      return nothing(List.of());
    }
    return found(holds, power, trace.seconds(0));
  }

  /** A trip a scope caught is timed by it; a meter's readings are too far apart for it. */
  private Hold timed(Hold hold) {
    return caught.entrySet().stream()
        .filter(c -> hold.tripped() && Math.abs(c.getKey() - hold.from()) <= SAME_MOMENT)
        .map(Map.Entry::getValue)
        .findFirst()
        .map(
            c ->
                new Hold(
                    hold.from(),
                    hold.watts(),
                    hold.scatter(),
                    c.seconds(),
                    c.halfWidth(),
                    hold.end(),
                    hold.before()))
        .orElse(hold);
  }

  private OverloadFinding find() {
    Series power = power();
    if (power.size() < 2) {
      warnings.add(new Warning("no_power", "This log has no AC watts, so no load can be told."));
      return nothing(List.of());
    }
    noteAccuracy();
    double origin = trace.seconds(0);
    Series volts = trace.series(Channel.AC_VOLTAGE);
    HoldFinder finder = new HoldFinder(power, volts, origin);
    List<Hold> holds = finder.find().stream().map(this::timed).toList();
    warnings.addAll(finder.warnings());
    if (holds.isEmpty()) {
      warnings.add(new Warning("no_load", "No load is seen in this log."));
      return nothing(List.of());
    }
    List<Hold> trips = holds.stream().filter(Hold::tripped).toList();
    if (volts.size() == 0 && !trips.isEmpty()) {
      warnings.add(
          new Warning(
              "no_volts",
              "The volts were not logged, so a load that was pulled out looks the same as a trip."));
    }
    return found(holds, power, origin);
  }

  private void noteAccuracy() {
    if (method.accuracyAssumed()) {
      warnings.add(
          new Warning(
              "accuracy_assumed",
              "The meter's accuracy was not given; ± "
                  + method.power().words()
                  + " of reading is assumed."));
    }
  }

  /** The figures of loads that were held. */
  private OverloadFinding found(List<Hold> holds, Series power, double origin) {
    List<Hold> trips = holds.stream().filter(Hold::tripped).toList();
    noteEnd(holds, trips);
    Optional<TripFit> fit =
        TripFit.through(holds.stream().map(h -> TripTry.of(h, power)).toList(), method.power());
    noteMemory(trips);
    Hold told =
        trips.isEmpty()
            ? holds.stream().max(Comparator.comparingDouble(Hold::watts)).orElseThrow()
            : trips.get(0);
    Budget watts = wattsBudget(told);
    noteRating(told, told.watts() + watts.u95());
    List<String> watch =
        warnings.stream()
            .filter(w -> !w.code().equals("accuracy_assumed"))
            .map(Warning::message)
            .toList();
    Figure held = heldPower(told, watts);
    return new OverloadFinding(
        holds,
        told.tripped()
            ? Optional.of(tripTime(told, held, trips, fit, origin, watch))
            : Optional.empty(),
        Optional.of(told.tripped() ? held : held.because(held.because().watching(watch))),
        fit,
        method.power(),
        warnings);
  }

  private Series power() {
    Series watts = trace.series(Channel.AC_POWER);
    if (watts.size() > 1) {
      return watts;
    }
    Series product = trace.product(Channel.AC_VOLTAGE, Channel.AC_CURRENT);
    if (product.size() > 1) {
      warnings.add(
          new Warning(
              "va_not_watts",
              "AC volts × amps is VA, which is more than watts unless the load is a plain heater;"
                  + " take the power as an upper limit."));
    }
    return product;
  }

  private void noteEnd(List<Hold> holds, List<Hold> trips) {
    Hold last = holds.get(holds.size() - 1);
    if (trips.isEmpty()) {
      warnings.add(
          new Warning(
              "no_trip",
              last.end() == Hold.End.NOT_SAID
                  ? "Nothing is known to have tripped: how the last load ended was not said."
                  : last.end() == Hold.End.STILL_ON
                      ? "Nothing tripped: the log ends with the load still on. A meter that dies with the"
                          + " output would look the same."
                      : "Nothing tripped: every load was held until it was taken off."));
    } else if (trips.size() > 1) {
      warnings.add(
          new Warning(
              "several_trips",
              "The output dropped out "
                  + trips.size()
                  + " times; trip time and held power are those of the first, which was coldest."));
    }
  }

  private void noteMemory(List<Hold> trips) {
    for (int i = 1; i < trips.size(); i++) {
      Hold later = trips.get(i);
      for (int k = 0; k < i; k++) {
        Hold first = trips.get(k);
        boolean same = Math.abs(later.watts() / first.watts() - 1) <= SAME_LOAD;
        if (same && later.seconds() < first.seconds() * (1 - SHORTER)) {
          warnings.add(
              new Warning(
                  "warm_try",
                  "The try at "
                      + Figures.fixed(later.watts(), 0)
                      + " W "
                      + Figures.duration(later.from() - first.to())
                      + " after the first was "
                      + Figures.fixed(100 * (1 - later.seconds() / first.seconds()), 0)
                      + " % shorter: the inverter remembers heat. Rest longer before comparing."));
          return;
        }
      }
    }
  }

  private void noteRating(Hold told, double high) {
    if (told.tripped() && high < method.ratedWatts()) {
      warnings.add(
          new Warning(
              "below_rating",
              "It tripped at "
                  + Figures.fixed(told.watts(), 0)
                  + " W, below its rating of "
                  + Figures.plain(method.ratedWatts(), Unit.WATT)
                  + ": an empty pack, or a load that draws more for moments than this meter shows."));
    }
  }

  private Budget wattsBudget(Hold hold) {
    return Budget.of(Contribution.normal("Scatter of the readings", hold.scatter()))
        .with("Meter", method.power(), hold.watts(), 1);
  }

  private static Figure heldPower(Hold told, Budget budget) {
    return Figure.of(
        "held_power",
        told.tripped() ? "Load at the trip" : "Load held",
        told.watts(),
        Unit.WATT,
        Because.of(
                budget,
                "Mean of the readings while it was on = "
                    + Figures.rounded(told.watts(), budget.u95())
                    + " W, "
                    + told.end().words()
                    + ", "
                    + Figures.duration(told.seconds()))
            .summed(
                told.tripped()
                    ? "until it tripped"
                    : "held for " + Figures.duration(told.seconds())));
  }

  private static Figure tripTime(
      Hold told,
      Figure held,
      List<Hold> trips,
      Optional<TripFit> fit,
      double origin,
      List<String> watch) {
    Budget budget =
        Budget.of(
            Contribution.wholeWidth("Load step and trip between readings", told.halfWidth()),
            Repeats.once(told.seconds(), Repeats.TRIP));
    List<String> sum = new ArrayList<>();
    sum.add(
        "Load on at "
            + Figures.clock(told.from() - origin)
            + " from "
            + Figures.fixed(told.before(), 0)
            + " W, gone at "
            + Figures.clock(told.to() - origin)
            + ": "
            + Figures.rounded(told.seconds(), told.halfWidth())
            + " s");
    for (int i = 1; i < trips.size(); i++) {
      Hold h = trips.get(i);
      sum.add(
          "Then "
              + Figures.fixed(h.watts(), 0)
              + " W: "
              + Figures.rounded(h.seconds(), h.halfWidth())
              + " s");
    }
    fit.ifPresent(f -> sum.add(f.words()));
    return Figure.of(
        "trip_time",
        "Time to the trip",
        told.seconds(),
        Unit.SECOND,
        Because.of(budget, sum)
            .summed(
                "at "
                    + Figures.fixed(held.value(), 0)
                    + " W, from "
                    + Figures.fixed(told.before(), 0)
                    + " W")
            .from(held)
            .watching(watch)
            .otherwise(SCHOOLS));
  }

  private OverloadFinding nothing(List<Hold> holds) {
    return new OverloadFinding(
        holds, Optional.empty(), Optional.empty(), Optional.empty(), method.power(), warnings);
  }
}

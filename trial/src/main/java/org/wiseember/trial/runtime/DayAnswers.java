package org.wiseember.trial.runtime;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.AskedOfUnit;
import org.wiseember.core.runtime.ChargeCurve;
import org.wiseember.core.runtime.ClockTime;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.Endured;
import org.wiseember.core.runtime.GeneratorHours;
import org.wiseember.core.runtime.GoesLeft;
import org.wiseember.core.runtime.InTurn;
import org.wiseember.core.runtime.Joined;
import org.wiseember.core.runtime.Sheds;
import org.wiseember.core.runtime.SmallestUnit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.trial.runtime.DayAnswer.Tone;

/** What a day comes to in the words of a reader, in the order people ask. */
public final class DayAnswers {
  private static final double SECONDS = 3600;

  /** So many starts are told one by one; gentler ones settle nothing. */
  private static final int STARTS = 3;

  private final DayOutcome outcome;
  private final DayOnUnit unit;
  private final ChargeCurve course;
  private final ReaderUnits units;
  private final List<DayAnswer> all = new ArrayList<>();

  private DayAnswers(DayOutcome outcome, DayOnUnit unit, ReaderUnits units) {
    this.outcome = outcome;
    this.unit = unit;
    this.course = unit.found().course();
    this.units = units;
  }

  /** About the first unit; nothing where there is none. */
  public static List<DayAnswer> of(DayOutcome outcome, ReaderUnits units) {
    return outcome
        .first()
        .map(first -> new DayAnswers(outcome, first, units).answers())
        .orElse(List.of());
  }

  private List<DayAnswer> answers() {
    end();
    byLabel();
    unit.asks().stream().filter(AskedOfUnit::start).limit(STARTS).forEach(this::asked);
    unit.asks().stream().filter(a -> !a.start()).forEach(this::asked);
    sheds();
    outcome.goes().forEach(this::goes);
    outcome.smallest().ifPresent(this::smallest);
    outcome.inTurn().ifPresent(this::inTurn);
    outcome.joined().ifPresent(this::joined);
    figure("delivered")
        .ifPresent(f -> add("delivered", f.because().summary() + ".", Tone.PLAIN, f));
    feed();
    return all;
  }

  private Optional<Figure> figure(String key) {
    return unit.found().figure(key);
  }

  /** A time of the day as the reader tells it. */
  static String time(Day day, double hour, ReaderUnits units) {
    return ClockTime.of(day.start(), hour).words(units, day.plan().hours() > 24);
  }

  private String time(double hour) {
    return time(outcome.day(), hour, units);
  }

  private double hours() {
    return outcome.day().plan().hours();
  }

  private void end() {
    if (course.runsOut().isPresent()) {
      Figure f = figure("runs_out").orElseThrow();
      double low = Math.max(0, f.value() - f.u95());
      double high = f.value() + f.u95();
      boolean sure = high < hours();
      String answer = time(f.value());
      add(
          "runs_out",
          "between "
              + time(low)
              + " and "
              + (sure ? time(high) : "the end of the day")
              + ", after "
              + Figures.duration(60.0 * Math.round(f.value() * 60))
              + ".",
          sure ? Tone.BAD : Tone.OPEN,
          new Explanation("Runs out", answer, Unit.HOUR, rests(f.because())));
    } else {
      Figure f = figure("charge_at_end").orElseThrow();
      boolean sure = f.value() - f.u95() > outcome.day().reserve();
      add(
          "charge_at_end",
          f.words() + " left" + (sure ? "." : ", which is too close to say that it lasts."),
          sure ? Tone.GOOD : Tone.OPEN,
          new Explanation("Lasts until", time(hours()), Unit.PERCENT, rests(f.because())));
    }
  }

  /** With where each part of the unit's figures comes from. */
  private Because rests(Because because) {
    List<String> watch = new ArrayList<>(unit.measured().restsOn());
    unit.warnings().forEach(w -> watch.add(w.message()));
    return because.watching(watch);
  }

  private void byLabel() {
    unit.byLabel()
        .ifPresent(
            promised -> {
              OptionalDouble end = promised.runsOut();
              OptionalDouble real = course.runsOut();
              String words;
              if (real.isPresent()) {
                double more = end.orElse(hours()) - real.getAsDouble();
                words =
                    (more >= 0 ? "" : "It gives ")
                        + (end.isPresent() ? "" : "at least ")
                        + Figures.duration(60.0 * Math.round(Math.abs(more) * 60))
                        + (more >= 0 ? " more than it gives." : " more than that.");
              } else {
                words =
                    end.isPresent()
                        ? "It would run out by that; in truth it lasts."
                        : "with "
                            + Figures.fixed(promised.chargeAtEnd(), 0)
                            + " % left, if all that is printed came out.";
              }
              add(
                  "by_label",
                  words,
                  Tone.PLAIN,
                  new Explanation(
                      "By its label alone",
                      end.isPresent() ? time(end.getAsDouble()) : "lasts",
                      Unit.HOUR,
                      figure("label_runs_out")
                          .map(Figure::because)
                          .orElse(
                              because(
                                  Figures.plain(unit.asked().unit().labelWattHours())
                                      + " Wh printed × "
                                      + Figures.plain(unit.asked().charge())
                                      + " %, nothing lost, nothing idle"))));
            });
  }

  private static Because because(String... lines) {
    return Because.of(Budget.of(), lines);
  }

  private void asked(AskedOfUnit asked) {
    Tone tone =
        switch (asked.answer().call()) {
          case HOLDS -> Tone.GOOD;
          case TRIPS -> Tone.BAD;
          case OPEN -> Tone.OPEN;
        };
    String title = asked.start() ? "Start of " + asked.of() : "All that runs at once";
    String what =
        "at "
            + time(asked.hour())
            + (asked.start()
                ? asked.running() > 0
                    ? " over " + Figures.plain(Math.rint(asked.running()), Unit.WATT)
                    : ""
                : ", " + asked.of() + " last");
    String call =
        switch (asked.answer().call()) {
          case HOLDS -> asked.start() ? "It starts. " : "It holds. ";
          case TRIPS -> "It trips. ";
          case OPEN -> "Open. ";
        };
    String answer =
        Figures.plain(Math.rint(asked.amount()), asked.start() ? Unit.VOLT_AMPERE : Unit.WATT);
    add(
        asked.start() ? "start" : "running",
        call + capital(what) + ".",
        tone,
        new Explanation(
            title,
            answer,
            Unit.VOLT_AMPERE,
            because(
                    asked.start()
                        ? "VA of the start + watts of all others, " + what
                        : "Watts of all that is on, " + what)
                .summed(asked.answer().reason())
                .watching(
                    asked.answer().call() == Endured.Call.OPEN
                        ? printed(asked)
                        : "Seen on this unit, not read off its label.")));
  }

  /** What the label says settles nothing, but it is what one has. */
  private String printed(AskedOfUnit asked) {
    double limit =
        asked.start() ? unit.asked().unit().startVa() : unit.asked().unit().outputWatts();
    return Double.isInfinite(limit)
        ? "Its label says nothing of it either."
        : "What is known or printed of it is "
            + Figures.plain(Math.rint(limit), asked.start() ? Unit.VOLT_AMPERE : Unit.WATT)
            + (asked.amount() > limit ? ", less than is asked." : ", which is enough if it holds.");
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  private void sheds() {
    List<Sheds.Shed> sheds = outcome.sheds();
    if (sheds.isEmpty()) {
      return;
    }
    Sheds.Shed last = sheds.get(sheds.size() - 1);
    List<String> steps =
        sheds.stream()
            .map(
                s ->
                    "Without "
                        + String.join(", ", s.without())
                        + ": "
                        + (s.lasts() ? "it lasts" : time(s.runsOut().getAsDouble())))
            .toList();
    add(
        "sheds",
        "Off, in this order: " + String.join(", ", last.without()) + ".",
        last.lasts() ? Tone.PLAIN : Tone.BAD,
        new Explanation(
            last.lasts() ? "So that it lasts" : "With the first alone",
            last.lasts()
                ? last.without().size() == 1
                    ? "one thing less"
                    : last.without().size() + " things less"
                : time(last.runsOut().getAsDouble()),
            Unit.HOUR,
            Because.of(Budget.of(), steps)
                .summed("The list says what matters: its last goes first.")));
  }

  private void goes(GoesLeft goes) {
    add(
        "goes",
        (goes.leastAlone() < goes.alone() ? "At least " + goes.leastAlone() + ". " : "")
            + "After the day there is enough for "
            + (goes.more() == 0 ? "none" : goes.more())
            + " more.",
        Tone.PLAIN,
        new Explanation(
            "Goes of " + goes.name() + " alone",
            Integer.toString(goes.alone()),
            Unit.WATT_HOUR,
            because(
                "Charge at the start, less the reserve, ÷ what one go takes of a full unit",
                "with nothing else on")));
  }

  private void smallest(SmallestUnit least) {
    String needs =
        Figures.plain(Math.rint(least.runningWatts()), Unit.WATT)
            + " at once"
            + (least.startVa() > least.runningWatts()
                ? " and "
                    + Figures.plain(Math.rint(least.startVa()), Unit.VOLT_AMPERE)
                    + " to start"
                : "");
    boolean known = !Double.isNaN(least.wattHours());
    add(
        "smallest",
        known
            ? "given at "
                + Figures.plain(Math.rint(least.watts()), Unit.WATT)
                + ", where this one gives "
                + Figures.plain(Math.rint(least.given()), Unit.WATT_HOUR)
                + "; "
                + needs
                + "."
            : "None with these losses; " + needs + ".",
        Tone.PLAIN,
        new Explanation(
            "A unit that would just do",
            known ? Figures.plain(Math.rint(least.wattHours()), Unit.WATT_HOUR) : "–",
            Unit.WATT_HOUR,
            because(
                    "Idle draw and losses as this unit's, energy made smaller or larger until the"
                        + " day is just carried")
                .summed("to the last watt-hour, so take a larger one")));
  }

  private void inTurn(InTurn turn) {
    List<String> names = outcome.units().stream().map(DayOnUnit::name).toList();
    List<String> steps = new ArrayList<>();
    for (int i = 0; i < turn.ends().size(); i++) {
      steps.add(names.get(i) + " until " + time(turn.ends().get(i)));
    }
    add(
        "in_turn",
        "Each plugged in full when the one before has run out: " + String.join(", ", names) + ".",
        turn.runsOut().isPresent() ? Tone.BAD : Tone.GOOD,
        new Explanation(
            "One after the other",
            turn.runsOut().isPresent() ? time(turn.runsOut().getAsDouble()) : "lasts",
            Unit.HOUR,
            Because.of(Budget.of(), steps).summed("no feed counted")));
  }

  private void joined(Joined joined) {
    String first = outcome.units().get(0).name();
    String second = outcome.units().get(1).name();
    List<String> steps = new ArrayList<>();
    List<String> asks = new ArrayList<>();
    Tone worst = joined.runsOut().isPresent() ? Tone.BAD : Tone.GOOD;
    for (int i = 0; i < joined.legs().size(); i++) {
      Joined.OnLeg leg = joined.legs().get(i);
      String name = i == 0 ? first : second;
      steps.add(name + ": " + Figures.fixed(leg.chargeAtEnd(), 0) + " % left by then");
      leg.worst().ifPresent(a -> asks.add(name + ": " + onLeg(a)));
      if (leg.worst().isPresent() && worst == Tone.GOOD) {
        worst = leg.worst().get().answer().call() == Endured.Call.TRIPS ? Tone.BAD : Tone.OPEN;
      }
    }
    add(
        "joined",
        first
            + " and "
            + second
            + " as one, each at the charge of the day"
            + (asks.isEmpty() ? "." : ". " + String.join(" ", asks)),
        worst,
        new Explanation(
            "Joined, in parallel or as two legs",
            joined.runsOut().isPresent() ? time(joined.runsOut().getAsDouble()) : "lasts",
            Unit.HOUR,
            Because.of(Budget.of(), steps)
                .summed("the pair goes off with the first that is empty; no feed counted")
                .watching(
                    "What hangs on one leg is drawn from its unit alone, everything else half from"
                        + " each. Only units their maker says may be joined are joined, with his"
                        + " cable; two legs into a building are work for a licensed electrician.")));
  }

  private String onLeg(AskedOfUnit a) {
    return (a.start() ? "the start of " + a.of() + ", " : "all that runs, ")
        + Figures.plain(Math.rint(a.amount()), a.start() ? Unit.VOLT_AMPERE : Unit.WATT)
        + (a.answer().call() == Endured.Call.TRIPS ? ", trips it." : ", is open.");
  }

  private void feed() {
    figure("into_unit")
        .ifPresent(f -> add("into_unit", f.because().summary() + ".", Tone.PLAIN, f));
    if (course.feed().isPresent()) {
      OptionalDouble without = unit.found().without().runsOut();
      add(
          "lasts_without",
          without.isPresent() ? "with nothing brought in." : "It lasts without it as well.",
          Tone.PLAIN,
          new Explanation(
              "Without the feed",
              without.isPresent() ? time(without.getAsDouble()) : "lasts",
              Unit.HOUR,
              figure("lasts_without")
                  .map(Figure::because)
                  .orElse(because("The same day with nothing brought in"))));
    }
    figure("source_load")
        .ifPresent(
            f ->
                add(
                    "source_load",
                    course.feed().orElseThrow().stalls()
                        ? "More than it gives: it stalls or trips."
                        : "It gives that.",
                    course.feed().orElseThrow().stalls() ? Tone.BAD : Tone.GOOD,
                    f));
    OptionalDouble daily = GeneratorHours.of(unit.asked(), course);
    if (daily.isPresent()) {
      add(
          "generator_hours",
          "of it a day put back what a day of this takes.",
          Tone.PLAIN,
          new Explanation(
              "Source to run",
              Figures.duration(60.0 * Math.round(daily.getAsDouble() * SECONDS / 60)),
              Unit.HOUR,
              because("Share of a full unit used in 24 h ÷ share the feed puts back in an hour")));
    }
  }

  private void add(String key, String words, Tone tone, Figure figure) {
    add(key, words, tone, Explanation.of(figure));
  }

  private void add(String key, String words, Tone tone, Explanation why) {
    all.add(new DayAnswer(key, capital(words), tone, why));
  }
}

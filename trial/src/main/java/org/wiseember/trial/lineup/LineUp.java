package org.wiseember.trial.lineup;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.lineup.Beaten;
import org.wiseember.core.lineup.Candidate;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.MustHave;
import org.wiseember.core.lineup.Order;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.LineUpNotes;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.UnitFacts;
import org.wiseember.workbook.Watches;
import org.wiseember.workbook.Workbook;

/**
 * Several units beside each other at one load.
 *
 * @param units in the order of the page
 * @param load all energies are told at, W; empty where the units share none
 * @param light watts from panels are told at, lx; empty where none of them was seen in any
 * @param notes what was noted for it
 * @param beaten by name, the names of those that beat or equal it in all one cares for
 * @param order by the weights
 * @param jobs the days that were laid out, as jobs
 * @param motors every motor that was tried on one of them, on all
 */
public record LineUp(
    List<LineUpUnit> units,
    OptionalDouble load,
    OptionalDouble light,
    LineUpNotes notes,
    Map<String, List<String>> beaten,
    Order order,
    List<Job> jobs,
    List<MotorOnUnits> motors) {
  public LineUp {
    motors = List.copyOf(motors);
    units = List.copyOf(units);
    jobs = List.copyOf(jobs);
  }

  /**
   * A unit with what is known of it beyond its label.
   *
   * @param facts such as what was paid
   */
  public record Entry(Judgement judgement, UnitFacts facts) {}

  /** Of the units of a workbook that were chosen, else of all. */
  public static LineUp of(Workbook workbook, OptionalDouble load) {
    LineUpNotes notes = workbook.lineUpNotes();
    List<Entry> entries =
        workbook.units().all().stream()
            .filter(u -> notes.units().isEmpty() || notes.units().contains(u.id()))
            .map(u -> new Entry(Judgement.of(workbook, u, true), workbook.units().facts(u.id())))
            .toList();
    List<Day> days = workbook.days().all().days().stream().map(StoredDay::day).toList();
    return of(
        entries,
        load.isPresent() ? notes.at(load) : notes,
        days,
        appliances(days, workbook.watches().all()));
  }

  /** Everything that was watched or stands in a day, by name in lower case; a watch goes first. */
  public static Map<String, ApplianceDraw> appliances(List<Day> days, List<Watches.Kept> watches) {
    Map<String, ApplianceDraw> all = new HashMap<>();
    for (Day day : days) {
      for (Appliance a : day.appliances()) {
        all.put(a.name().toLowerCase(Locale.ROOT), a.draw());
      }
    }
    watches.forEach(w -> all.put(w.name().toLowerCase(Locale.ROOT), w.sheet().draw()));
    return all;
  }

  /**
   * Works it out.
   *
   * @param appliances what must-haves may name, by name in lower case
   */
  public static LineUp of(
      List<Entry> entries,
      LineUpNotes notes,
      List<Day> days,
      Map<String, ApplianceDraw> appliances) {
    OptionalDouble load =
        notes.load().isPresent()
            ? notes.load()
            : AtLoad.shared(entries.stream().map(Entry::judgement).toList());
    OptionalDouble light =
        notes.light().isPresent()
            ? notes.light()
            : InLight.shared(entries.stream().map(Entry::judgement).toList());
    List<MustHave> wishes = notes.mustHaves().stream().map(MustHave::of).toList();
    List<LineUpUnit> units = new ArrayList<>();
    String currency = currency(entries.stream().map(Entry::facts).toList());
    for (Entry entry : entries) {
      units.add(unit(entry, currency, named(entry, units), notes, load, light, wishes, appliances));
    }
    List<Candidate> candidates = units.stream().map(LineUpUnit::candidate).toList();
    return new LineUp(
        units,
        load,
        light,
        notes,
        Beaten.by(candidates, told(notes, units).keySet()),
        Order.of(candidates, told(notes, units)),
        days.stream().map(d -> Job.of(d, units)).toList(),
        MotorOnUnits.of(units));
  }

  /** What most prices are in; the first of those there are as many of. */
  static String currency(List<UnitFacts> all) {
    Map<String, Integer> counts = new LinkedHashMap<>();
    all.stream()
        .filter(f -> f.price() > 0)
        .forEach(f -> counts.merge(f.currency(), 1, Integer::sum));
    String most = "";
    for (Map.Entry<String, Integer> c : counts.entrySet()) {
      most = c.getValue() > counts.getOrDefault(most, 0) ? c.getKey() : most;
    }
    return most;
  }

  /** A price in another money is no price beside the others. */
  private static Entry inMoney(Entry entry, String currency) {
    UnitFacts f = entry.facts();
    return f.currency().equals(currency)
        ? entry
        : new Entry(
            entry.judgement(),
            new UnitFacts(
                f.serial(), f.firmware(), f.obtained(), f.obtainedOn(), Double.NaN, f.currency()));
  }

  /**
   * What one cares for, as far as it is known of any unit: what nobody knows parts none of them.
   */
  private static Map<Measure, Double> told(LineUpNotes notes, List<LineUpUnit> units) {
    Map<Measure, Double> told = new EnumMap<>(Measure.class);
    notes
        .weights()
        .forEach(
            (m, w) -> {
              if (w > 0 && units.stream().anyMatch(u -> u.figure(m).isPresent())) {
                told.put(m, w);
              }
            });
    return told;
  }

  /** What one cares for and nobody knows of any of them. */
  public List<Measure> untold() {
    return notes.weights().entrySet().stream()
        .filter(e -> e.getValue() > 0 && !told(notes, units).containsKey(e.getKey()))
        .map(Map.Entry::getKey)
        .toList();
  }

  /** Two units of one name are told apart by a number. */
  private static String named(Entry entry, List<LineUpUnit> before) {
    String name = called(entry.judgement());
    long same = before.stream().filter(u -> called(u.judgement()).equals(name)).count();
    return same == 0 ? name : name + " (" + (same + 1) + ")";
  }

  private static String called(Judgement judgement) {
    return judgement.unit().name()
        + (judgement.unit().origin().isPresent() ? ", somebody else's" : "");
  }

  private static LineUpUnit unit(
      Entry entry,
      String currency,
      String name,
      LineUpNotes notes,
      OptionalDouble load,
      OptionalDouble light,
      List<MustHave> wishes,
      Map<String, ApplianceDraw> appliances) {
    Judgement judgement = entry.judgement();
    LineUpFigures known =
        LineUpFigures.of(judgement, inMoney(entry, currency).facts(), notes, load, light);
    Map<Measure, Figure> figures = known.figures();
    List<Answered> answers =
        new MustHaveAnswers(judgement, known, appliances)
            .all(wishes, words -> notes.answer(judgement.unit().id(), words));
    if (!answers.isEmpty()) {
      figures.put(Measure.MUST_HAVES, count(answers));
    }
    return new LineUpUnit(
        name,
        judgement,
        entry.facts(),
        inMoney(entry, currency).facts().price(),
        new Candidate(name, figures),
        answers,
        AtLoad.range(judgement));
  }

  /** A half counts a half; with some not known it is at least so many. */
  private static Figure count(List<Answered> answers) {
    double sum = answers.stream().mapToDouble(a -> a.answer().counts()).sum();
    boolean open = answers.stream().anyMatch(a -> a.answer() == MustHave.Answer.NOT_KNOWN);
    Figure figure =
        Figure.of(
            Measure.MUST_HAVES.key(),
            Measure.MUST_HAVES.words(),
            sum,
            Unit.ONE,
            Because.of(
                    Budget.of(),
                    answers.stream()
                        .map(
                            a ->
                                a.mustHave().words()
                                    + ": "
                                    + a.answer().words()
                                    + ". "
                                    + a.because())
                        .toList())
                .summed(Figures.plain(sum) + " of " + answers.size()));
    return open ? figure.bounded(Bound.AT_LEAST) : figure;
  }

  /** The unit of that name; empty for another. */
  public Optional<LineUpUnit> unit(String name) {
    return units.stream().filter(u -> u.name().equals(name)).findFirst();
  }

  /** What is missing of a unit among what one cares for, with what would give it. */
  public List<String> missing(LineUpUnit unit) {
    return notes.weights().entrySet().stream()
        .filter(e -> e.getValue() > 0)
        .map(Map.Entry::getKey)
        .filter(m -> unit.figure(m).isEmpty())
        .map(m -> m.words() + ": " + m.settledBy())
        .toList();
  }
}

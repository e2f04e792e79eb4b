package org.wiseember.workbook;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.cost.Bills;
import org.wiseember.core.cost.Life;
import org.wiseember.core.cost.Parts;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.MustHave;

/**
 * What a tester noted for comparing units.
 *
 * @param units keys of those on the page, in its order; none for all on the shelf
 * @param load of the page, W; empty for the highest that all were measured at
 * @param source of the page, that charges are compared from
 * @param light of the page, lx; empty for the one most of them were seen in
 * @param mustHaves as written
 * @param weights what is cared for, and how much
 * @param leftAtEnd share of its energy a unit has at the end of its cycles where its label does not
 *     say
 * @param cyclesADay how often one is emptied
 * @param answers by hand, by key of the unit and words of the must-have
 * @param parts the same bought in parts, by key of the unit
 * @param bills of the grid, month by month
 */
public record LineUpNotes(
    List<Long> units,
    OptionalDouble load,
    ChargeSource source,
    OptionalDouble light,
    List<String> mustHaves,
    Map<Measure, Double> weights,
    double leftAtEnd,
    double cyclesADay,
    Map<Long, Map<String, MustHave.Answer>> answers,
    Map<Long, List<Parts.Part>> parts,
    Bills bills) {
  /** What one begins with: the usual must-haves, and what most care for. */
  public static final LineUpNotes USUAL =
      new LineUpNotes(
          List.of(),
          OptionalDouble.empty(),
          ChargeSource.WALL,
          OptionalDouble.empty(),
          MustHave.USUAL.stream().map(MustHave::words).toList(),
          Map.of(
              Measure.DELIVERED, 1.0,
              Measure.WH_PER_KG, 1.0,
              Measure.PRICE_PER_DELIVERED_WH, 1.0,
              Measure.FULL_AGAIN, 0.5,
              Measure.IDLE, 0.5,
              Measure.MUST_HAVES, 1.0),
          Life.USUAL_LEFT,
          1,
          Map.of(),
          Map.of(),
          new Bills(List.of(), Double.NaN));

  public LineUpNotes {
    units = List.copyOf(units);
    mustHaves = mustHaves.stream().filter(w -> !w.isBlank()).distinct().toList();
    Map<Measure, Double> ordered = new EnumMap<>(Measure.class);
    ordered.putAll(weights);
    weights = ordered;
    answers = new LinkedHashMap<>(answers);
    parts = new LinkedHashMap<>(parts);
  }

  /** The same with these units on the page. */
  public LineUpNotes on(List<Long> others) {
    return new LineUpNotes(
        others,
        load,
        source,
        light,
        mustHaves,
        weights,
        leftAtEnd,
        cyclesADay,
        answers,
        parts,
        bills);
  }

  /** The same at another load. */
  public LineUpNotes at(OptionalDouble watts) {
    return new LineUpNotes(
        units,
        watts,
        source,
        light,
        mustHaves,
        weights,
        leftAtEnd,
        cyclesADay,
        answers,
        parts,
        bills);
  }

  /** The same charged from another source. */
  public LineUpNotes from(ChargeSource other) {
    return new LineUpNotes(
        units,
        load,
        other,
        light,
        mustHaves,
        weights,
        leftAtEnd,
        cyclesADay,
        answers,
        parts,
        bills);
  }

  /** The same in another light. */
  public LineUpNotes in(OptionalDouble lux) {
    return new LineUpNotes(
        units, load, source, lux, mustHaves, weights, leftAtEnd, cyclesADay, answers, parts, bills);
  }

  /** The same with other must-haves. */
  public LineUpNotes having(List<String> others) {
    return new LineUpNotes(
        units, load, source, light, others, weights, leftAtEnd, cyclesADay, answers, parts, bills);
  }

  /** The same with a measure weighing so much; 0 for one nobody cares for. */
  public LineUpNotes weighing(Measure measure, double weight) {
    Map<Measure, Double> next = new EnumMap<>(Measure.class);
    next.putAll(weights);
    next.put(measure, weight);
    return new LineUpNotes(
        units, load, source, light, mustHaves, next, leftAtEnd, cyclesADay, answers, parts, bills);
  }

  /** The same with another life assumed. */
  public LineUpNotes living(double left, double aDay) {
    return new LineUpNotes(
        units, load, source, light, mustHaves, weights, left, aDay, answers, parts, bills);
  }

  /** The same with an answer by hand; not known takes it back. */
  public LineUpNotes answering(long unit, String mustHave, MustHave.Answer answer) {
    Map<Long, Map<String, MustHave.Answer>> next = new LinkedHashMap<>(answers);
    Map<String, MustHave.Answer> own = new LinkedHashMap<>(next.getOrDefault(unit, Map.of()));
    if (answer == MustHave.Answer.NOT_KNOWN) {
      own.remove(mustHave);
    } else {
      own.put(mustHave, answer);
    }
    next.put(unit, own);
    return new LineUpNotes(
        units, load, source, light, mustHaves, weights, leftAtEnd, cyclesADay, next, parts, bills);
  }

  /** The same with a unit bought in these parts. */
  public LineUpNotes partsOf(long unit, List<Parts.Part> list) {
    Map<Long, List<Parts.Part>> next = new LinkedHashMap<>(parts);
    next.put(unit, list);
    return new LineUpNotes(
        units,
        load,
        source,
        light,
        mustHaves,
        weights,
        leftAtEnd,
        cyclesADay,
        answers,
        next,
        bills);
  }

  /** The same with other bills. */
  public LineUpNotes billed(Bills others) {
    return new LineUpNotes(
        units,
        load,
        source,
        light,
        mustHaves,
        weights,
        leftAtEnd,
        cyclesADay,
        answers,
        parts,
        others);
  }

  /** What was answered by hand; empty where nothing was. */
  public Optional<MustHave.Answer> answer(long unit, String mustHave) {
    return Optional.ofNullable(answers.getOrDefault(unit, Map.of()).get(mustHave));
  }
}

package org.wiseember.workbook;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.cost.Bills;
import org.wiseember.core.cost.Parts;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.MustHave;
import org.wiseember.core.quantity.Keyed;
import org.wiseember.workbook.json.Records;

/** Notes of a line-up as JSON; see docs/formats.md. */
final class LineUpJson {
  private LineUpJson() {}

  /** As they lie in the workbook; what a later program compares by is passed over. */
  private record Written(
      List<Long> units,
      OptionalDouble load,
      String source,
      OptionalDouble light,
      List<String> mustHaves,
      Map<String, Double> weights,
      OptionalDouble leftAtEnd,
      OptionalDouble cyclesADay,
      Map<Long, Map<String, String>> answers,
      Map<Long, List<Parts.Part>> parts,
      List<Bills.Month> bills,
      double weatherShare) {
    static Written of(LineUpNotes notes) {
      Map<String, Double> weights = new TreeMap<>();
      notes.weights().forEach((measure, weight) -> weights.put(measure.key(), weight));
      Map<Long, Map<String, String>> answers = new LinkedHashMap<>();
      notes
          .answers()
          .forEach(
              (unit, own) -> {
                Map<String, String> written = new LinkedHashMap<>();
                own.forEach((words, answer) -> written.put(words, answer.key()));
                answers.put(unit, written);
              });
      return new Written(
          notes.units(),
          notes.load(),
          Keyed.key(notes.source()),
          notes.light(),
          notes.mustHaves(),
          weights,
          OptionalDouble.of(notes.leftAtEnd()),
          OptionalDouble.of(notes.cyclesADay()),
          answers,
          notes.parts(),
          notes.bills().months(),
          notes.bills().weatherShare());
    }

    LineUpNotes notes() {
      Map<Measure, Double> known = new EnumMap<>(Measure.class);
      weights.forEach(
          (key, weight) -> Measure.byKey(key).ifPresent(measure -> known.put(measure, weight)));
      Map<Long, Map<String, MustHave.Answer>> answered = new LinkedHashMap<>();
      answers.forEach(
          (unit, own) -> {
            Map<String, MustHave.Answer> read = new LinkedHashMap<>();
            own.forEach(
                (words, key) ->
                    Keyed.of(MustHave.Answer.class, key).ifPresent(a -> read.put(words, a)));
            answered.put(unit, read);
          });
      return new LineUpNotes(
          units,
          load,
          Keyed.of(ChargeSource.class, source).orElse(ChargeSource.WALL),
          light,
          mustHaves,
          known,
          leftAtEnd.orElse(LineUpNotes.USUAL.leftAtEnd()),
          cyclesADay.orElse(1),
          answered,
          parts,
          new Bills(bills, weatherShare));
    }
  }

  static String write(LineUpNotes notes) {
    return Records.write(Written.of(notes));
  }

  /** What one begins with where nothing was kept. */
  static LineUpNotes read(String json) {
    if (json.isBlank()) {
      return LineUpNotes.USUAL;
    }
    try {
      return Records.read(json, Written.class).notes();
    } catch (IllegalArgumentException damaged) {
      throw new WorkbookException(
          "The notes of the line-up kept in the workbook cannot be read.", damaged);
    }
  }
}

package org.wiseember.workbook;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.cost.Bills;
import org.wiseember.core.cost.Parts;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.MustHave;

/** Notes of a line-up as JSON; see docs/formats.md. */
final class LineUpJson {
  private static final ObjectMapper JSON = new ObjectMapper();

  private LineUpJson() {}

  static String write(LineUpNotes notes) {
    ObjectNode root = JSON.createObjectNode();
    ArrayNode units = root.putArray("units");
    notes.units().forEach(units::add);
    notes.load().ifPresent(w -> root.put("load", w));
    root.put("source", notes.source().name().toLowerCase(Locale.ROOT));
    notes.light().ifPresent(lux -> root.put("light", lux));
    ArrayNode wishes = root.putArray("mustHaves");
    notes.mustHaves().forEach(wishes::add);
    ObjectNode weights = root.putObject("weights");
    notes.weights().forEach((m, w) -> weights.put(m.key(), w));
    root.put("leftAtEnd", notes.leftAtEnd());
    root.put("cyclesADay", notes.cyclesADay());
    ObjectNode answers = root.putObject("answers");
    notes
        .answers()
        .forEach(
            (unit, own) -> {
              ObjectNode node = answers.putObject(String.valueOf(unit));
              own.forEach((words, a) -> node.put(words, key(a)));
            });
    ObjectNode parts = root.putObject("parts");
    notes
        .parts()
        .forEach(
            (unit, list) -> {
              ArrayNode node = parts.putArray(String.valueOf(unit));
              list.forEach(p -> part(node.addObject(), p));
            });
    ArrayNode months = root.putArray("bills");
    notes.bills().months().forEach(m -> month(months.addObject(), m));
    number(root, "weatherShare", notes.bills().weatherShare());
    return root.toString();
  }

  private static void part(ObjectNode node, Parts.Part part) {
    node.put("name", part.name());
    number(node, "low", part.low());
    number(node, "high", part.high());
  }

  private static void month(ObjectNode node, Bills.Month month) {
    node.put("name", month.name());
    node.put("before", month.before());
    node.put("after", month.after());
    number(node, "degreesBefore", month.degreesBefore());
    number(node, "degreesAfter", month.degreesAfter());
  }

  private static void number(ObjectNode node, String key, double value) {
    if (!Double.isNaN(value)) {
      node.put(key, value);
    }
  }

  private static String key(MustHave.Answer answer) {
    return answer.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** What one begins with where nothing was kept, or what was makes no sense. */
  static LineUpNotes read(String json) {
    if (json.isBlank()) {
      return LineUpNotes.USUAL;
    }
    try {
      return read(JSON.readTree(json));
    } catch (JsonProcessingException | IllegalArgumentException damaged) {
      throw new WorkbookException(
          "The notes of the line-up kept in the workbook cannot be read.", damaged);
    }
  }

  private static LineUpNotes read(JsonNode root) {
    List<Long> units = new ArrayList<>();
    root.path("units").forEach(n -> units.add(n.asLong()));
    List<String> wishes = new ArrayList<>();
    root.path("mustHaves").forEach(n -> wishes.add(n.asText()));
    Map<Measure, Double> weights = new EnumMap<>(Measure.class);
    root.path("weights")
        .properties()
        .forEach(
            e -> Measure.byKey(e.getKey()).ifPresent(m -> weights.put(m, e.getValue().asDouble())));
    Map<Long, Map<String, MustHave.Answer>> answers = new LinkedHashMap<>();
    root.path("answers")
        .properties()
        .forEach(e -> answers.put(Long.valueOf(e.getKey()), answers(e.getValue())));
    Map<Long, List<Parts.Part>> parts = new LinkedHashMap<>();
    root.path("parts")
        .properties()
        .forEach(e -> parts.put(Long.valueOf(e.getKey()), parts(e.getValue())));
    List<Bills.Month> months = new ArrayList<>();
    for (JsonNode m : root.path("bills")) {
      months.add(
          new Bills.Month(
              m.path("name").asText(),
              m.path("before").asDouble(),
              m.path("after").asDouble(),
              m.path("degreesBefore").asDouble(Double.NaN),
              m.path("degreesAfter").asDouble(Double.NaN)));
    }
    return new LineUpNotes(
        units,
        number(root, "load"),
        ChargeSource.byName(root.path("source").asText().toUpperCase(Locale.ROOT))
            .orElse(ChargeSource.WALL),
        number(root, "light"),
        wishes,
        weights,
        root.path("leftAtEnd").asDouble(LineUpNotes.USUAL.leftAtEnd()),
        root.path("cyclesADay").asDouble(1),
        answers,
        parts,
        new Bills(months, root.path("weatherShare").asDouble(Double.NaN)));
  }

  private static OptionalDouble number(JsonNode root, String key) {
    return root.has(key) ? OptionalDouble.of(root.get(key).asDouble()) : OptionalDouble.empty();
  }

  private static Map<String, MustHave.Answer> answers(JsonNode node) {
    Map<String, MustHave.Answer> own = new LinkedHashMap<>();
    node.properties()
        .forEach(
            e -> {
              for (MustHave.Answer a : MustHave.Answer.values()) {
                if (key(a).equals(e.getValue().asText())) {
                  own.put(e.getKey(), a);
                }
              }
            });
    return own;
  }

  private static List<Parts.Part> parts(JsonNode node) {
    List<Parts.Part> list = new ArrayList<>();
    for (JsonNode p : node) {
      double low = p.path("low").asDouble(Double.NaN);
      list.add(new Parts.Part(p.path("name").asText(), low, p.path("high").asDouble(low)));
    }
    return list;
  }
}

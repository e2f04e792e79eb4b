package org.wiseember.workbook.plan;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import org.wiseember.workbook.strict.JsonUnreadable;

/** Notes of a campaign as JSON; see docs/formats.md. */
public final class CampaignNotesJson {
  private static final ObjectMapper JSON = new ObjectMapper();

  private CampaignNotesJson() {}

  /** As it is kept. */
  public static String write(CampaignNotes notes) {
    ObjectNode root = JSON.createObjectNode();
    ArrayNode units = root.putArray("units");
    notes.units().forEach(units::add);
    ArrayNode present = root.putArray("present");
    notes
        .present()
        .forEach(
            p -> present.addObject().put("from", p.from().toString()).put("to", p.to().toString()));
    ObjectNode choices = root.putObject("choices");
    notes
        .choices()
        .forEach(
            (unit, own) -> {
              ObjectNode node = choices.putObject(String.valueOf(unit));
              own.forEach((test, c) -> node.put(test, c.name().toLowerCase(Locale.ROOT)));
            });
    ObjectNode pins = root.putObject("pins");
    notes
        .pins()
        .forEach(
            (unit, own) -> {
              ObjectNode node = pins.putObject(String.valueOf(unit));
              own.forEach((test, at) -> node.put(test, at.toString()));
            });
    ArrayNode away = root.putArray("away");
    notes
        .away()
        .forEach(
            a ->
                away.addObject()
                    .put("thing", a.thing())
                    .put("from", a.from().toString())
                    .put("to", a.to().toString()));
    ObjectNode charges = root.putObject("charges");
    notes
        .charges()
        .forEach(
            (unit, c) ->
                charges
                    .putObject(String.valueOf(unit))
                    .put("percent", c.percent())
                    .put("at", c.at().toString()));
    ObjectNode begun = root.putObject("begun");
    notes
        .begun()
        .forEach(
            (unit, b) ->
                begun
                    .putObject(String.valueOf(unit))
                    .put("from", b.from())
                    .put("to", b.to())
                    .put("at", b.at().toString())
                    .put("ends", b.ends().toString())
                    .put("brokenOff", b.brokenOff()));
    return root.toString();
  }

  /**
   * Reads what was kept.
   *
   * @throws JsonUnreadable where it makes no sense
   */
  public static CampaignNotes read(String json) throws JsonUnreadable {
    if (json.isBlank()) {
      return CampaignNotes.USUAL;
    }
    try {
      return read(JSON.readTree(json));
    } catch (JsonProcessingException | DateTimeException | IllegalArgumentException damaged) {
      JsonUnreadable said =
          new JsonUnreadable("The notes of the plan kept in the workbook cannot be read.");
      said.initCause(damaged);
      throw said;
    }
  }

  private static CampaignNotes read(JsonNode root) {
    List<Long> units = new ArrayList<>();
    root.path("units").forEach(n -> units.add(n.asLong()));
    List<CampaignNotes.Present> present = new ArrayList<>();
    for (JsonNode p : root.path("present")) {
      present.add(
          new CampaignNotes.Present(
              LocalTime.parse(p.path("from").asText()), LocalTime.parse(p.path("to").asText())));
    }
    List<CampaignNotes.Away> away = new ArrayList<>();
    for (JsonNode a : root.path("away")) {
      away.add(
          new CampaignNotes.Away(
              a.path("thing").asText(),
              Instant.parse(a.path("from").asText()),
              Instant.parse(a.path("to").asText())));
    }
    return new CampaignNotes(
        units,
        present,
        byUnit(root.path("choices"), CampaignNotesJson::choices),
        byUnit(root.path("pins"), CampaignNotesJson::pins),
        away,
        byUnit(
            root.path("charges"),
            n -> new CampaignNotes.Charge(percent(n, "percent"), moment(n, "at"))),
        byUnit(
            root.path("begun"),
            n ->
                new CampaignNotes.Begun(
                    percent(n, "from"),
                    percent(n, "to"),
                    moment(n, "at"),
                    moment(n, "ends"),
                    n.path("brokenOff").asBoolean())));
  }

  private static double percent(JsonNode node, String key) {
    return Math.max(0, Math.min(100, node.path(key).asDouble()));
  }

  private static Instant moment(JsonNode node, String key) {
    return Instant.parse(node.path(key).asText());
  }

  private static Map<String, CampaignNotes.Choice> choices(JsonNode own) {
    Map<String, CampaignNotes.Choice> all = new LinkedHashMap<>();
    own.properties()
        .forEach(
            t ->
                all.put(
                    t.getKey(),
                    CampaignNotes.Choice.valueOf(t.getValue().asText().toUpperCase(Locale.ROOT))));
    return all;
  }

  private static Map<String, Instant> pins(JsonNode own) {
    Map<String, Instant> all = new LinkedHashMap<>();
    own.properties().forEach(t -> all.put(t.getKey(), Instant.parse(t.getValue().asText())));
    return all;
  }

  private static <V> Map<Long, V> byUnit(JsonNode root, Function<JsonNode, V> read) {
    Map<Long, V> all = new LinkedHashMap<>();
    root.properties().forEach(e -> all.put(Long.valueOf(e.getKey()), read.apply(e.getValue())));
    return all;
  }
}

package org.wiseember.command;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.BooleanNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Finding;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Unit;
import org.wiseember.trial.publish.PublishedJson;

/** Figures with their keys, as text for people and as one JSON object for scripts. */
public final class Results {
  /** A figure, or the place of one that could not be had. */
  private record Result(String key, Optional<Figure> figure, Unit unit) {}

  /** A word, yes or no, or null where there is nothing to say. */
  private record Said(String key, JsonNode word, String reason) {
    String text() {
      return word.isNull()
          ? "–"
          : word.isBoolean() ? word.asBoolean() ? "yes" : "no" : word.asText();
    }
  }

  /** What is missing for one figure more, but not why there is none. */
  private static final Set<String> BESIDE =
      Set.of(
          "accuracy_assumed", "no_rating", "no_usable", "no_dc_current", "ac_and_dc", "no_reading");

  private final String kind;
  private final List<Warning> warnings;
  private final List<Result> results = new ArrayList<>();
  private final List<Said> said = new ArrayList<>();

  public Results(String kind, List<Warning> warnings) {
    this.kind = kind;
    this.warnings = List.copyOf(warnings);
  }

  /**
   * Adds every figure of a finding.
   *
   * @param promised keys that are there in any case, with the units of their figures
   */
  public Results add(Finding finding, Map<String, Unit> promised) {
    promised.forEach((key, unit) -> results.add(new Result(key, finding.figure(key), unit)));
    finding.figures().stream().filter(f -> !promised.containsKey(f.key())).forEach(this::add);
    return this;
  }

  /** Adds one figure. */
  public Results add(Figure figure) {
    results.add(new Result(figure.key(), Optional.of(figure), figure.unit()));
    return this;
  }

  /** Adds a figure, or the place of one that could not be had. */
  public Results add(String key, Unit unit, Optional<Figure> figure) {
    results.add(new Result(key, figure, unit));
    return this;
  }

  /** Adds what is so or is not. */
  Results fact(String key, boolean so) {
    said.add(new Said(key, BooleanNode.valueOf(so), ""));
    return this;
  }

  /** Adds a figure that is a word. */
  public Results say(String key, String word, String reason) {
    said.add(new Said(key, word == null ? NullNode.instance : TextNode.valueOf(word), reason));
    return this;
  }

  public String json() throws JsonProcessingException {
    ObjectMapper mapper = new ObjectMapper();
    ObjectNode root = mapper.createObjectNode();
    root.put("kind", kind);
    ArrayNode array = root.putArray("results");
    for (Result result : results) {
      ObjectNode node = array.addObject();
      node.put("key", result.key());
      if (result.figure().isPresent()) {
        Figure figure = result.figure().get();
        node.put("value", figure.value());
        node.put("unit", PublishedJson.symbol(result.unit()));
        node.put("u95", figure.u95());
        node.put("bound", figure.bound().key());
      } else {
        node.putNull("value");
        node.put("unit", PublishedJson.symbol(result.unit()));
        node.putNull("u95");
      }
    }
    for (Said word : said) {
      ObjectNode node = array.addObject();
      node.put("key", word.key());
      node.set("value", word.word());
      node.put("unit", "");
      node.putNull("u95");
    }

    ArrayNode warned = root.putArray("warnings");
    for (Warning warning : warnings) {
      warned.addObject().put("code", warning.code()).put("message", warning.message());
    }
    return mapper.writerWithDefaultPrettyPrinter().writeValueAsString(root)
        + System.lineSeparator();
  }

  /** Why there is not one figure; empty where there is one. */
  public Optional<String> nothing() {
    if (!said.isEmpty() || results.stream().anyMatch(r -> r.figure().isPresent())) {
      return Optional.empty();
    }
    return Optional.of(
        warnings.stream()
            .filter(w -> !BESIDE.contains(w.code()))
            .reduce((first, second) -> second)
            .map(Warning::message)
            .orElse("Not one figure can be given."));
  }

  public String text() {
    StringBuilder out = new StringBuilder();
    for (Result result : results) {
      String figure = result.figure().map(Figure::words).orElse("–");
      out.append(String.format("%-18s %s%n", result.key().replace('_', ' '), figure));
    }
    for (Said word : said) {
      String reason = word.reason().isEmpty() ? "" : ". " + word.reason();
      out.append(String.format("%-18s %s%s%n", word.key().replace('_', ' '), word.text(), reason));
    }

    for (Warning warning : warnings) {
      out.append("note: ").append(warning.message()).append(System.lineSeparator());
    }
    return out.toString();
  }
}

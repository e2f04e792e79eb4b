package org.wiseember.workbook;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Subject;

/** Claims as JSON, field by field; see docs/formats.md. */
public final class ClaimJson {
  private static final ObjectMapper JSON = new ObjectMapper();

  private ClaimJson() {}

  /** As they are kept. */
  public static String write(List<Claim> claims) {
    ArrayNode array = JSON.createArrayNode();
    for (Claim claim : claims) {
      ObjectNode node = array.addObject();
      node.put("subject", key(claim.subject()));
      node.put("direction", key(claim.direction()));
      if (!Double.isNaN(claim.low())) {
        node.put("low", claim.low());
      }
      if (!Double.isNaN(claim.high())) {
        node.put("high", claim.high());
      }
      if (!claim.word().isEmpty()) {
        node.put("word", claim.word());
      }
      ArrayNode conditions = node.putArray("conditions");
      for (Condition condition : claim.conditions()) {
        ObjectNode c = conditions.addObject().put("kind", key(condition.kind()));
        if (!Double.isNaN(condition.value())) {
          c.put("value", condition.value());
        }
      }
      node.put("printedAs", claim.printedAs());
    }
    return array.toString();
  }

  /**
   * What was kept.
   *
   * @throws WorkbookException where it cannot be read
   */
  public static List<Claim> read(String json) {
    if (json.equals("[]")) {
      return List.of();
    }
    try {
      List<Claim> claims = new ArrayList<>();
      for (JsonNode node : JSON.readTree(json)) {
        List<Condition> conditions = new ArrayList<>();
        for (JsonNode c : node.path("conditions")) {
          conditions.add(
              new Condition(byKey(Condition.Kind.class, c.path("kind")), number(c.path("value"))));
        }
        claims.add(
            new Claim(
                byKey(Subject.class, node.path("subject")),
                byKey(Direction.class, node.path("direction")),
                number(node.path("low")),
                number(node.path("high")),
                node.path("word").asText(""),
                conditions,
                node.path("printedAs").asText("")));
      }
      return claims;
    } catch (JsonProcessingException | IllegalArgumentException e) {
      throw new WorkbookException("A claim kept in the workbook cannot be read.", e);
    }
  }

  /** As it stands in files; these keys stay as they are, whatever the program calls them. */
  private static String key(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT);
  }

  /** Before layout 8 the program's own names stood there, in capitals. */
  private static <E extends Enum<E>> E byKey(Class<E> type, JsonNode key) {
    return Enum.valueOf(type, key.asText().toUpperCase(Locale.ROOT));
  }

  private static double number(JsonNode node) {
    return node.isNumber() ? node.asDouble() : Double.NaN;
  }
}

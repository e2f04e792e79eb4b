package org.wiseember.workbook;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Subject;

/** Claims as JSON, field by field; see docs/formats.md. */
final class ClaimJson {
  private static final ObjectMapper JSON = new ObjectMapper();

  private ClaimJson() {}

  static String write(List<Claim> claims) {
    ArrayNode array = JSON.createArrayNode();
    for (Claim claim : claims) {
      ObjectNode node = array.addObject();
      node.put("subject", claim.subject().name());
      node.put("direction", claim.direction().name());
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
        ObjectNode c = conditions.addObject().put("kind", condition.kind().name());
        if (!Double.isNaN(condition.value())) {
          c.put("value", condition.value());
        }
      }
      node.put("printedAs", claim.printedAs());
    }
    return array.toString();
  }

  static List<Claim> read(String json) {
    if (json.equals("[]")) {
      return List.of();
    }
    try {
      List<Claim> claims = new ArrayList<>();
      for (JsonNode node : JSON.readTree(json)) {
        List<Condition> conditions = new ArrayList<>();
        for (JsonNode c : node.path("conditions")) {
          conditions.add(
              new Condition(
                  Condition.Kind.valueOf(c.path("kind").asText()), number(c.path("value"))));
        }
        claims.add(
            new Claim(
                Subject.valueOf(node.path("subject").asText()),
                Direction.valueOf(node.path("direction").asText()),
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

  private static double number(JsonNode node) {
    return node.isNumber() ? node.asDouble() : Double.NaN;
  }
}

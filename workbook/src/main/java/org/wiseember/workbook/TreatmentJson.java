package org.wiseember.workbook;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.wiseember.core.trace.Treatment;

/** What a tester decided about a run, as the workbook and run packages keep it. */
public final class TreatmentJson {
  private static final ObjectMapper JSON = new ObjectMapper();

  private TreatmentJson() {}

  /** As it is kept. */
  public static ObjectNode node(Treatment treatment) {
    ObjectNode node = JSON.createObjectNode();
    ArrayNode leftOut = node.putArray("leftOut");
    for (Treatment.LeftOut stretch : treatment.leftOut()) {
      leftOut
          .addObject()
          .put("from", stretch.from())
          .put("to", stretch.to())
          .put("reason", stretch.reason());
    }
    treatment.cutoff().ifPresent(at -> node.put("cutoff", at));
    if (treatment.standingWatts() > 0) {
      node.put("standingWatts", treatment.standingWatts());
    }
    if (treatment.leadOhms() > 0) {
      node.put("leadOhms", treatment.leadOhms());
    }
    if (treatment.aside()) {
      node.put("setAside", treatment.setAside());
    }
    return node;
  }

  /**
   * Reads what {@link #node} wrote; a missing node is no decision.
   *
   * @throws IllegalArgumentException when a figure makes no sense
   */
  /** What was kept; missing is none. */
  public static Treatment read(JsonNode node) {
    List<Treatment.LeftOut> leftOut = new ArrayList<>();
    for (JsonNode stretch : node.path("leftOut")) {
      leftOut.add(
          new Treatment.LeftOut(
              stretch.path("from").asDouble(Double.NaN),
              stretch.path("to").asDouble(Double.NaN),
              stretch.path("reason").asText()));
    }
    JsonNode cutoff = node.path("cutoff");
    return new Treatment(
        leftOut,
        cutoff.isNumber() ? OptionalDouble.of(cutoff.asDouble()) : OptionalDouble.empty(),
        node.path("standingWatts").asDouble(),
        node.path("leadOhms").asDouble(),
        node.path("setAside").asText("").strip());
  }

  static Treatment read(String text) {
    try {
      return read(JSON.readTree(text));
    } catch (JsonProcessingException | IllegalArgumentException e) {
      throw new WorkbookException("What was decided about a run cannot be read.", e);
    }
  }
}

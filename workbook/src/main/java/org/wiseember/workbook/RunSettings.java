package org.wiseember.workbook;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What a run was made with.
 *
 * @param loadWatts the load asked for, W
 * @param powerMeter name of the meter the watts come from
 * @param powerClass its accuracy
 * @param simulated whether the bench was a simulated one
 */
public record RunSettings(
    double loadWatts, String powerMeter, MeterClass powerClass, boolean simulated) {
  private static final ObjectMapper JSON = new ObjectMapper();

  String json() {
    ObjectNode node = JSON.createObjectNode();
    node.put("loadWatts", loadWatts);
    node.put("simulated", simulated);
    node.putObject("powerMeter")
        .put("name", powerMeter)
        .put("percentOfReading", powerClass.percentOfReading())
        .put("percentOfRange", powerClass.percentOfRange())
        .put("range", powerClass.range())
        .put("resolution", powerClass.resolution())
        .put("digits", powerClass.digits());
    return node.toString();
  }

  static RunSettings read(String json) {
    try {
      JsonNode node = JSON.readTree(json);
      JsonNode meter = node.path("powerMeter");
      return new RunSettings(
          node.path("loadWatts").asDouble(),
          meter.path("name").asText("meter"),
          new MeterClass(
              meter.path("percentOfReading").asDouble(2),
              meter.path("percentOfRange").asDouble(),
              meter.path("range").asDouble(),
              meter.path("resolution").asDouble(0.1),
              meter.path("digits").asInt()),
          node.path("simulated").asBoolean());
    } catch (JsonProcessingException | IllegalArgumentException e) {
      throw new WorkbookException("The settings of a run in the workbook cannot be read.", e);
    }
  }
}

package org.wiseember.workbook;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What a run was made with.
 *
 * @param loadWatts the load asked for, W
 * @param accuracy the class of the meter behind each channel; a channel without one has no stated
 *     accuracy
 * @param simulated whether the bench was a simulated one
 */
public record RunSettings(double loadWatts, Map<Channel, MeterClass> accuracy, boolean simulated) {
  private static final ObjectMapper JSON = new ObjectMapper();

  public RunSettings {
    accuracy = Map.copyOf(accuracy);
  }

  /** The class of the meter behind a channel, where it was stated. */
  public Optional<MeterClass> meterClass(Channel channel) {
    return Optional.ofNullable(accuracy.get(channel));
  }

  String json() {
    ObjectNode node = JSON.createObjectNode();
    node.put("loadWatts", loadWatts);
    node.put("simulated", simulated);
    ObjectNode meters = node.putObject("accuracy");
    new EnumMap<>(accuracy.isEmpty() ? new EnumMap<>(Channel.class) : accuracy)
        .forEach(
            (channel, meter) ->
                meters
                    .putObject(channel.key())
                    .put("percentOfReading", meter.percentOfReading())
                    .put("percentOfRange", meter.percentOfRange())
                    .put("range", meter.range())
                    .put("resolution", meter.resolution())
                    .put("digits", meter.digits()));
    return node.toString();
  }

  static RunSettings read(String json) {
    try {
      JsonNode node = JSON.readTree(json);
      Map<Channel, MeterClass> accuracy = new EnumMap<>(Channel.class);
      for (Channel channel : Channel.values()) {
        JsonNode meter = node.path("accuracy").path(channel.key());
        if (meter.isObject()) {
          accuracy.put(
              channel,
              new MeterClass(
                  meter.path("percentOfReading").asDouble(),
                  meter.path("percentOfRange").asDouble(),
                  meter.path("range").asDouble(),
                  meter.path("resolution").asDouble(),
                  meter.path("digits").asInt()));
        }
      }
      return new RunSettings(
          node.path("loadWatts").asDouble(), accuracy, node.path("simulated").asBoolean());
    } catch (JsonProcessingException | IllegalArgumentException e) {
      throw new WorkbookException("The settings of a run in the workbook cannot be read.", e);
    }
  }
}

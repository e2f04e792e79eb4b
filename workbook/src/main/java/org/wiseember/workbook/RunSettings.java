package org.wiseember.workbook;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Correction;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What a run was made with.
 *
 * @param loadWatts the load asked for, W
 * @param volts nominal at the outlet, V
 * @param accuracy the class of the meter behind each channel; a channel without one has no stated
 *     accuracy
 * @param corrections from checks against better meters; raw readings are kept without them
 * @param source where the readings come from
 * @param seed of a simulated bench, to take a run up again; 0 for others
 * @param faults of a simulated bench, to practise on
 * @param loads watts of the steps of a ladder; empty for other tests
 * @param particulars what else the test was set up with, by name, such as the motor that was
 *     started
 */
public record RunSettings(
    double loadWatts,
    double volts,
    Map<Channel, MeterClass> accuracy,
    Map<Channel, Correction> corrections,
    Source source,
    long seed,
    List<String> faults,
    List<Double> loads,
    Map<String, String> particulars) {
  private static final ObjectMapper JSON = new ObjectMapper();

  public RunSettings {
    accuracy = Map.copyOf(accuracy);
    corrections = Map.copyOf(corrections);
    faults = List.copyOf(faults);
    loads = List.copyOf(loads);
    particulars = Map.copyOf(particulars);
  }

  /** Where readings come from. */
  public enum Source {
    SIMULATED,
    INSTRUMENTS,
    BY_HAND,
    FILE;

    String key() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /** For a run of which nothing but its meters is known. */
  public static RunSettings of(Source source, Map<Channel, MeterClass> accuracy) {
    return new RunSettings(0, 0, accuracy, Map.of(), source, 0, List.of(), List.of(), Map.of());
  }

  /** The same at an outlet of so many volts; NaN where nobody says. */
  RunSettings at(double outletVolts) {
    return new RunSettings(
        loadWatts,
        Double.isNaN(outletVolts) ? 0 : outletVolts,
        accuracy,
        corrections,
        source,
        seed,
        faults,
        loads,
        particulars);
  }

  /** Readings put through the corrections of their meters. */
  public Trace corrected(Trace raw) {
    if (corrections.isEmpty()) {
      return raw;
    }
    Map<Channel, DoubleUnaryOperator> functions = new EnumMap<>(Channel.class);
    corrections.forEach((channel, c) -> functions.put(channel, c::apply));
    return raw.mapped(functions);
  }

  public boolean simulated() {
    return source == Source.SIMULATED;
  }

  /** The class of the meter behind a channel, where it was stated. */
  public Optional<MeterClass> meterClass(Channel channel) {
    return Optional.ofNullable(accuracy.get(channel));
  }

  /** As JSON, as the workbook and run packages keep it. */
  public String json() {
    ObjectNode node = JSON.createObjectNode();
    node.put("loadWatts", loadWatts);
    node.put("volts", volts);
    node.put("source", source.key());
    if (seed != 0) {
      node.put("seed", seed);
    }
    if (!faults.isEmpty()) {
      faults.forEach(node.putArray("faults")::add);
    }
    if (!loads.isEmpty()) {
      loads.forEach(node.putArray("loads")::add);
    }
    if (!particulars.isEmpty()) {
      ObjectNode more = node.putObject("particulars");
      new TreeMap<>(particulars).forEach(more::put);
    }
    ObjectNode meters = node.putObject("accuracy");
    for (Channel channel : Channel.values()) {
      meterClass(channel).ifPresent(m -> put(meters.putObject(channel.key()), m));
    }
    ObjectNode checked = node.putObject("corrections");
    for (Channel channel : Channel.values()) {
      Correction correction = corrections.get(channel);
      if (correction != null) {
        ObjectNode c = checked.putObject(channel.key());
        c.put("gain", correction.gain()).put("offset", correction.offset());
        put(c.putObject("reference"), correction.reference());
      }
    }
    return node.toString();
  }

  private static void put(ObjectNode node, MeterClass meter) {
    node.put("percentOfReading", meter.percentOfReading())
        .put("percentOfRange", meter.percentOfRange())
        .put("range", meter.range())
        .put("resolution", meter.resolution())
        .put("digits", meter.digits());
  }

  /**
   * Reads what {@link #json} wrote.
   *
   * @throws WorkbookException when it is something else
   */
  public static RunSettings read(String json) {
    try {
      JsonNode node = JSON.readTree(json);
      Map<Channel, MeterClass> accuracy = new EnumMap<>(Channel.class);
      Map<Channel, Correction> corrections = new EnumMap<>(Channel.class);
      for (Channel channel : Channel.values()) {
        JsonNode meter = node.path("accuracy").path(channel.key());
        if (meter.isObject()) {
          accuracy.put(channel, meter(meter));
        }
        JsonNode c = node.path("corrections").path(channel.key());
        if (c.isObject()) {
          corrections.put(
              channel,
              new Correction(
                  c.path("gain").asDouble(1),
                  c.path("offset").asDouble(),
                  meter(c.path("reference"))));
        }
      }
      List<String> faults = new ArrayList<>();
      node.path("faults").forEach(f -> faults.add(f.asText()));
      List<Double> loads = new ArrayList<>();
      node.path("loads").forEach(w -> loads.add(w.asDouble()));
      Map<String, String> particulars = new TreeMap<>();
      for (Map.Entry<String, JsonNode> p : node.path("particulars").properties()) {
        particulars.put(p.getKey(), p.getValue().asText());
      }
      return new RunSettings(
          node.path("loadWatts").asDouble(),
          node.path("volts").asDouble(),
          accuracy,
          corrections,
          source(node),
          node.path("seed").asLong(),
          faults,
          loads,
          particulars);
    } catch (JsonProcessingException | IllegalArgumentException e) {
      throw new WorkbookException("The settings of a run in the workbook cannot be read.", e);
    }
  }

  /** Workbooks of the first layout only said whether the bench was simulated. */
  private static Source source(JsonNode node) {
    String key = node.path("source").asText("");
    return Arrays.stream(Source.values())
        .filter(s -> s.key().equals(key))
        .findFirst()
        .orElse(node.path("simulated").asBoolean() ? Source.SIMULATED : Source.INSTRUMENTS);
  }

  private static MeterClass meter(JsonNode meter) {
    return new MeterClass(
        meter.path("percentOfReading").asDouble(),
        meter.path("percentOfRange").asDouble(),
        meter.path("range").asDouble(),
        meter.path("resolution").asDouble(),
        meter.path("digits").asInt());
  }
}

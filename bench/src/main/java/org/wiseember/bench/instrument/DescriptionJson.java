package org.wiseember.bench.instrument;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.Correction;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * Instrument descriptions as JSON; the schema is instrument.schema.json. Files are read as a tree,
 * field by field; nothing in them can name a class.
 */
public final class DescriptionJson {
  /** What a description file calls itself. */
  public static final String FORMAT = "wise-ember-instrument-1";

  private static final int LONGEST = 200_000;
  private static final int MOST_CHANNELS = 40;
  private static final ObjectMapper JSON =
      JsonMapper.builder()
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  private DescriptionJson() {}

  /** Writes a description. */
  public static String write(InstrumentDescription description) {
    ObjectNode root = JSON.createObjectNode();
    root.put("format", FORMAT);
    root.put("name", description.name());
    root.put("way", description.transport().key());
    if (!description.address().isEmpty()) {
      root.put("address", description.address());
    }
    if (description.transport().modbus()) {
      root.put("modbusUnit", description.modbusUnit());
    }
    root.put("everySeconds", description.everySeconds());
    ArrayNode channels = root.putArray("channels");
    for (ChannelSource source : description.channels()) {
      channel(channels.addObject(), source);
    }
    description.load().ifPresent(l -> load(root.putObject("load"), l));
    description.scope().ifPresent(s -> scope(root.putObject("scope"), s));
    return root.toPrettyString();
  }

  private static void load(ObjectNode node, LoadSwitch load) {
    node.put("side", load.side().key());
    node.put("on", load.on()).put("off", load.off()).put("state", load.state());
    if (!load.watts().isEmpty()) {
      node.put("watts", load.watts());
    }
    if (!load.amps().isEmpty()) {
      node.put("amps", load.amps());
    }
  }

  /** Older descriptions say neither side nor query: they are told from what else is there. */
  private static Optional<LoadSwitch> load(
      JsonNode node, Transport way, List<ChannelSource> channels) throws DescriptionUnreadable {
    if (!node.isObject()) {
      return Optional.empty();
    }
    if (way != Transport.SCPI_TCP && way != Transport.SCPI_SERIAL) {
      throw new DescriptionUnreadable("A “load” is switched over SCPI; correct “way”.");
    }
    String off = node.path("off").asText("");
    boolean dc = channels.stream().anyMatch(c -> c.channel() == Channel.DC_CURRENT);
    boolean ac = channels.stream().anyMatch(c -> c.channel() == Channel.AC_VOLTAGE);
    LoadSwitch.Side usual = dc && !ac ? LoadSwitch.Side.DC_PORT : LoadSwitch.Side.OUTLET;
    try {
      return Optional.of(
          new LoadSwitch(
              named(
                  LoadSwitch.Side.values(),
                  LoadSwitch.Side::key,
                  node.path("side").asText(usual.key())),
              node.path("on").asText(""),
              off,
              node.path("state").asText(LoadSwitch.stateOf(off)),
              node.path("watts").asText(""),
              node.path("amps").asText("")));
    } catch (IllegalArgumentException e) {
      throw new DescriptionUnreadable("“load” cannot be: " + e.getMessage() + ". Correct it.");
    }
  }

  private static void scope(ObjectNode node, ScopeCommands scope) {
    ArrayNode setUp = node.putArray("setUp");
    scope.setUp().forEach(setUp::add);
    node.put("arm", scope.arm()).put("ready", scope.ready());
    ArrayNode traces = node.putArray("traces");
    for (ScopeCommands.Trace t : scope.traces()) {
      traces
          .addObject()
          .put("preamble", t.preambleQuery())
          .put("data", t.dataQuery())
          .put("ratio", t.ratio());
    }
    node.put("coding", scope.coding().key());
    node.put("byteOrder", scope.bigEndian() ? "big" : "little");
    node.putObject("preamble")
        .put("step", scope.preamble().step())
        .put("scale", scope.preamble().scale())
        .put("offset", scope.preamble().offset());
  }

  private static Optional<ScopeCommands> scope(JsonNode node, Transport way)
      throws DescriptionUnreadable {
    if (!node.isObject()) {
      return Optional.empty();
    }
    if (way != Transport.SCPI_TCP && way != Transport.SCPI_SERIAL) {
      throw new DescriptionUnreadable("A “scope” is asked over SCPI; correct “way”.");
    }
    List<String> setUp = new ArrayList<>();
    node.path("setUp").forEach(line -> setUp.add(line.asText()));
    List<ScopeCommands.Trace> traces = new ArrayList<>();
    for (JsonNode t : node.path("traces")) {
      traces.add(
          new ScopeCommands.Trace(
              t.path("preamble").asText(), t.path("data").asText(), t.path("ratio").asDouble(1)));
    }
    try {
      return Optional.of(
          new ScopeCommands(
              setUp,
              node.path("arm").asText(),
              node.path("ready").asText("*OPC?"),
              traces,
              named(
                  ScopeCommands.Coding.values(),
                  ScopeCommands.Coding::key,
                  node.path("coding").asText("int16")),
              node.path("byteOrder").asText("big").equals("big"),
              new ScopeCommands.Preamble(
                  node.path("preamble").path("step").asInt(1),
                  node.path("preamble").path("scale").asInt(2),
                  node.path("preamble").path("offset").asInt(3))));
    } catch (IllegalArgumentException e) {
      throw new DescriptionUnreadable("“scope” cannot be: " + e.getMessage() + ". Correct it.");
    }
  }

  private static void channel(ObjectNode node, ChannelSource source) {
    node.put("channel", source.channel().key());
    if (!source.query().isEmpty()) {
      node.put("query", source.query());
    }
    if (source.scale() != 1) {
      node.put("scale", source.scale());
    }
    source
        .register()
        .ifPresent(
            r ->
                node.putObject("register")
                    .put("table", r.table().key())
                    .put("address", r.address())
                    .put("type", r.type().key())
                    .put("wordOrder", r.lowWordFirst() ? "low-first" : "high-first")
                    .put("scale", r.scale()));
    source.accuracy().ifPresent(a -> meterClass(node.putObject("accuracy"), a));
    source
        .correction()
        .ifPresent(
            c -> {
              ObjectNode correction = node.putObject("correction");
              correction.put("gain", c.gain()).put("offset", c.offset());
              meterClass(correction.putObject("reference"), c.reference());
            });
  }

  private static void meterClass(ObjectNode node, MeterClass meter) {
    node.put("percentOfReading", meter.percentOfReading())
        .put("percentOfRange", meter.percentOfRange())
        .put("range", meter.range())
        .put("resolution", meter.resolution())
        .put("digits", meter.digits());
  }

  /**
   * Reads a description.
   *
   * @throws DescriptionUnreadable in one sentence that names the field
   */
  public static InstrumentDescription read(String json) throws DescriptionUnreadable {
    if (json.length() > LONGEST) {
      throw new DescriptionUnreadable("The description is too long to be one instrument's.");
    }
    JsonNode root;
    try {
      root = JSON.readTree(json);
    } catch (JsonProcessingException e) {
      throw new DescriptionUnreadable(
          "The description is not JSON, or says one thing twice: line "
              + (e.getLocation() == null ? "?" : e.getLocation().getLineNr())
              + " cannot be read. Correct it there.");
    }
    if (root == null || !FORMAT.equals(root.path("format").asText())) {
      throw new DescriptionUnreadable(
          "The description does not call itself \"format\": \"" + FORMAT + "\". Choose another.");
    }
    DescriptionSchema.check(root);
    Transport way =
        Transport.byKey(root.path("way").asText())
            .orElseThrow(() -> new DescriptionUnreadable("“way” is not known. Correct it."));
    JsonNode list = root.path("channels");
    Optional<ScopeCommands> scope = scope(root.path("scope"), way);
    boolean enough = scope.isPresent() || (list.isArray() && !list.isEmpty());
    if (!enough || list.size() > MOST_CHANNELS) {
      throw new DescriptionUnreadable(
          "“channels” lists what the instrument gives, 1 to " + MOST_CHANNELS + " entries.");
    }
    List<ChannelSource> channels = new ArrayList<>();
    Set<Channel> seen = EnumSet.noneOf(Channel.class);
    for (JsonNode node : list) {
      ChannelSource source = source(node, way);
      if (!seen.add(source.channel())) {
        throw new DescriptionUnreadable(
            "Channel “" + source.channel().key() + "” is there twice; keep one.");
      }
      channels.add(source);
    }
    try {
      return new InstrumentDescription(
          root.path("name").asText("").strip(),
          way,
          root.path("address").asText(""),
          root.path("modbusUnit").asInt(1),
          root.path("everySeconds").asDouble(1),
          channels,
          load(root.path("load"), way, channels),
          scope);
    } catch (IllegalArgumentException e) {
      throw new DescriptionUnreadable("This cannot be: " + e.getMessage() + ". Correct the file.");
    }
  }

  private static ChannelSource source(JsonNode node, Transport way) throws DescriptionUnreadable {
    String key = node.path("channel").asText();
    Channel channel =
        Channel.byKey(key)
            .orElseThrow(
                () ->
                    new DescriptionUnreadable(
                        "Channel “"
                            + shortened(key)
                            + "” is not known; the names are in docs/formats.md."));
    String query = node.path("query").asText("");
    boolean scpi = way == Transport.SCPI_TCP || way == Transport.SCPI_SERIAL;
    if (scpi && (query.isBlank() || query.contains("\n") || query.length() > 200)) {
      throw new DescriptionUnreadable(
          "Channel “" + key + "” needs a “query”, one line, such as MEAS:POW?.");
    }
    try {
      Optional<Register> register = register(node.path("register"));
      if (way.modbus() && register.isEmpty()) {
        throw new DescriptionUnreadable("Channel “" + key + "” needs a “register”.");
      }
      return new ChannelSource(
          channel,
          query,
          node.path("scale").asDouble(1),
          register,
          meterClass(node.path("accuracy")),
          correction(node.path("correction")));
    } catch (IllegalArgumentException e) {
      throw new DescriptionUnreadable("Channel “" + key + "”: " + e.getMessage() + ".");
    }
  }

  private static Optional<Register> register(JsonNode node) {
    if (!node.isObject()) {
      return Optional.empty();
    }
    return Optional.of(
        new Register(
            named(Register.Table.values(), Register.Table::key, node.path("table").asText("input")),
            node.path("address").asInt(-1),
            named(Register.Type.values(), Register.Type::key, node.path("type").asText("float32")),
            node.path("wordOrder").asText("high-first").equals("low-first"),
            node.path("scale").asDouble(1)));
  }

  private static <T> T named(
      T[] values, java.util.function.Function<T, String> key, String wanted) {
    return Arrays.stream(values)
        .filter(v -> key.apply(v).equals(wanted))
        .findFirst()
        .orElseThrow(
            () -> new IllegalArgumentException("“" + shortened(wanted) + "” is not known"));
  }

  private static Optional<MeterClass> meterClass(JsonNode node) {
    if (!node.isObject()) {
      return Optional.empty();
    }
    return Optional.of(
        new MeterClass(
            node.path("percentOfReading").asDouble(0),
            node.path("percentOfRange").asDouble(0),
            node.path("range").asDouble(0),
            node.path("resolution").asDouble(0),
            node.path("digits").asInt(0)));
  }

  private static Optional<Correction> correction(JsonNode node) {
    if (!node.isObject()) {
      return Optional.empty();
    }
    return Optional.of(
        new Correction(
            node.path("gain").asDouble(1),
            node.path("offset").asDouble(0),
            meterClass(node.path("reference"))
                .orElseThrow(
                    () ->
                        new IllegalArgumentException(
                            "a correction names the class of its reference"))));
  }

  private static String shortened(String text) {
    return text.length() > 40 ? text.substring(0, 40) + "…" : text;
  }
}

package org.wiseember.trial.finding;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonValue;
import com.fasterxml.jackson.annotation.PropertyAccessor;
import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.deser.std.StdDeserializer;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import java.io.IOException;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.display.DisplayAudit;
import org.wiseember.core.efficiency.LossCurve;
import org.wiseember.core.efficiency.LossFit;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.overload.TripCurve;
import org.wiseember.core.overload.TripFit;
import org.wiseember.core.trace.Series;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.workbook.Found;
import org.wiseember.workbook.StoredCapture;

/**
 * What was found in a run as JSON and back, for any test: findings are records all the way down, so
 * their components are the fields. The records are those of the test that made the run; nothing in
 * the text can name another class. Numbers come back as they were, to the last bit.
 */
final class FindingJson {
  private static final String CAPTURES = "captures of the run";

  /** Seconds and watts in turn. */
  private static final String PREVIEW = "preview";

  /** What was noticed beside what its test says. */
  private static final String NOTICED = "noticed";

  /** What the unit's display showed against meters. */
  private static final String DISPLAYS = "displays";

  private static final JsonMapper MAPPER =
      JsonMapper.builder()
          .addModule(new Jdk8Module())
          .addModule(new SimpleModule().addDeserializer(StoredCapture.class, new CaptureByKey()))
          .addMixIn(StoredCapture.class, CaptureKey.class)
          .addMixIn(LossFit.class, LossFitParts.class)
          .addMixIn(TripFit.class, TripFitParts.class)
          .visibility(PropertyAccessor.ALL, JsonAutoDetect.Visibility.NONE)
          .visibility(PropertyAccessor.FIELD, JsonAutoDetect.Visibility.ANY)
          .visibility(PropertyAccessor.CREATOR, JsonAutoDetect.Visibility.ANY)
          .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
          .build();

  private FindingJson() {}

  /** What was found in a run: everything but the run itself. */
  static String write(TestRun run) {
    ObjectNode node = MAPPER.createObjectNode();
    try {
      for (RecordComponent component : found(run.getClass())) {
        node.set(component.getName(), MAPPER.valueToTree(component.getAccessor().invoke(run)));
      }
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException(run.getClass() + " is no record anyone can read", e);
    }
    node.set(NOTICED, MAPPER.valueToTree(run.kept().noticed()));
    node.set(DISPLAYS, MAPPER.valueToTree(run.displays()));
    Series small = run.preview();
    ArrayNode points = node.putArray(PREVIEW);
    for (int i = 0; i < small.size(); i++) {
      points.add(small.seconds(i)).add(small.value(i));
    }
    return node.toString();
  }

  private static Series preview(JsonNode points) {
    double[] seconds = new double[points.size() / 2];
    double[] watts = new double[points.size() / 2];
    for (int i = 0; i < seconds.length; i++) {
      seconds[i] = points.get(2 * i).asDouble();
      watts[i] = points.get(2 * i + 1).asDouble();
    }
    return Series.of(seconds, watts);
  }

  /**
   * What was written of a run.
   *
   * @param kept the run; findings name its captures by their keys
   * @return empty where it is not what this version writes; it is worked out again then
   */
  static Optional<TestRun> read(Found.Finding row, StoredRun kept) {
    Class<? extends TestRun> type = kept.type().declaration().finds();
    try {
      JsonNode node = MAPPER.readTree(row.found());
      List<RecordComponent> found = found(type);
      Object[] arguments = new Object[found.size() + 1];
      arguments[0] =
          kept.with(
              new StoredRun.Remembered(
                  row,
                  preview(node.path(PREVIEW)),
                  MAPPER.treeToValue(node.required(DISPLAYS), DisplayAudit.class)),
              List.of(MAPPER.treeToValue(node.required(NOTICED), Warning[].class)));
      for (int i = 0; i < found.size(); i++) {
        RecordComponent component = found.get(i);
        arguments[i + 1] =
            MAPPER
                .readerFor(MAPPER.constructType(component.getGenericType()))
                .withAttribute(CAPTURES, kept.captures())
                .readValue(node.get(component.getName()));
      }
      return Optional.of(type.cast(constructor(type).newInstance(arguments)));
    } catch (JacksonException | ReflectiveOperationException | IllegalArgumentException notOurs) {
      return Optional.empty();
    } catch (IOException e) {
      throw new IllegalStateException("text in memory is always read", e);
    }
  }

  /** The components after the run itself. */
  private static List<RecordComponent> found(Class<?> type) {
    RecordComponent[] all = type.getRecordComponents();
    if (all == null || all.length == 0 || all[0].getType() != StoredRun.class) {
      throw new IllegalStateException(
          type + " is no record that begins with the run as it is kept");
    }
    return Arrays.asList(all).subList(1, all.length);
  }

  private static Constructor<?> constructor(Class<?> type) throws NoSuchMethodException {
    return type.getDeclaredConstructor(
        Arrays.stream(type.getRecordComponents())
            .map(RecordComponent::getType)
            .toArray(Class<?>[]::new));
  }

  /** Names the arguments of the constructor of the same shape. */
  @SuppressWarnings("UnusedVariable")
  private abstract static class LossFitParts {
    @JsonCreator
    LossFitParts(
        @JsonProperty("curve") LossCurve curve,
        @JsonProperty("covariance") double[][] covariance,
        @JsonProperty("degreesOfFreedom") double degreesOfFreedom,
        @JsonProperty("chiSquare") double chiSquare,
        @JsonProperty("shifted") List<?> shifted,
        @JsonProperty("bent") List<?> bent) {}
  }

  /** As above. */
  @SuppressWarnings("UnusedVariable")
  private abstract static class TripFitParts {
    @JsonCreator
    TripFitParts(
        @JsonProperty("tries") List<?> tries,
        @JsonProperty("meter") MeterClass meter,
        @JsonProperty("curve") TripCurve curve,
        @JsonProperty("covariance") double[][] covariance,
        @JsonProperty("degreesOfFreedom") double degreesOfFreedom) {}
  }

  /** A capture stays in its table; a finding names it. */
  private abstract static class CaptureKey {
    @JsonValue
    abstract long id();
  }

  private static final class CaptureByKey extends StdDeserializer<StoredCapture> {
    private static final long serialVersionUID = 1;

    CaptureByKey() {
      super(StoredCapture.class);
    }

    @Override
    public StoredCapture deserialize(JsonParser in, DeserializationContext context)
        throws IOException {
      long id = in.getLongValue();
      for (Object capture : (List<?>) context.getAttribute(CAPTURES)) {
        if (capture instanceof StoredCapture kept && kept.id() == id) {
          return kept;
        }
      }
      return (StoredCapture)
          context.handleWeirdNumberValue(StoredCapture.class, id, "no such capture");
    }
  }
}

package org.wiseember.workbook.json;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import com.fasterxml.jackson.annotation.PropertyAccessor;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import java.util.List;
import java.util.Map;

/**
 * Records as JSON and back. A component is a field of its name; enum values are their keys, moments
 * and times of day their ISO text. What is empty, and a number that is not one, is left out, and
 * what is left out is read as that. Fields nobody knows are passed over: a later program may have
 * written them. Nothing in the text can name a class.
 *
 * <pre>{@code
 * record Part(String name, double low, double high) {}
 *
 * Records.write(new Part("bracket", 12, Double.NaN)); // {"name":"bracket","low":12.0}
 * }</pre>
 */
public final class Records {
  /** Where nothing stands, nothing is; but a list or a map with holes was written by nobody. */
  private static final JsonSetter.Value EMPTY =
      JsonSetter.Value.construct(Nulls.AS_EMPTY, Nulls.FAIL);

  private static final JsonMapper MAPPER =
      JsonMapper.builder()
          .addModule(new Jdk8Module())
          .addModule(new WrittenValues())
          .visibility(PropertyAccessor.ALL, JsonAutoDetect.Visibility.NONE)
          .visibility(PropertyAccessor.FIELD, JsonAutoDetect.Visibility.ANY)
          .visibility(PropertyAccessor.CREATOR, JsonAutoDetect.Visibility.ANY)
          .defaultPropertyInclusion(
              JsonInclude.Value.construct(
                  JsonInclude.Include.NON_EMPTY, JsonInclude.Include.ALWAYS))
          .withConfigOverride(String.class, c -> c.setSetterInfo(EMPTY))
          .withConfigOverride(List.class, c -> c.setSetterInfo(EMPTY))
          .withConfigOverride(Map.class, c -> c.setSetterInfo(EMPTY))
          .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .disable(MapperFeature.SORT_CREATOR_PROPERTIES_FIRST)
          .build();

  private Records() {}

  /** A record, or a list of them. */
  public static String write(Object records) {
    try {
      return MAPPER.writeValueAsString(records);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("records are always written", e);
    }
  }

  /** The same to be put into something larger. */
  public static ObjectNode node(Object rec) {
    return MAPPER.valueToTree(rec);
  }

  /**
   * Reads what was written.
   *
   * @throws IllegalArgumentException where it is no such record, or one that makes no sense
   */
  public static <T> T read(String json, Class<T> type) {
    return type.cast(read(json, MAPPER.constructType(type)));
  }

  /**
   * Reads a list of records.
   *
   * @throws IllegalArgumentException as above
   */
  public static <T> List<T> list(String json, Class<T> type) {
    JavaType listed = MAPPER.getTypeFactory().constructCollectionType(List.class, type);
    return ((List<?>) read(json, listed)).stream().map(each -> type.cast(present(each))).toList();
  }

  /**
   * Reads one out of something larger.
   *
   * @throws IllegalArgumentException as above
   */
  public static <T> T read(JsonNode node, Class<T> type) {
    try {
      return type.cast(present(MAPPER.treeToValue(node, type)));
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException(e.getMessage(), e);
    }
  }

  private static Object read(String json, JavaType type) {
    try {
      return present(MAPPER.readValue(json, type));
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException(e.getMessage(), e);
    }
  }

  private static Object present(Object value) {
    if (value == null) {
      throw new IllegalArgumentException("nothing");
    }
    return value;
  }
}

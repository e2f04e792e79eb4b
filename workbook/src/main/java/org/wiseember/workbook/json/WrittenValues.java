package org.wiseember.workbook.json;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.BeanDescription;
import com.fasterxml.jackson.databind.DeserializationConfig;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.JsonDeserializer;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.deser.BeanDeserializerModifier;
import com.fasterxml.jackson.databind.deser.std.StdScalarDeserializer;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.ser.std.StdSerializer;
import com.fasterxml.jackson.databind.ser.std.ToStringSerializer;
import java.io.IOException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalTime;
import java.util.function.Function;
import org.wiseember.core.quantity.Keyed;

/** How single values stand in JSON: numbers that are none, enum values, moments, times of day. */
final class WrittenValues extends SimpleModule {
  private static final long serialVersionUID = 1;

  WrittenValues() {
    addSerializer(Double.class, new Given());
    addSerializer(double.class, new Given());
    addDeserializer(Double.class, new OrNone());
    addDeserializer(double.class, new OrNone());
    addSerializer(Instant.class, ToStringSerializer.instance);
    addSerializer(LocalTime.class, ToStringSerializer.instance);
    addDeserializer(Instant.class, new Parsed<>(Instant.class, Instant::parse));
    addDeserializer(LocalTime.class, new Parsed<>(LocalTime.class, LocalTime::parse));
    addSerializer(new OfEnum());
    setDeserializerModifier(new Enums());
  }

  /** One that is none counts as empty, and is left out. */
  private static final class Given extends StdSerializer<Double> {
    private static final long serialVersionUID = 1;

    Given() {
      super(Double.class);
    }

    @Override
    public boolean isEmpty(SerializerProvider provider, Double value) {
      return value.isNaN();
    }

    @Override
    public void serialize(Double value, JsonGenerator out, SerializerProvider provider)
        throws IOException {
      out.writeNumber(value);
    }
  }

  private static final class OrNone extends StdScalarDeserializer<Double> {
    private static final long serialVersionUID = 1;
    private static final String NONE = "NaN";

    OrNone() {
      super(Double.class);
    }

    @Override
    public Double deserialize(JsonParser in, DeserializationContext context) throws IOException {
      if (in.currentToken().isNumeric()) {
        return in.getDoubleValue();
      }
      // In a list one that is none cannot be left out, and stands there as a word.
      if (in.hasToken(JsonToken.VALUE_STRING) && NONE.equals(in.getText())) {
        return Double.NaN;
      }
      return (Double) context.handleUnexpectedToken(Double.class, in);
    }

    @Override
    public Double getNullValue(DeserializationContext context) {
      return Double.NaN;
    }

    @Override
    public Object getEmptyValue(DeserializationContext context) {
      return Double.NaN;
    }
  }

  private static final class Parsed<T> extends StdScalarDeserializer<T> {
    private static final long serialVersionUID = 1;
    private final transient Function<String, T> parse;

    Parsed(Class<T> type, Function<String, T> parse) {
      super(type);
      this.parse = parse;
    }

    @Override
    @SuppressWarnings("unchecked")
    public T deserialize(JsonParser in, DeserializationContext context) throws IOException {
      try {
        return parse.apply(in.getText());
      } catch (DateTimeException e) {
        return (T) context.handleWeirdStringValue(_valueClass, in.getText(), e.getMessage());
      }
    }
  }

  @SuppressWarnings("rawtypes")
  private static final class OfEnum extends StdSerializer<Enum> {
    private static final long serialVersionUID = 1;

    OfEnum() {
      super(Enum.class);
    }

    @Override
    public void serialize(Enum value, JsonGenerator out, SerializerProvider provider)
        throws IOException {
      out.writeString(Keyed.key(value));
    }
  }

  private static final class Enums extends BeanDeserializerModifier {
    private static final long serialVersionUID = 1;

    @Override
    public JsonDeserializer<?> modifyEnumDeserializer(
        DeserializationConfig config,
        JavaType type,
        BeanDescription description,
        JsonDeserializer<?> usual) {
      return new ByKey(type.getRawClass());
    }
  }

  private static final class ByKey extends StdScalarDeserializer<Object> {
    private static final long serialVersionUID = 1;

    ByKey(Class<?> type) {
      super(type);
    }

    @Override
    public Object deserialize(JsonParser in, DeserializationContext context) throws IOException {
      if (!in.hasToken(JsonToken.VALUE_STRING)) {
        return context.handleUnexpectedToken(_valueClass, in);
      }
      Object value = Keyed.of(_valueClass, in.getText()).orElse(null);
      return value != null
          ? value
          : context.handleWeirdStringValue(_valueClass, in.getText(), "no such key");
    }
  }
}

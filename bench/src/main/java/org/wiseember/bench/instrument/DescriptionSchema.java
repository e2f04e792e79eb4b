package org.wiseember.bench.instrument;

import com.fasterxml.jackson.databind.JsonNode;
import com.networknt.schema.JsonNodePath;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Holds a description against the schema that is published with the program, so that what the one
 * refuses the other does not take. What is wrong is said in our own words, with its place.
 */
final class DescriptionSchema {
  private static final int LONGEST = 40;

  /** Made once; reading the schema takes longer than using it. */
  private static final class Made {
    private static final JsonSchema SCHEMA = schema();

    private static JsonSchema schema() {
      try (InputStream in = DescriptionSchema.class.getResourceAsStream("instrument.schema.json")) {
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(in);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  private DescriptionSchema() {}

  /**
   * Looks through a description.
   *
   * @throws DescriptionUnreadable in one sentence about the first thing that is wrong
   */
  static void check(JsonNode root) throws DescriptionUnreadable {
    Optional<ValidationMessage> first = Made.SCHEMA.validate(root).stream().findFirst();
    if (first.isPresent()) {
      throw new DescriptionUnreadable(sentence(first.get()));
    }
  }

  private static String sentence(ValidationMessage wrong) {
    String here = place(wrong.getInstanceLocation());
    JsonNode asked = wrong.getSchemaNode();
    String value = shown(wrong.getInstanceNode());
    return switch (wrong.getType()) {
      case "additionalProperties" ->
          "“" + shortened(wrong.getProperty()) + "” in " + here + " is not known; take it out.";
      case "required" -> capital(here) + " needs “" + wrong.getProperty() + "”; add it.";
      case "enum" -> capital(here) + " is " + value + "; use one of " + list(asked) + ".";
      case "type" -> capital(here) + " is " + value + ", where " + kind(asked) + " belongs.";
      case "minimum" -> capital(here) + " is " + value + "; " + asked.asText() + " is the least.";
      case "maximum" -> capital(here) + " is " + value + "; " + asked.asText() + " is the most.";
      case "minLength", "minItems" -> capital(here) + " is empty; fill it in.";
      case "maxLength", "maxItems" ->
          capital(here) + " is too long; " + asked.asText() + " is the most.";
      case "pattern" ->
          capital(here) + " is " + value + "; it lacks “" + asked.asText().replace("\\", "") + "”.";
      default -> capital(here) + " is " + value + ", which cannot be. Correct it.";
    };
  }

  /** Where it stands, entries of lists counted from 1. */
  private static String place(JsonNodePath path) {
    List<String> parts = new ArrayList<>();
    String entry = "";
    for (JsonNodePath at = path; at != null && at.getNameCount() > 0; at = at.getParent()) {
      Object element = at.getElement(-1);
      if (element instanceof Integer index) {
        entry = " " + (index + 1);
      } else {
        parts.add(0, "“" + shortened(String.valueOf(element)) + "”" + entry);
        entry = "";
      }
    }
    return parts.isEmpty() ? "the description" : String.join(", ", parts);
  }

  private static String capital(String text) {
    return Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }

  private static String kind(JsonNode asked) {
    return switch (asked.asText()) {
      case "object" -> "a group of fields";
      case "array" -> "a list";
      case "string" -> "text in quotes";
      case "integer" -> "a whole number";
      default -> "a number, with a point and without quotes,";
    };
  }

  private static String list(JsonNode asked) {
    List<String> all = new ArrayList<>();
    asked.forEach(n -> all.add(n.asText()));
    return String.join(", ", all);
  }

  private static String shown(JsonNode value) {
    if (value == null || value.isNull()) {
      return "nothing";
    }
    return value.isContainerNode()
        ? value.isArray() ? "a list" : "a group of fields"
        : "“" + shortened(value.asText()) + "”";
  }

  private static String shortened(String text) {
    String plain = text.replaceAll("\\p{Cntrl}", "?");
    return plain.length() > LONGEST ? plain.substring(0, LONGEST) + "…" : plain;
  }
}

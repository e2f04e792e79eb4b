package org.wiseember.workbook.strict;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.core.quantity.Figures;

/** One object of a file, read field by field; a field nobody asked for is refused by name. */
public final class Fields {
  private static final int LONGEST = 40;
  private static final int LONGEST_NAME = 200;

  private final JsonNode node;
  private final String place;
  private final Set<String> asked = new HashSet<>();

  /**
   * Takes an object.
   *
   * @param place where it stands, for sentences
   */
  public Fields(JsonNode node, String place) throws JsonUnreadable {
    if (!node.isObject()) {
      throw new JsonUnreadable(capital(place) + " has to be a group of fields in braces.");
    }
    this.node = node;
    this.place = place;
  }

  /** Where it stands, for sentences. */
  public String place() {
    return place;
  }

  private Optional<JsonNode> field(String key) {
    asked.add(key);
    JsonNode value = node.get(key);
    return value == null || value.isNull() ? Optional.empty() : Optional.of(value);
  }

  /** Whether something stands under a key. */
  public boolean has(String key) {
    return field(key).isPresent();
  }

  /** A number that has to be there. */
  public double number(String key, double least, double most) throws JsonUnreadable {
    if (!has(key)) {
      throw new JsonUnreadable(capital(place) + " needs “" + key + "”; add it.");
    }
    return number(key, least, most, Double.NaN);
  }

  /** A number, or what stands for one that is missing. */
  public double number(String key, double least, double most, double otherwise)
      throws JsonUnreadable {
    Optional<JsonNode> value = field(key);
    return value.isEmpty() ? otherwise : number(value.get(), key, least, most);
  }

  /** A whole number; the least where it is missing. */
  public int whole(String key, int least, int most) throws JsonUnreadable {
    double value = number(key, least, most, least);
    if (value != Math.rint(value)) {
      throw new JsonUnreadable("“" + key + "” of " + place + " has to be a whole number.");
    }
    return (int) value;
  }

  private double number(JsonNode value, String key, double least, double most)
      throws JsonUnreadable {
    double number = value.isNumber() ? value.asDouble() : Double.NaN;
    if (!(number >= least && number <= most) || Double.isInfinite(number)) {
      throw new JsonUnreadable(
          "“"
              + key
              + "” of "
              + place
              + " has to be a number from "
              + plain(least)
              + " to "
              + plain(most)
              + ", not "
              + shown(value)
              + ".");
    }
    return number;
  }

  /** Two numbers, low and high; without them no limits at all. */
  public double[] window(String key, double most) throws JsonUnreadable {
    Optional<JsonNode> value = field(key);
    if (value.isEmpty()) {
      return new double[] {0, Double.POSITIVE_INFINITY};
    }
    JsonNode pair = value.get();
    if (!pair.isArray() || pair.size() != 2) {
      throw new JsonUnreadable("“" + key + "” of " + place + " has to be [low, high].");
    }
    double low = pair.get(0).isNull() ? 0 : number(pair.get(0), key, 0, most);
    double high =
        pair.get(1).isNull() ? Double.POSITIVE_INFINITY : number(pair.get(1), key, low, most);
    return new double[] {low, high};
  }

  /** Words, or what stands for words that are missing. */
  public String text(String key, String otherwise) throws JsonUnreadable {
    Optional<JsonNode> value = field(key);
    if (value.isPresent() && !value.get().isTextual()) {
      throw new JsonUnreadable("“" + key + "” of " + place + " has to be text in quotes.");
    }
    return value.map(JsonNode::asText).orElse(otherwise);
  }

  /** A name, not too long to be one. */
  public String name(String key, String otherwise) throws JsonUnreadable {
    String name = text(key, otherwise);
    if (name.length() > LONGEST_NAME) {
      throw new JsonUnreadable("“" + key + "” of " + place + " is too long; shorten it.");
    }
    return name;
  }

  /** Whether it says anything beside these. */
  public boolean saysMoreThan(Set<String> keys) {
    Iterator<String> names = node.fieldNames();
    while (names.hasNext()) {
      if (!keys.contains(names.next())) {
        return true;
      }
    }
    return false;
  }

  /** True or false; false where it is missing. */
  public boolean yes(String key) throws JsonUnreadable {
    Optional<JsonNode> value = field(key);
    if (value.isPresent() && !value.get().isBoolean()) {
      throw new JsonUnreadable("“" + key + "” of " + place + " has to be true or false.");
    }
    return value.map(JsonNode::asBoolean).orElse(false);
  }

  /** Whatever stands under a key that is there. */
  public JsonNode any(String key) {
    return field(key).orElseThrow();
  }

  /** The object under a key. */
  public Optional<Fields> group(String key) throws JsonUnreadable {
    Optional<JsonNode> value = field(key);
    return value.isEmpty()
        ? Optional.empty()
        : Optional.of(new Fields(value.get(), "“" + key + "”"));
  }

  /** The entries of a list; empty for none, no more than so many. */
  public List<JsonNode> list(String key, int most) throws JsonUnreadable {
    Optional<JsonNode> value = field(key);
    if (value.isPresent() && !value.get().isArray()) {
      throw new JsonUnreadable("“" + key + "” of " + place + " has to be a list in brackets.");
    }
    if (value.isPresent() && value.get().size() > most) {
      throw new JsonUnreadable(
          "“" + key + "” of " + place + " has more than " + most + " entries; leave some out.");
    }
    List<JsonNode> all = new ArrayList<>();
    value.ifPresent(v -> v.forEach(all::add));
    return all;
  }

  /** One entry or a list of them. */
  public List<JsonNode> oneOrList(String key, int most) throws JsonUnreadable {
    Optional<JsonNode> value = field(key);
    return value.isPresent() && !value.get().isArray() ? List.of(value.get()) : list(key, most);
  }

  /** Nothing is left that was not asked for. */
  public void end() throws JsonUnreadable {
    Iterator<String> names = node.fieldNames();
    while (names.hasNext()) {
      String name = names.next();
      if (!asked.contains(name)) {
        throw new JsonUnreadable(
            "“" + shortened(name) + "” in " + place + " is not known; take it out.");
      }
    }
  }

  /** Words as they begin a sentence. */
  public static String capital(String text) {
    return Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }

  /** What stands there, short enough for a sentence. */
  public static String shown(JsonNode value) {
    return value.isContainerNode()
        ? value.isArray() ? "a list" : "a group of fields"
        : "“" + shortened(value.asText()) + "”";
  }

  private static String shortened(String text) {
    String plain = text.replaceAll("\\p{Cntrl}", "?");
    return plain.length() > LONGEST ? plain.substring(0, LONGEST) + "…" : plain;
  }

  private static String plain(double value) {
    return Figures.plain(value);
  }
}

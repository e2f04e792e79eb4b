package org.wiseember.trial.kind;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * Settings as words by name, as they are kept with a run; what cannot be read counts as missing.
 */
public final class StoredSettings {
  private StoredSettings() {}

  /** A list of numbers as kept. */
  public static String list(List<Double> values) {
    return values.stream().map(String::valueOf).collect(Collectors.joining(","));
  }

  /** Numbers above 0. */
  public static List<Double> numbers(Map<String, String> kept, String key) {
    try {
      return Arrays.stream(kept.getOrDefault(key, "").split(","))
          .filter(s -> !s.isBlank())
          .map(Double::valueOf)
          .filter(v -> v > 0)
          .toList();
    } catch (NumberFormatException e) {
      return List.of();
    }
  }

  /** A number above 0. */
  public static OptionalDouble number(Map<String, String> kept, String key) {
    List<Double> one = numbers(kept, key);
    return one.size() == 1 ? OptionalDouble.of(one.get(0)) : OptionalDouble.empty();
  }

  /** A share of a whole, 0 to 100 %. */
  public static OptionalDouble percent(String text) {
    try {
      double value = Double.parseDouble(text);
      return value >= 0 && value <= 100 ? OptionalDouble.of(value) : OptionalDouble.empty();
    } catch (NumberFormatException e) {
      return OptionalDouble.empty();
    }
  }

  /** One of several constants. */
  public static <E extends Enum<E>> E choice(
      E[] values, Map<String, String> kept, String key, E otherwise) {
    return Arrays.stream(values)
        .filter(v -> v.name().equals(kept.get(key)))
        .findFirst()
        .orElse(otherwise);
  }
}

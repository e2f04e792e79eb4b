package org.wiseember.trial.test;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a tester has to test with: loads, and whatever a test asks for beside them, each thing by
 * its own type, such as the motor that is to be started.
 *
 * @param loads watts on the plates of heaters and lamps
 * @param things by their type
 */
public record OnHand(List<Double> loads, Map<Class<?>, Object> things) {
  public OnHand {
    loads = List.copyOf(loads);
    things = Map.copyOf(things);
  }

  /** These loads and nothing else. */
  public static OnHand of(List<Double> loads) {
    return new OnHand(loads, Map.of());
  }

  /** The same with other loads. */
  public OnHand loaded(List<Double> others) {
    return new OnHand(others, things);
  }

  /** The same with a thing, in place of one of its type. */
  public OnHand with(Object thing) {
    Map<Class<?>, Object> more = new LinkedHashMap<>(things);
    more.put(thing.getClass(), thing);
    return new OnHand(loads, more);
  }

  /** The thing of a type, where there is one. */
  public <T> Optional<T> find(Class<T> type) {
    return Optional.ofNullable(type.cast(things.get(type)));
  }
}

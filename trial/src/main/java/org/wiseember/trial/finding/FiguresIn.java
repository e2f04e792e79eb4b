package org.wiseember.trial.finding;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import org.wiseember.core.figure.Figure;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;

/**
 * The figures in what a run found, wherever in its records they stand, each under the way there:
 * for what holds for all figures of all tests alike.
 */
final class FiguresIn {
  private FiguresIn() {}

  /** Every figure by its way. */
  static Map<String, Figure> of(TestRun run) {
    Map<String, Figure> found = new LinkedHashMap<>();
    mapped(
        run,
        run.kept(),
        (way, figure) -> {
          found.put(way, figure);
          return Optional.of(figure);
        });
    return found;
  }

  /**
   * The same finding with its figures changed.
   *
   * @param kept the run it is of, as it is kept from now on
   * @param change what becomes of each; empty takes it away, with what is nothing without it
   * @return empty where nothing is left
   */
  static Optional<TestRun> mapped(
      TestRun run, StoredRun kept, BiFunction<String, Figure, Optional<Figure>> change) {
    return new Walk(kept, change).value("", run).map(TestRun.class::cast);
  }

  private record Walk(StoredRun kept, BiFunction<String, Figure, Optional<Figure>> change) {
    Optional<?> value(String way, Object value) {
      if (value instanceof Figure figure) {
        return change.apply(way, figure);
      }
      if (value instanceof Optional<?> held) {
        return Optional.of(held.flatMap(v -> value(way, v)));
      }
      if (value instanceof List<?> list) {
        List<Object> all = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
          value(way + "[" + i + "]", list.get(i)).ifPresent(all::add);
        }
        return Optional.of(all);
      }
      if (value instanceof Map<?, ?> map) {
        Map<Object, Object> all = new LinkedHashMap<>();
        map.forEach((k, v) -> value(way + "[" + k + "]", v).ifPresent(n -> all.put(k, n)));
        return Optional.of(all);
      }
      if (value instanceof StoredRun) {
        return Optional.of(kept);
      }
      return value instanceof Record record ? record(way, record) : Optional.of(value);
    }

    private Optional<?> record(String way, Record record) {
      RecordComponent[] components = record.getClass().getRecordComponents();
      Object[] arguments = new Object[components.length];
      boolean same = true;
      try {
        for (int i = 0; i < components.length; i++) {
          components[i].getAccessor().setAccessible(true);
          Object old = components[i].getAccessor().invoke(record);
          Optional<?> now =
              old == null ? Optional.empty() : value(way + "." + components[i].getName(), old);
          if (old != null && now.isEmpty()) {
            return Optional.empty();
          }
          arguments[i] = now.orElse(null);
          same &= old == null || old.equals(arguments[i]);
        }
        return Optional.of(same ? record : made(record.getClass(), components, arguments));
      } catch (ReflectiveOperationException e) {
        throw new IllegalStateException(record.getClass() + " is no record anyone can make", e);
      }
    }

    private static Object made(Class<?> type, RecordComponent[] components, Object[] arguments)
        throws ReflectiveOperationException {
      Constructor<?> constructor =
          type.getDeclaredConstructor(
              Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new));
      constructor.setAccessible(true);
      try {
        return constructor.newInstance(arguments);
      } catch (InvocationTargetException e) {
        throw new IllegalStateException(type + " cannot hold what became of it", e);
      }
    }
  }
}

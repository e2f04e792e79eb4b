package org.wiseember.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * Units and their tests, when somebody is there, and what they share.
 *
 * @param present windows, minutes from the start
 * @param shared how many there are of each
 */
public record Campaign(List<PlanUnit> units, List<Window> present, Map<String, Integer> shared) {
  /**
   * A time somebody is there.
   *
   * @param from minutes
   * @param to minutes
   */
  public record Window(int from, int to) {}

  public Campaign {
    units = List.copyOf(units);
    present = joined(present);
    shared = Map.copyOf(shared);
    for (PlanUnit unit : units) {
      for (Task task : unit.tasks()) {
        check(unit, task, present, shared);
      }
    }
  }

  /** Windows that touch are one. */
  private static List<Window> joined(List<Window> windows) {
    List<Window> sorted =
        windows.stream()
            .filter(w -> w.to() > w.from())
            .sorted(Comparator.comparingInt(Window::from))
            .toList();
    List<Window> joined = new ArrayList<>();
    for (Window w : sorted) {
      Window last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
      if (last != null && w.from() <= last.to()) {
        joined.set(joined.size() - 1, new Window(last.from(), Math.max(last.to(), w.to())));
      } else {
        joined.add(w);
      }
    }
    return List.copyOf(joined);
  }

  private static void check(
      PlanUnit unit, Task task, List<Window> present, Map<String, Integer> shared) {
    String name = "test " + task.id() + " of " + unit.name();
    for (String thing : task.uses()) {
      if (shared.getOrDefault(thing, 0) < 1) {
        throw new IllegalArgumentException(name + " uses " + thing + ", and there is none");
      }
    }
    if (task.attended() > 0
        && present.stream().noneMatch(w -> w.to() - w.from() >= task.attended())) {
      throw new IllegalArgumentException(
          name + " needs somebody for " + task.attended() + " min, and nobody is there so long");
    }
  }

  /** Whether a task may begin at a minute for who is there. */
  boolean attended(Task task, int start) {
    return task.attended() == 0
        || present.stream().anyMatch(w -> start >= w.from() && start + task.attended() <= w.to());
  }

  /** The next minute from one on at which a task may begin for who is there; −1 for none. */
  int attendedFrom(Task task, int from) {
    if (task.attended() == 0) {
      return from;
    }
    for (Window w : present) {
      int start = Math.max(from, w.from());
      if (start + task.attended() <= w.to()) {
        return start;
      }
    }
    return -1;
  }
}

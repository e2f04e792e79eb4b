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
 * @param away times one of them is not there, or taken by what runs already
 * @param people who can attend a test each at one time
 * @param tended whether somebody has to be there to begin a charge or a run-down in between too
 */
public record Campaign(
    List<PlanUnit> units,
    List<Window> present,
    Map<String, Integer> shared,
    List<Away> away,
    int people,
    boolean tended) {
  /** For as many as it takes. */
  public static final int ENOUGH = Integer.MAX_VALUE;

  /** One of a kind that is not there for a time. */
  public record Away(String thing, int from, int to) {}

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
    away = away.stream().filter(a -> a.to() > Math.max(0, a.from())).toList();
    for (PlanUnit unit : units) {
      for (Task task : unit.tasks()) {
        check(unit, task, present, shared);
      }
    }
  }

  /** One in which everything is always there, and as many people as it takes. */
  public Campaign(List<PlanUnit> units, List<Window> present, Map<String, Integer> shared) {
    this(units, present, shared, List.of(), ENOUGH, false);
  }

  /** The same with nothing pinned. */
  public Campaign unpinned() {
    return new Campaign(
        units.stream()
            .map(
                u ->
                    new PlanUnit(
                        u.name(),
                        u.charge(),
                        u.chargeMinutes(),
                        u.dischargeMinutes(),
                        u.free(),
                        u.tasks().stream().map(Task::unpinned).toList()))
            .toList(),
        present,
        shared,
        away,
        people,
        tended);
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
    if (task.pinned()
        && task.attended() > 0
        && present.stream()
            .noneMatch(w -> task.at() >= w.from() && task.at() + task.attended() <= w.to())) {
      throw new IllegalArgumentException(
          name + " is pinned to a time at which nobody is there for it");
    }
  }

  /** Whether a task may begin at a minute for who is there. */
  boolean attended(Task task, int start) {
    return task.attended() == 0
        || present.stream().anyMatch(w -> start >= w.from() && start + task.attended() <= w.to());
  }

  /** The next minute from one on at which a charge or a run-down may begin; −1 for none. */
  int tendedFrom(int from) {
    if (!tended) {
      return from;
    }
    for (Window w : present) {
      if (from < w.to()) {
        return Math.max(from, w.from());
      }
    }
    return -1;
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

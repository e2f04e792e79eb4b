package org.wiseember.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Lays a campaign out one task after the other, each at the earliest minute at which its unit, what
 * it uses and somebody are there. The plain order of work is laid out so, and so is every order
 * that is tried to better it.
 */
final class Workday {
  /** A task with where its unit is charged to before it. */
  record Move(int unit, int task, int charged) {}

  /** Whoever attends a test: no name of a thing. */
  private static final String PERSON = "";

  private final Campaign campaign;
  private final List<Plan.Step> steps = new ArrayList<>();
  private final int[] free;
  private final int[] charge;
  private final Map<String, List<int[]>> taken = new HashMap<>();

  private Workday(Campaign campaign) {
    this.campaign = campaign;
    this.free = campaign.units().stream().mapToInt(PlanUnit::free).toArray();
    campaign.away().forEach(a -> take(a.thing(), Math.max(0, a.from()), a.to()));
    this.charge = campaign.units().stream().mapToInt(PlanUnit::charge).toArray();
  }

  /** Lays moves out in their order; empty where somebody would have to be there and never is. */
  static Optional<Plan> of(Campaign campaign, List<Move> moves) {
    Workday day = new Workday(campaign);
    for (Move move : moves) {
      if (!day.lay(move)) {
        return Optional.empty();
      }
    }
    return Optional.of(new Plan(day.steps, false));
  }

  private boolean lay(Move move) {
    PlanUnit unit = campaign.units().get(move.unit());
    Task task = unit.tasks().get(move.task());
    int now = charge[move.unit()];
    int ready = Math.max(0, free[move.unit()]);
    int rests = free[move.unit()];
    int wanted = Math.min(task.most(), Math.max(task.needs(), Math.max(now, move.charged())));
    if (wanted != now) {
      ready = campaign.tendedFrom(ready);
      if (ready < 0) {
        return false;
      }
      int to = ready + unit.minutes(now, wanted);
      String id = wanted > now ? Plan.CHARGE : Plan.DISCHARGE;
      if (to > ready) {
        steps.add(new Plan.Step(unit.name(), id, ready, to, now, wanted));
        rests = to;
      }
      ready = to;
    }
    int start = start(task, Math.max(ready, rests + task.rest()));
    if (start < 0) {
      return false;
    }
    int end = start + task.minutes();
    steps.add(new Plan.Step(unit.name(), task.id(), start, end, wanted, task.after(wanted)));
    task.uses().forEach(u -> take(u, start, end));
    if (task.attended() > 0) {
      take(PERSON, start, start + task.attended());
    }
    free[move.unit()] = end;
    charge[move.unit()] = task.after(wanted);
    return true;
  }

  private void take(String thing, int from, int to) {
    taken.computeIfAbsent(thing, k -> new ArrayList<>()).add(new int[] {from, to});
  }

  /** The earliest minute from one on at which everything is there; −1 for none. */
  private int start(Task task, int from) {
    if (task.pinned()) {
      return from <= task.at() && free(task, task.at()) ? task.at() : -1;
    }
    int at = from;
    while (true) {
      int there = campaign.attendedFrom(task, at);
      if (there < 0) {
        return -1;
      }
      int clear = there;
      for (String use : task.uses()) {
        clear = Math.max(clear, clear(use, clear, task.minutes()));
      }
      if (task.attended() > 0) {
        clear = Math.max(clear, clear(PERSON, clear, task.attended()));
      }
      if (clear == there) {
        return there;
      }
      at = clear;
    }
  }

  /** Whether everything is there at one minute. */
  private boolean free(Task task, int at) {
    return task.uses().stream().allMatch(u -> clear(u, at, task.minutes()) == at)
        && (task.attended() == 0
            || (campaign.attended(task, at) && clear(PERSON, at, task.attended()) == at));
  }

  /** The earliest minute from one on at which one of a kind is free for so long. */
  private int clear(String use, int from, int minutes) {
    List<int[]> busy = taken.getOrDefault(use, List.of());
    int many = use.equals(PERSON) ? campaign.people() : campaign.shared().get(use);
    int at = from;
    while (true) {
      int most = 0;
      int next = Integer.MAX_VALUE;
      for (int[] b : busy) {
        if (b[0] < at + minutes && b[1] > at) {
          next = Math.min(next, b[1]);
          most = Math.max(most, together(busy, Math.max(b[0], at), at + minutes));
        }
      }
      if (most < many) {
        return at;
      }
      at = next;
    }
  }

  private static int together(List<int[]> busy, int at, int before) {
    int count = 0;
    for (int[] b : busy) {
      count += b[0] <= at && b[1] > at && at < before ? 1 : 0;
    }
    return count;
  }
}

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

  private final Campaign campaign;
  private final List<Plan.Step> steps = new ArrayList<>();
  private final int[] free;
  private final int[] charge;
  private final Map<String, List<int[]>> taken = new HashMap<>();

  private Workday(Campaign campaign) {
    this.campaign = campaign;
    this.free = new int[campaign.units().size()];
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
    int ready = free[move.unit()];
    boolean moved = ready > 0;
    int wanted = Math.min(task.most(), Math.max(task.needs(), Math.max(now, move.charged())));
    if (wanted != now) {
      int to = ready + unit.minutes(now, wanted);
      String id = wanted > now ? Plan.CHARGE : Plan.DISCHARGE;
      if (to > ready) {
        steps.add(new Plan.Step(unit.name(), id, ready, to, now, wanted));
        moved = true;
      }
      ready = to;
    }
    int start = start(task, ready + (moved ? task.rest() : 0));
    if (start < 0) {
      return false;
    }
    int end = start + task.minutes();
    steps.add(new Plan.Step(unit.name(), task.id(), start, end, wanted, task.after(wanted)));
    task.uses()
        .forEach(u -> taken.computeIfAbsent(u, k -> new ArrayList<>()).add(new int[] {start, end}));
    free[move.unit()] = end;
    charge[move.unit()] = task.after(wanted);
    return true;
  }

  /** The earliest minute from one on at which everything is there. */
  private int start(Task task, int from) {
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
      if (clear == there) {
        return there;
      }
      at = clear;
    }
  }

  /** The earliest minute from one on at which one of a kind is free for so long. */
  private int clear(String use, int from, int minutes) {
    List<int[]> busy = taken.getOrDefault(use, List.of());
    int many = campaign.shared().get(use);
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

package org.wiseember.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * Plans a campaign: least time first, then fewest charges, then earliest. The plain order of work
 * and many others are laid out first; what they come to bounds a constraint solver (Choco), which
 * proves the least where there is time, and otherwise leaves what is best so far.
 */
public final class Planner {
  private static final int TRIES = 600;

  /** So many orders are tried that tries times tests squared stays below it. */
  private static final long WORK = 6_000_000;

  /** More tests than this are laid out, and not proven. */
  private static final int SOLVABLE = 120;

  /** Longer campaigns than two months neither, min. */
  private static final int LONGEST = 60 * 24 * 60;

  private Planner() {}

  /**
   * Plans it.
   *
   * @param seconds the solver may take
   * @param seed of the orders that are tried
   * @throws IllegalArgumentException where somebody is never there for long enough
   */
  public static Plan plan(Campaign campaign, double seconds, long seed) {
    if (campaign.units().stream().allMatch(u -> u.tasks().isEmpty())) {
      return new Plan(List.of(), true);
    }
    Optional<Plan> best = Workday.of(campaign, plain(campaign));
    SplittableRandom random = new SplittableRandom(seed);
    long tests = campaign.units().stream().mapToLong(u -> u.tasks().size()).sum();
    long tries = Math.min(TRIES, Math.max(10, WORK / (tests * tests)));
    for (int i = 0; i < tries; i++) {
      Optional<Plan> tried = Workday.of(campaign, shuffled(campaign, random));
      if (tried.isPresent() && (best.isEmpty() || tried.get().betterThan(best.get()))) {
        best = tried;
      }
    }
    if (best.isPresent() && (tests > SOLVABLE || best.get().minutes() > LONGEST)) {
      return best.get();
    }
    if (tests > SOLVABLE) {
      throw new IllegalArgumentException(
          "no plan was found in which somebody is there whenever a test needs it");
    }
    return new Solved(campaign, best, seconds).plan();
  }

  /** The tests of each unit as they stand, one unit's first before the next's first. */
  static List<Workday.Move> plain(Campaign campaign) {
    List<Workday.Move> moves = new ArrayList<>();
    int most = campaign.units().stream().mapToInt(u -> u.tasks().size()).max().orElse(0);
    for (int t = 0; t < most; t++) {
      for (int u = 0; u < campaign.units().size(); u++) {
        if (t < campaign.units().get(u).tasks().size()) {
          moves.add(new Workday.Move(u, t, 0));
        }
      }
    }
    return moves;
  }

  private static List<Workday.Move> shuffled(Campaign campaign, SplittableRandom random) {
    List<int[]> orders = new ArrayList<>();
    for (PlanUnit unit : campaign.units()) {
      int[] order = IntStream.range(0, unit.tasks().size()).toArray();
      for (int i = order.length - 1; i > 0; i--) {
        int j = random.nextInt(i + 1);
        int swap = order[i];
        order[i] = order[j];
        order[j] = swap;
      }
      orders.add(order);
    }
    int[] next = new int[orders.size()];
    int left = orders.stream().mapToInt(o -> o.length).sum();
    List<Workday.Move> moves = new ArrayList<>();
    while (left-- > 0) {
      int unit;
      do {
        unit = random.nextInt(next.length);
      } while (next[unit] >= orders.get(unit).length);
      int charged = random.nextInt(3) == 0 ? Task.FULL : 0;
      moves.add(new Workday.Move(unit, orders.get(unit)[next[unit]++], charged));
    }
    return moves;
  }
}

package org.wiseember.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeSet;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;

public class PlannerTest {
  private static final Campaign.Window ALWAYS = new Campaign.Window(0, 100_000);

  private static Task drain(int minutes, int rest, String... uses) {
    return new Task("ac-drain", 1000, 1000, 0, minutes, 0, List.of(uses), rest);
  }

  private static Task timedCharge(int minutes, int rest) {
    return new Task("timed-charge", 0, 0, 1000, minutes, 0, List.of(), rest);
  }

  private static Task idle(int takes) {
    return new Task("idle", 500, 1000, -takes, 60, 0, List.of(), 0);
  }

  private static Plan plan(Campaign campaign) {
    Plan plan = Planner.plan(campaign, 30, 1);
    Replayed.check(campaign, plan);
    return plan;
  }

  private static Campaign of(PlanUnit... units) {
    return new Campaign(List.of(units), List.of(ALWAYS), Map.of("meter", 1));
  }

  /** A timed charge leaves full what a drain needs full: nothing is put in between. */
  @Test
  public void aTimedChargeBeforeADrainSavesACharge() {
    Plan plan =
        plan(of(new PlanUnit("A", 400, 90, 60, List.of(drain(96, 30), timedCharge(90, 30)))));
    assertTrue(plan.proven());
    assertEquals(plan.charges(), 0, plan.toString());
    assertEquals(plan.steps().get(0).id(), Plan.DISCHARGE);
    // Run down 24 min, rest 30, charge 90, rest 30, drain 96.
    assertEquals(plan.minutes(), 24 + 30 + 90 + 30 + 96);
    // With an idle in between 5 % are put back; before everything it would take longer.
    Plan more =
        plan(
            of(
                new PlanUnit(
                    "A", 400, 90, 60, List.of(drain(96, 30), timedCharge(90, 30), idle(50)))));
    assertEquals(more.charges(), 1, more.toString());
    assertTrue(more.proven());
  }

  /** Two units and one meter: their drains follow each other. */
  @Test
  public void oneMeterIsSharedAndNobodyWaitsLongerThanForIt() {
    Campaign campaign =
        of(
            new PlanUnit("A", 1000, 90, 60, List.of(drain(100, 0, "meter"))),
            new PlanUnit("B", 1000, 90, 60, List.of(drain(80, 0, "meter"))));
    Plan plan = plan(campaign);
    assertTrue(plan.proven());
    assertEquals(plan.minutes(), 180);
  }

  /** What somebody has to see waits until somebody is there. */
  @Test
  public void attendedTestsWaitForSomebody() {
    Task overload = new Task("overload", 500, 1000, -200, 60, 60, List.of(), 0);
    Campaign campaign =
        new Campaign(
            List.of(new PlanUnit("A", 1000, 90, 60, List.of(overload))),
            List.of(new Campaign.Window(100, 130), new Campaign.Window(130, 170)),
            Map.of());
    assertEquals(plan(campaign).steps().get(0).from(), 100, "windows that touch are one");
    String said =
        expectThrows(
                IllegalArgumentException.class,
                () -> new Campaign(campaign.units(), List.of(new Campaign.Window(0, 50)), Map.of()))
            .getMessage();
    assertTrue(said.contains("overload of A"), said);
    expectThrows(
        IllegalArgumentException.class,
        () ->
            new Campaign(
                List.of(new PlanUnit("A", 0, 1, 1, List.of(drain(5, 0, "meter")))),
                List.of(),
                Map.of("meter", 0)));
  }

  private static Campaign random(SplittableRandom random, int units, int tests) {
    List<PlanUnit> all = new ArrayList<>();
    for (int u = 0; u < units; u++) {
      List<Task> tasks = new ArrayList<>();
      for (int t = 0; t < tests; t++) {
        int kind = random.nextInt(4);
        int minutes = 20 + 10 * random.nextInt(8);
        int attended = random.nextInt(3) == 0 ? minutes / 2 : 0;
        List<String> uses = random.nextBoolean() ? List.of("meter") : List.of();
        int rest = 10 * random.nextInt(3);
        String id = "t" + t;
        tasks.add(
            switch (kind) {
              case 0 -> new Task(id, 1000, 1000, 0, minutes, attended, uses, rest);
              case 1 -> new Task(id, 0, 0, 1000, minutes, attended, uses, rest);
              case 2 ->
                  new Task(
                      id, 300, 1000, -50 - 50 * random.nextInt(4), minutes, attended, uses, rest);
              default -> new Task(id, 0, 1000, -100, minutes, attended, uses, rest);
            });
      }
      all.add(
          new PlanUnit(
              "U" + u,
              100 * random.nextInt(11),
              60 + 10 * random.nextInt(6),
              40 + 10 * random.nextInt(4),
              tasks));
    }
    return new Campaign(
        all,
        List.of(new Campaign.Window(0, 200), new Campaign.Window(300, 5000)),
        Map.of("meter", 1));
  }

  /** Every order of tests, every charge before each, everything as early as it goes. */
  private static Plan exhausted(Campaign campaign) {
    Plan[] best = new Plan[1];
    int[] levels = levels(campaign);
    tried(campaign, levels, new ArrayList<>(), best);
    return best[0];
  }

  private static int[] levels(Campaign campaign) {
    TreeSet<Integer> levels = new TreeSet<>(List.of(0, 1000));
    for (PlanUnit unit : campaign.units()) {
      for (int some = 0; some < 1 << unit.tasks().size(); some++) {
        int sum = 0;
        for (int k = 0; k < unit.tasks().size(); k++) {
          int takes = -unit.tasks().get(k).leaves();
          sum += (some >> k & 1) == 1 && takes > 0 ? takes : 0;
        }
        for (Task task : unit.tasks()) {
          levels.add(Math.min(1000, sum + task.needs()));
        }
      }
    }
    return levels.stream().mapToInt(Integer::intValue).toArray();
  }

  private static void tried(
      Campaign campaign, int[] levels, List<Workday.Move> moves, Plan[] best) {
    Optional<Plan> so = Workday.of(campaign, moves);
    if (so.isEmpty() || (best[0] != null && so.get().minutes() > best[0].minutes())) {
      return;
    }
    boolean whole = true;
    for (int u = 0; u < campaign.units().size(); u++) {
      for (int t = 0; t < campaign.units().get(u).tasks().size(); t++) {
        int unit = u;
        int task = t;
        if (moves.stream().anyMatch(m -> m.unit() == unit && m.task() == task)) {
          continue;
        }
        whole = false;
        Task wanted = campaign.units().get(u).tasks().get(t);
        for (int level : levels) {
          boolean useful = level == 0 || (level > wanted.needs() && level <= wanted.most());
          if (useful) {
            moves.add(new Workday.Move(u, t, level));
            tried(campaign, levels, moves, best);
            moves.remove(moves.size() - 1);
          }
        }
      }
    }
    if (whole && (best[0] == null || so.get().betterThan(best[0]))) {
      best[0] = so.get();
    }
  }

  /**
   * The least minutes and charges of ten campaigns, found by trying every order: half a minute for
   * some, so they stand here and are worked out again by the thorough run.
   */
  private static final int[][] LEAST = {
    {200, 0}, {243, 2}, {165, 2}, {278, 1}, {134, 0},
    {282, 2}, {160, 0}, {218, 1}, {134, 1}, {271, 0},
  };

  /**
   * Two units, six tests between them: as short as, and with as few charges as, every order tried.
   */
  @Test
  public void smallCampaignsAreProvenAndTheLeast() {
    SplittableRandom random = new SplittableRandom(9);
    for (int i = 0; i < LEAST.length; i++) {
      Campaign campaign = random(random, 2, i % 2 == 0 ? 2 : 3);
      if (Thorough.ASKED) {
        Plan brute = exhausted(campaign);
        assertEquals(new int[] {brute.minutes(), brute.charges()}, LEAST[i], "case " + i);
      }
      Plan plan = plan(campaign);
      assertTrue(plan.proven(), "case " + i);
      assertEquals(plan.minutes(), LEAST[i][0], "case " + i + "\n" + plan);
      assertEquals(plan.charges(), LEAST[i][1], "case " + i + "\n" + plan);
    }
  }

  /**
   * The same while one unit is still busy, the meter is away for a while, one person attends one
   * test at a time, and a test is pinned.
   */
  @Test
  public void whatStandsAlreadyIsKept() {
    SplittableRandom random = new SplittableRandom(31);
    int pinned = 0;
    for (int i = 0; i < 4; i++) {
      Campaign plain = random(random, 2, i % 2 == 0 ? 2 : 3);
      int from = 30 * random.nextInt(6);
      List<PlanUnit> units = new ArrayList<>();
      Plan.Step later = null;
      for (PlanUnit u : plain.units()) {
        int free = -10 + 15 * random.nextInt(4);
        units.add(
            new PlanUnit(
                u.name(), u.charge(), u.chargeMinutes(), u.dischargeMinutes(), free, u.tasks()));
      }
      Campaign busy =
          new Campaign(
              units,
              plain.present(),
              plain.shared(),
              List.of(new Campaign.Away("meter", from, from + 120)),
              1,
              i % 4 < 2);
      Plan plan = plan(busy);
      Plan brute = exhausted(busy);
      assertTrue(plan.proven(), "case " + i);
      assertEquals(plan.minutes(), brute.minutes(), "case " + i + "\n" + plan + "\n" + brute);
      assertEquals(plan.charges(), brute.charges(), "case " + i + "\n" + plan + "\n" + brute);
      for (Plan.Step s : plan.steps()) {
        later = s.id().startsWith("t") ? s : later;
      }
      Campaign with = pinned(busy, later, later.from() + 40);
      try {
        Plan kept = plan(with);
        Plan least = exhausted(with);
        assertEquals(kept.minutes(), least.minutes(), "case " + i + "\n" + kept + "\n" + least);
        pinned++;
      } catch (IllegalArgumentException nobodyThere) {
        assertTrue(exhausted(with) == null, "case " + i);
      }
    }
    assertTrue(pinned >= 2, "pins that could be kept: " + pinned);
  }

  private static Campaign pinned(Campaign campaign, Plan.Step step, int minute) {
    List<PlanUnit> units = new ArrayList<>();
    for (PlanUnit u : campaign.units()) {
      List<Task> tasks = new ArrayList<>();
      for (Task t : u.tasks()) {
        boolean it = u.name().equals(step.unit()) && t.id().equals(step.id());
        tasks.add(
            it
                ? new Task(
                    t.id(),
                    t.least(),
                    t.most(),
                    t.leaves(),
                    t.minutes(),
                    t.attended(),
                    t.uses(),
                    t.rest(),
                    minute)
                : t);
      }
      units.add(
          new PlanUnit(
              u.name(), u.charge(), u.chargeMinutes(), u.dischargeMinutes(), u.free(), tasks));
    }
    return new Campaign(
        units,
        campaign.present(),
        campaign.shared(),
        campaign.away(),
        campaign.people(),
        campaign.tended());
  }

  /** Eight units of twelve tests: feasible, and never worse than the plain order of work. */
  @Test
  public void largeCampaignsAreFeasible() {
    Campaign campaign = random(new SplittableRandom(4), 8, 12);
    Plan plan = Planner.plan(campaign, 3, 1);
    Replayed.check(campaign, plan);
    Optional<Plan> plain = Workday.of(campaign, Planner.plain(campaign));
    plain.ifPresent(p -> assertTrue(plan.minutes() <= p.minutes()));
  }

  @Test
  public void nothingToDoTakesNoTime() {
    Plan plan = Planner.plan(of(new PlanUnit("A", 0, 1, 1, List.of())), 1, 1);
    assertEquals(plan.minutes(), 0);
    assertTrue(plan.proven());
    assertEquals(Arrays.asList(), plan.steps());
  }
}

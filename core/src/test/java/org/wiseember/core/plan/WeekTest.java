package org.wiseember.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * A week in which little goes as planned: drains end early or late, tests fail and are made again,
 * nobody comes when a step is due, a meter is lent out for a day, nights are empty. It is planned
 * anew whenever that happens, and what is begun always finds what it needs.
 */
public class WeekTest {
  private static final int DAY = 24 * 60;
  private static final String METER = "meter";

  @DataProvider
  Object[][] lives() {
    return new Object[][] {{1L}, {2L}};
  }

  @Test(dataProvider = "lives")
  public void nothingIsBegunThatIsNotReadyAndNothingIsLost(long seed) {
    Life life = new Life(seed);
    life.live();
    assertEquals(life.left(), 0, "tests that were never made");
    assertTrue(life.faults > 2, "a week without faults shows nothing: " + life.faults);
    assertTrue(life.made == life.wanted, life.made + " of " + life.wanted);
  }

  /** What goes on at a unit. */
  private record Doing(String id, Task task, int ends, int expected, int after, boolean fails) {}

  private static final class Row {
    private final String name;
    private final double fill;
    private final double empty;
    private final List<Task> left = new ArrayList<>();
    private int charge;
    private int last = PlanUnit.RESTED;
    private Doing doing;

    Row(String name, double fill, double empty, int charge) {
      this.name = name;
      this.fill = fill;
      this.empty = empty;
      this.charge = charge;
    }
  }

  private static final class Life {
    private final SplittableRandom random;
    private final Map<String, Row> rows = new LinkedHashMap<>();
    private final Campaign.Away lent;
    private final int wanted;
    private int now;
    private int made;
    private int faults;

    Life(long seed) {
      random = new SplittableRandom(seed);
      for (String name : List.of("A", "B")) {
        Row row =
            new Row(name, 60 + random.nextInt(120), 60 + random.nextInt(120), random.nextInt(1001));
        row.left.add(new Task("drain", 1000, 1000, 0, 110, 10, List.of(METER), 30));
        row.left.add(new Task("timed", 0, 0, 1000, 140, 10, List.of(METER), 30));
        row.left.add(new Task("idle", 300, 1000, -20, 45, 10, List.of(), 30));
        row.left.add(new Task("overload", 500, 1000, -200, 40, 40, List.of(METER), 0));
        rows.put(name, row);
      }
      wanted = rows.values().stream().mapToInt(r -> r.left.size()).sum();
      int from = random.nextInt(DAY);
      lent = new Campaign.Away(METER, from, from + DAY);
    }

    int left() {
      return rows.values().stream().mapToInt(r -> r.left.size()).sum();
    }

    private boolean there(int minute, int minutes) {
      int from = minute % DAY;
      return from >= 8 * 60 && from + minutes <= 22 * 60;
    }

    private List<Campaign.Window> present() {
      List<Campaign.Window> windows = new ArrayList<>();
      for (int day = now / DAY; day < now / DAY + 10; day++) {
        int from = Math.max(0, day * DAY + 8 * 60 - now);
        int to = day * DAY + 22 * 60 - now;
        if (to > from) {
          windows.add(new Campaign.Window(from, to));
        }
      }
      return windows;
    }

    private Campaign asItStands() {
      List<PlanUnit> units = new ArrayList<>();
      List<Campaign.Away> away = new ArrayList<>();
      away.add(new Campaign.Away(METER, lent.from() - now, lent.to() - now));
      for (Row row : rows.values()) {
        boolean busy = row.doing != null;
        // What overruns is waited for.
        int free = busy ? Math.max(5, row.doing.expected() - now) : row.last - now;
        units.add(
            new PlanUnit(
                row.name,
                busy ? row.doing.after() : row.charge,
                row.fill,
                row.empty,
                free,
                row.left));
        if (busy && row.doing.task() != null && row.doing.task().uses().contains(METER)) {
          away.add(new Campaign.Away(METER, 0, free));
        }
      }
      return new Campaign(units, present(), Map.of(METER, 1), away, 1, true);
    }

    void live() {
      for (int i = 0; i < 200 && (left() > 0 || busy()) && now < 14 * DAY; i++) {
        Campaign campaign = asItStands();
        Plan plan = Planner.plan(campaign, 0.05, 1);
        Replayed.check(campaign, plan);
        int ends =
            rows.values().stream()
                .filter(r -> r.doing != null)
                .mapToInt(r -> r.doing.ends())
                .min()
                .orElse(Integer.MAX_VALUE);
        Plan.Step next = plan.steps().isEmpty() ? null : plan.steps().get(0);
        if (next == null || ends <= now + next.from()) {
          now = Math.max(now, ends);
          rows.values().forEach(this::ended);
        } else if (random.nextInt(8) == 0) {
          // Nobody comes.
          faults++;
          now += next.from() + 20 + random.nextInt(200);
          rows.values().forEach(this::ended);
        } else {
          now += next.from();
          if (waits(rows.get(next.unit()), next)) {
            // What should be over still runs: it is planned anew while that is waited for.
            faults++;
            now += 5;
            rows.values().forEach(this::ended);
          } else {
            begin(rows.get(next.unit()), next);
          }
        }
      }
    }

    private boolean waits(Row row, Plan.Step step) {
      boolean metered =
          row.left.stream().anyMatch(t -> t.id().equals(step.id()) && t.uses().contains(METER));
      return row.doing != null || (metered && rows.values().stream().anyMatch(Life::meters));
    }

    private static boolean meters(Row row) {
      return row.doing != null
          && row.doing.task() != null
          && row.doing.task().uses().contains(METER);
    }

    private boolean busy() {
      return rows.values().stream().anyMatch(r -> r.doing != null);
    }

    private void ended(Row row) {
      if (row.doing == null || row.doing.ends() > now) {
        return;
      }
      Doing over = row.doing;
      row.doing = null;
      row.last = over.ends();
      row.charge = over.after();
      if (over.fails()) {
        faults++;
        row.charge = random.nextInt(1001);
        if (over.task() != null) {
          row.left.add(over.task());
        }
      } else if (over.task() != null) {
        made++;
      }
      faults += over.ends() == over.expected() ? 0 : 1;
    }

    private void begin(Row row, Plan.Step step) {
      assertTrue(row.doing == null, step + " while " + row.doing);
      int minutes = step.to() - step.from();
      Task task = row.left.stream().filter(t -> t.id().equals(step.id())).findFirst().orElse(null);
      if (task == null) {
        assertTrue(there(now, 0), step + " begun by nobody at " + now % DAY);
      } else {
        assertTrue(row.charge >= task.least(), step + " begins at " + row.charge);
        assertTrue(row.charge <= task.most(), step + " begins at " + row.charge);
        assertTrue(now >= row.last + task.rest(), step + " has not rested");
        assertTrue(there(now, task.attended()), step + " with nobody there at " + now % DAY);
        if (task.uses().contains(METER)) {
          assertTrue(now + minutes <= lent.from() || now >= lent.to(), step + " without its meter");
        }
        row.left.remove(task);
      }
      int kind = random.nextInt(10);
      int lasts = kind < 2 ? Math.max(1, minutes * 7 / 10) : kind < 4 ? minutes * 6 / 5 : minutes;
      boolean fails = kind == 4;
      // One that lasts longer than it may must not run into the time its meter is lent out.
      lasts = task != null && now < lent.from() ? Math.min(lasts, lent.from() - now) : lasts;
      row.doing =
          new Doing(
              step.id(), task, now + Math.max(1, lasts), now + minutes, step.chargeTo(), fails);
    }
  }
}

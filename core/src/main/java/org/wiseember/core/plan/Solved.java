package org.wiseember.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solver;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.search.strategy.strategy.AbstractStrategy;
import org.chocosolver.solver.variables.BoolVar;
import org.chocosolver.solver.variables.IntVar;

/**
 * A campaign as a constraint problem. Every unit has places in a row; each place is taken by one of
 * its tests, with the charge it begins at, the minutes it takes to get there, and its start. A unit
 * is charged to nothing but a charge some tests after it can use up to the last, since any other
 * only takes longer.
 */
final class Solved {
  /** What is least and cheapest already is not waited for long to begin a little earlier, s. */
  private static final double EARLIER = 0.8;

  /** Of the time given, what finding the least and then the fewest charges may take. */
  private static final double[] SHARES = {0.7, 0.3};

  private final Campaign campaign;
  private final double seconds;
  private Optional<Plan> best;

  Solved(Campaign campaign, Optional<Plan> best, double seconds) {
    this.campaign = campaign;
    this.best = best;
    this.seconds = seconds;
  }

  Plan plan() {
    boolean least = better(0);
    if (best.isEmpty()) {
      throw new IllegalArgumentException(
          least
              ? "nobody is there at the times these tests would need somebody"
              : "no plan was found in the time given");
    }
    boolean fewest = least && better(1);
    if (fewest) {
      better(2);
    }
    return least && fewest ? best.get().asProven() : best.get();
  }

  /**
   * Looks for something better in time, then in charges, then in starts.
   *
   * @param by 0, 1 or 2
   * @return whether there surely is nothing better than what is best now
   */
  private boolean better(int by) {
    Problem problem = new Problem(campaign, horizon());
    best.ifPresent(b -> problem.betters(b, by));
    Solver solver = problem.model.getSolver();
    problem.model.setObjective(Model.MINIMIZE, problem.objective(by));
    solver.setSearch(problem.search());
    double most = by == 2 ? Math.min(EARLIER, seconds) : seconds * SHARES[by];
    solver.limitTime((long) (1000 * most));
    while (solver.solve()) {
      best = Optional.of(problem.solution());
    }
    return !solver.isStopCriterionMet();
  }

  /** Nothing needs longer than what is known already, or than one thing after the other. */
  private int horizon() {
    if (best.isPresent()) {
      return best.get().minutes();
    }
    int all =
        Math.max(
            campaign.present().stream().mapToInt(Campaign.Window::to).max().orElse(0),
            campaign.away().stream().mapToInt(Campaign.Away::to).max().orElse(0));
    for (PlanUnit unit : campaign.units()) {
      for (Task task : unit.tasks()) {
        all += task.minutes() + task.rest();
        all += (int) Math.ceil(Math.max(unit.chargeMinutes(), unit.dischargeMinutes()));
        all = Math.max(all, task.at() + task.minutes());
      }
      all += Math.max(0, unit.free());
    }
    return all;
  }

  /** The variables of one unit. */
  private static final class Row {
    private final PlanUnit unit;
    private final IntVar[] which;
    private final IntVar[] begins;
    private final IntVar[] before;
    private final IntVar[] starts;
    private final IntVar[] ends;
    private final IntVar[] ofTask;
    private final IntVar[] prepared;
    private final BoolVar[] charges;

    Row(Model model, Campaign campaign, PlanUnit unit, int horizon) {
      this.unit = unit;
      int n = unit.tasks().size();
      String name = unit.name() + " ";
      which = model.intVarArray(name + "which", n, 0, Math.max(0, n - 1));
      begins = model.intVarArray(name + "begins", n, 0, Task.FULL);
      before = new IntVar[n + 1];
      before[0] = model.intVar(unit.charge());
      for (int i = 1; i <= n; i++) {
        before[i] = model.intVar(name + "before" + i, 0, Task.FULL);
      }
      starts = model.intVarArray(name + "start", n, 0, horizon);
      ends = model.intVarArray(name + "end", n, 0, horizon);
      charges = model.boolVarArray(name + "charge", n);
      prepared = model.intVarArray(name + "prepared", n, Math.max(0, unit.free()), horizon);
      ofTask = new IntVar[n];
      for (int k = 0; k < n; k++) {
        ofTask[k] = start(model, campaign, unit.tasks().get(k), name + k, horizon);
      }
      model.allDifferent(which).post();
      int[] levels = levels();
      for (int p = 0; p < n; p++) {
        place(model, campaign, p, levels, horizon);
      }
    }

    /** Minutes at which a task may begin for who is there. */
    private static IntVar start(
        Model model, Campaign campaign, Task task, String name, int horizon) {
      if (task.pinned()) {
        return model.intVar(name, task.at());
      }
      int last = Math.max(0, horizon - task.minutes());
      if (task.attended() == 0) {
        return model.intVar(name, 0, last);
      }
      TreeSet<Integer> minutes = new TreeSet<>();
      for (Campaign.Window w : campaign.present()) {
        for (int m = w.from(); m + task.attended() <= w.to() && m <= last; m++) {
          minutes.add(m);
        }
      }
      // None: the unit cannot be done within the horizon, which the rest of the row finds out.
      return minutes.isEmpty()
          ? model.intVar(name, horizon + 1, horizon + 1)
          : model.intVar(name, minutes.stream().mapToInt(Integer::intValue).toArray());
    }

    /** Charges that what comes after can use up to the last. */
    private int[] levels() {
      boolean[] sums = new boolean[Task.FULL + 1];
      sums[0] = true;
      for (Task task : unit.tasks()) {
        if (task.leaves() < 0) {
          for (int s = Task.FULL; s >= -task.leaves(); s--) {
            sums[s] |= sums[s + task.leaves()];
          }
        }
      }
      TreeSet<Integer> levels = new TreeSet<>(List.of(Task.FULL));
      for (Task task : unit.tasks()) {
        levels.add(task.most());
        for (int s = 0; s <= Task.FULL; s++) {
          if (sums[s]) {
            levels.add(Math.min(Task.FULL, s + task.needs()));
          }
        }
      }
      return levels.stream().mapToInt(Integer::intValue).toArray();
    }

    private int[] table(ToIntFunction<Task> of) {
      return unit.tasks().stream().mapToInt(of).toArray();
    }

    private IntVar looked(Model model, IntVar at, int[] table, String name) {
      IntVar value =
          model.intVar(
              name, Arrays.stream(table).min().orElse(0), Arrays.stream(table).max().orElse(0));
      model.element(value, table, at).post();
      return value;
    }

    /** Minutes at which somebody can begin something. */
    private static int[] tended(Campaign campaign, int horizon) {
      return campaign.present().stream()
          .flatMapToInt(w -> IntStream.range(w.from(), Math.min(w.to(), horizon + 1)))
          .toArray();
    }

    private void place(Model model, Campaign campaign, int p, int[] levels, int horizon) {
      String name = unit.name() + " " + p + " ";
      IntVar least = looked(model, which[p], table(Task::needs), name + "least");
      IntVar most = looked(model, which[p], table(Task::most), name + "most");
      model.arithm(begins[p], ">=", least).post();
      model.arithm(begins[p], "<=", most).post();
      IntVar keeps = looked(model, which[p], table(t -> t.leaves() < 0 ? 1 : 0), name + "keeps");
      IntVar adds = looked(model, which[p], table(Task::leaves), name + "adds");
      IntVar kept = model.intVar(name + "kept", 0, Task.FULL);
      model.times(keeps, begins[p], kept).post();
      model.arithm(before[p + 1], "=", kept, "+", adds).post();
      IntVar change = model.intVar(name + "change", -Task.FULL, Task.FULL);
      model.arithm(change, "=", begins[p], "-", before[p]).post();
      model.or(model.arithm(change, "=", 0), model.member(begins[p], levels)).post();
      // Run down only as far as the test asks, and never to no purpose.
      model.or(model.arithm(change, ">=", 0), model.arithm(begins[p], "=", most)).post();
      model.arithm(change, ">", 0).reifyWith(charges[p]);
      int[] minutes = new int[2 * Task.FULL + 1];
      for (int c = -Task.FULL; c <= Task.FULL; c++) {
        minutes[c + Task.FULL] = c == 0 ? 0 : c > 0 ? unit.minutes(0, c) : unit.minutes(-c, 0);
      }
      IntVar preparing =
          model.intVar(name + "preparing", 0, Arrays.stream(minutes).max().orElse(0));
      model.element(preparing, minutes, change, -Task.FULL).post();
      int free = unit.free();
      IntVar rested =
          p > 0
              ? looked(model, which[p], table(Task::rest), name + "rest")
              : looked(model, which[p], table(Task::rest), name + "rested");
      if (p == 0) {
        // What is not charged first has rested since its last thing ended.
        IntVar since =
            looked(
                model,
                which[p],
                table(t -> Math.max(0, t.rest() + free) - first()),
                name + "since");
        BoolVar moved = model.arithm(change, "!=", 0).reify();
        IntVar first =
            model.intVar(
                name + "first",
                Math.min(rested.getLB(), since.getLB()),
                Math.max(rested.getUB(), since.getUB()));
        model.element(first, new IntVar[] {since, rested}, moved, 0).post();
        rested = first;
      }
      IntVar lasts = looked(model, which[p], table(Task::minutes), name + "lasts");
      model.arithm(ends[p], "=", starts[p], "+", lasts).post();
      IntVar ready = model.intVar(name + "ready", 0, horizon);
      if (campaign.tended()) {
        if (p > 0) {
          model.arithm(prepared[p], ">=", ends[p - 1]).post();
        }
        int[] there = tended(campaign, horizon);
        model
            .or(model.arithm(change, "=", 0).reify(), model.member(prepared[p], there).reify())
            .post();
      } else {
        model.arithm(prepared[p], "=", p > 0 ? ends[p - 1] : model.intVar(first())).post();
      }
      // What only rests has begun to rest before somebody came to see to it.
      model.sum(new IntVar[] {prepared[p], preparing, rested}, "=", ready).post();
      model.arithm(starts[p], ">=", ready).post();
      model.element(starts[p], ofTask, which[p], 0).post();
    }

    /** The first minute at which anything can be done with it. */
    private int first() {
      return Math.max(0, unit.free());
    }

    void into(List<Plan.Step> steps) {
      for (int p = 0; p < which.length; p++) {
        Task task = unit.tasks().get(which[p].getValue());
        int from = before[p].getValue();
        int to = begins[p].getValue();
        int minutes = from == to ? 0 : unit.minutes(from, to);
        if (minutes > 0) {
          steps.add(
              new Plan.Step(
                  unit.name(),
                  to > from ? Plan.CHARGE : Plan.DISCHARGE,
                  prepared[p].getValue(),
                  prepared[p].getValue() + minutes,
                  from,
                  to));
        }
        int start = starts[p].getValue();
        steps.add(
            new Plan.Step(
                unit.name(), task.id(), start, start + task.minutes(), to, task.after(to)));
      }
    }
  }

  private static final class Problem {
    private final Campaign campaign;
    private final Model model = new Model("campaign");
    private final List<Row> rows = new ArrayList<>();
    private final IntVar whole;
    private final IntVar charges;
    private final IntVar starts;

    Problem(Campaign campaign, int horizon) {
      this.campaign = campaign;
      for (PlanUnit unit : campaign.units()) {
        if (!unit.tasks().isEmpty()) {
          rows.add(new Row(model, campaign, unit, horizon));
        }
      }
      for (Map.Entry<String, Integer> thing : campaign.shared().entrySet()) {
        share(thing.getKey(), thing.getValue());
      }
      attend(campaign.people());
      whole = model.intVar("whole", 0, horizon);
      model
          .max(whole, rows.stream().map(r -> r.ends[r.ends.length - 1]).toArray(IntVar[]::new))
          .post();
      BoolVar[] each = rows.stream().flatMap(r -> Arrays.stream(r.charges)).toArray(BoolVar[]::new);
      charges = model.intVar("charges", 0, each.length);
      model.sum(each, "=", charges).post();
      IntVar[] begun = rows.stream().flatMap(r -> Arrays.stream(r.starts)).toArray(IntVar[]::new);
      starts = model.intVar("starts", 0, Math.max(1, horizon) * begun.length);
      model.sum(begun, "=", starts).post();
    }

    private void share(String thing, int many) {
      List<org.chocosolver.solver.variables.Task> using = new ArrayList<>();
      for (Row row : rows) {
        for (int k = 0; k < row.ofTask.length; k++) {
          Task task = row.unit.tasks().get(k);
          if (task.uses().contains(thing)) {
            using.add(model.taskVar(row.ofTask[k], task.minutes()));
          }
        }
      }
      for (Campaign.Away away : campaign.away()) {
        if (away.thing().equals(thing)) {
          int from = Math.max(0, away.from());
          using.add(model.taskVar(model.intVar(from), away.to() - from));
        }
      }
      together(using, many);
    }

    /** No more attended parts at once than there are people. */
    private void attend(int people) {
      List<org.chocosolver.solver.variables.Task> parts = new ArrayList<>();
      for (Row row : rows) {
        for (int k = 0; k < row.ofTask.length; k++) {
          int minutes = row.unit.tasks().get(k).attended();
          if (minutes > 0) {
            parts.add(model.taskVar(row.ofTask[k], minutes));
          }
        }
      }
      together(parts, people);
    }

    private void together(List<org.chocosolver.solver.variables.Task> using, int many) {
      if (using.size() > many) {
        IntVar[] heights = new IntVar[using.size()];
        Arrays.fill(heights, model.intVar(1));
        model
            .cumulative(
                using.toArray(org.chocosolver.solver.variables.Task[]::new),
                heights,
                model.intVar(many))
            .post();
      }
    }

    IntVar objective(int by) {
      return by == 0 ? whole : by == 1 ? charges : starts;
    }

    /** No worse than a plan in what comes first, and better in what is asked. */
    void betters(Plan plan, int by) {
      model.arithm(whole, by == 0 ? "<" : "<=", plan.minutes()).post();
      if (by > 0) {
        model.arithm(charges, by == 1 ? "<" : "<=", plan.charges()).post();
      }
      if (by > 1) {
        model.arithm(starts, "<", (int) plan.starts()).post();
      }
    }

    AbstractStrategy<?>[] search() {
      IntVar[] which = rows.stream().flatMap(r -> Arrays.stream(r.which)).toArray(IntVar[]::new);
      IntVar[] begins = rows.stream().flatMap(r -> Arrays.stream(r.begins)).toArray(IntVar[]::new);
      IntVar[] prepared =
          rows.stream().flatMap(r -> Arrays.stream(r.prepared)).toArray(IntVar[]::new);
      IntVar[] of = rows.stream().flatMap(r -> Arrays.stream(r.ofTask)).toArray(IntVar[]::new);
      return new AbstractStrategy<?>[] {
        Search.domOverWDegSearch(which),
        Search.inputOrderLBSearch(begins),
        Search.inputOrderLBSearch(prepared),
        Search.minDomLBSearch(of)
      };
    }

    Plan solution() {
      List<Plan.Step> steps = new ArrayList<>();
      rows.forEach(r -> r.into(steps));
      return new Plan(steps, false);
    }
  }
}

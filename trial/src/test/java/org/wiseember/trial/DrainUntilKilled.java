package org.wiseember.trial;

import java.nio.file.Path;
import java.time.Clock;
import org.wiseember.bench.run.Pace;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/** A program of its own that drains at 600× and says how far it is, until somebody kills it. */
public final class DrainUntilKilled {
  private DrainUntilKilled() {}

  /** The workbook to make is the only argument. */
  public static void main(String[] args) {
    Workbook workbook = Workbook.open(Path.of(args[0]), Clock.systemUTC());
    TestedUnit unit = workbook.units().add("Quernfold Q1100");
    workbook.units().label(unit.id(), "9000 Wh LFP\nAC 230 V, 500 W", java.util.List.of());
    TestedUnit labelled = workbook.units().all().get(0);
    TestPlan plan = Plans.acDrain(labelled.label()).orElseThrow();
    RecordedRun.of(
            workbook,
            labelled,
            plan,
            BenchSetup.simulated(labelled.name(), labelled.label(), plan, 1, java.util.Set.of()),
            Pace.SIX_HUNDRED,
            Clock.systemUTC().instant(),
            view -> {
              System.out.println(view.frames());
              System.out.flush();
            })
        .runner()
        .runToEnd();
  }
}

package org.wiseember.trial;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.wiseember.bench.instrument.DescriptionJson;
import org.wiseember.bench.run.Pace;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/** A program of its own that drains a unit over an instrument until somebody ends it. */
public final class LoadUntilEnded {
  private LoadUntilEnded() {}

  /** The workbook and an instrument's description. */
  public static void main(String[] args) throws Exception {
    Workbook workbook = Workbook.open(Path.of(args[0]), Clock.systemUTC());
    TestedUnit unit = workbook.units().all().get(0);
    TestPlan plan = Plans.acDrain(250);
    RecordedRun run =
        RecordedRun.of(
            workbook,
            unit,
            plan,
            BenchSetup.instruments(
                List.of(DescriptionJson.read(Files.readString(Path.of(args[1])))), plan, 0, 10),
            Pace.FULL,
            Clock.systemUTC().instant(),
            view -> {});
    run.runner().start();
    run.runner().awaitEnd(60, TimeUnit.SECONDS);
  }
}

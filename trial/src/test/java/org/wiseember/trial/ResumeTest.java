package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.Unit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;

/** A run that was cut short goes on, and ends as if nothing had happened. */
public class ResumeTest {
  private static final int CUT_SHORT = 2;

  private static Path demo() throws Exception {
    Path file = Files.createTempDirectory("ember-resume").resolve("demo.ember");
    DemoWorkbook.create(file);
    return file;
  }

  @Test
  public void aSimulatedDrainGoesOnToTheVeryEndItWouldHaveHad() throws Exception {
    Path file = demo();
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      Unit unit = workbook.units().all().get(CUT_SHORT);
      Run run = workbook.runs().of(unit.id()).get(0);
      assertEquals(run.state(), Run.State.INTERRUPTED);
      int before = workbook.runs().trace(run).size();
      RecordedRun.resume(
              workbook, unit, run, List.of(), Pace.FULL, Clock.systemUTC().instant(), v -> {})
          .runner()
          .runToEnd();
      Run ended = workbook.runs().byId(run.id()).orElseThrow();
      assertEquals(ended.state(), Run.State.DONE, ended.ending());
      Trace trace = workbook.runs().trace(ended);
      assertTrue(trace.size() > before);
      for (int i = 1; i < trace.size(); i++) {
        assertEquals(trace.seconds(i) - trace.seconds(i - 1), 1, 1e-6);
      }
      assertTrue(
          workbook.runs().events(run.id()).stream().anyMatch(e -> e.code().equals("resumed")));
      assertEquals(
          workbook.runs().events(run.id()).stream().filter(e -> e.code().equals("steady")).count(),
          1,
          "said once, before it was cut short");

      // The same drain in one piece, from the same seed.
      TestPlan plan = TestPlan.acDrain(unit.label()).orElseThrow();
      RecordedRun whole =
          RecordedRun.of(
              workbook,
              unit,
              plan,
              BenchSetup.simulated(
                  unit.name(), unit.label(), plan, run.settings().seed(), java.util.Set.of()),
              Pace.FULL,
              Clock.systemUTC().instant(),
              v -> {});
      whole.runner().runToEnd();
      Trace same = workbook.runs().trace(workbook.runs().byId(whole.runId()).orElseThrow());
      assertEquals(same.size(), trace.size());
      for (int i = 0; i < same.size(); i += 97) {
        assertEquals(trace.value(Channel.AC_POWER, i), same.value(Channel.AC_POWER, i));
      }
    }
  }

  @Test
  public void aBenchThatCannotBeSetUpAgainIsSaidAndTheRunStaysAsItWas() throws Exception {
    Path file = demo();
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      Unit unit = workbook.units().all().get(CUT_SHORT);
      workbook.units().label(unit.id(), "3000 Wh NMC\n2000 W", List.of());
      Unit changed = workbook.units().byId(unit.id()).orElseThrow();
      Run run = workbook.runs().of(unit.id()).get(0);
      WorkbookException told =
          expectThrows(
              WorkbookException.class,
              () ->
                  RecordedRun.resume(
                      workbook,
                      changed,
                      run,
                      List.of(),
                      Pace.FULL,
                      Clock.systemUTC().instant(),
                      v -> {}));
      assertTrue(told.getMessage().contains("the label has changed"), told.getMessage());
      assertEquals(workbook.runs().byId(run.id()).orElseThrow().state(), Run.State.INTERRUPTED);
      workbook.runs().close(run, "Closed by hand.");
      assertEquals(workbook.runs().byId(run.id()).orElseThrow().state(), Run.State.STOPPED);
    }
  }
}

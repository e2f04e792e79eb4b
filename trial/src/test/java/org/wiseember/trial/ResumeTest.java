package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Trace;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunWriter;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;

/** A run that was cut short goes on, and ends as if nothing had happened. */
public class ResumeTest {
  private static final int CUT_SHORT = 2;

  private static Path demo() throws Exception {
    return DemoFile.in(Files.createTempDirectory("ember-resume"));
  }

  @Test
  public void aSimulatedDrainGoesOnToTheVeryEndItWouldHaveHad() throws Exception {
    Path file = demo();
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      TestedUnit unit = workbook.units().all().get(CUT_SHORT);
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
      TestPlan plan = Plans.acDrain(unit.label()).orElseThrow();
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
      TestedUnit unit = workbook.units().all().get(CUT_SHORT);
      workbook.units().label(unit.id(), "3000 Wh NMC\n2000 W", List.of());
      TestedUnit changed = workbook.units().byId(unit.id()).orElseThrow();
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

  /** A soak cut short after an hour goes on with its fridge and ends when its day is over. */
  @Test
  public void aSoakGoesOnAsASoak() throws Exception {
    Path file = Files.createTempDirectory("ember-soak").resolve("soak.ember");
    long unitId;
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      unitId = workbook.units().add("Kiosk").id();
      workbook.units().label(unitId, "2000 Wh 800 W\n230 V 50 Hz", List.of());
      TestedUnit unit = workbook.units().byId(unitId).orElseThrow();
      TestPlan plan = Plans.of(Watching.KIND, unit.label(), OnHand.of(List.of())).orElseThrow();
      BenchSetup setup =
          BenchSetup.simulated(unit.name(), unit.label(), plan, 4, java.util.Set.of());
      RunWriter writer =
          workbook
              .runs()
              .begin(
                  new NewRun(
                      RunOf.unit(unitId),
                      plan.type().key(),
                      plan.title(),
                      Clock.systemUTC().instant(),
                      setup.settings()),
                  setup.bench().channels());
      Procedure soak = plan.procedure();
      for (int i = 0; i < 3600; i++) {
        setup.bench().arrange(soak.setPoints());
        Frame frame = setup.bench().advance(1);
        soak.take(frame);
        writer.append(frame.seconds(), frame.values());
      }
      writer.flush();
    }
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      TestedUnit unit = workbook.units().byId(unitId).orElseThrow();
      Run run = workbook.runs().of(unitId).get(0);
      assertEquals(run.state(), Run.State.INTERRUPTED);
      RecordedRun.resume(
              workbook, unit, run, List.of(), Pace.FULL, Clock.systemUTC().instant(), v -> {})
          .runner()
          .runToEnd();
      Run ended = workbook.runs().byId(run.id()).orElseThrow();
      Trace trace = workbook.runs().trace(ended);
      assertEquals(ended.ending(), "Watched for 24 h 0 min.");
      assertEquals(trace.seconds(trace.size() - 1), 86_400, 1);
      double compressor = 0;
      for (int i = 3700; i < trace.size(); i++) {
        compressor = Math.max(compressor, trace.value(Channel.AC_POWER, i));
      }
      assertTrue(compressor > 50, "the fridge went on after the break, " + compressor + " W");
    }
  }
}

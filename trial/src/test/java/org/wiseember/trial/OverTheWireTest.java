package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import org.testng.annotations.Test;
import org.wiseember.bench.connect.HandClock;
import org.wiseember.bench.emulator.EmulatedBench;
import org.wiseember.bench.emulator.EmulatorServers;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.StartingPoints;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/**
 * Whole drains over sockets: stand-ins serve a unit, our drivers read it by the descriptions that
 * ship, the runner records it, and the finding is held against what the unit truly gave.
 */
public class OverTheWireTest {
  /** Slow enough that a busy machine still reads: one reading is due each 100 ms. */
  private static final double SPEED = 10;

  private static final double WATTS = 250;

  private static SimulatedUnit unit() {
    return new SimulatedUnit(
        UnitDesign.typical(Chemistry.LFP, 5, 400, 230, 1), Heater.of(WATTS, 230), 1, 22);
  }

  private static InstrumentDescription meter(int port) {
    return StartingPoints.all().stream()
        .filter(d -> d.name().equals("AC meter over SCPI"))
        .findFirst()
        .orElseThrow()
        .at("127.0.0.1:" + port);
  }

  private record Outcome(Run run, Trace trace, List<Event> events, Judgement judgement) {}

  /** Drains a unit whose meter is at a port; what is done meanwhile may pull the plug. */
  private static Outcome drain(int port, java.util.function.DoubleConsumer meanwhile)
      throws IOException {
    Path file = Files.createTempDirectory("ember-wire").resolve("wire.ember");
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      TestedUnit added = workbook.units().add("Brackley Stall 5");
      workbook.units().label(added.id(), "5 Wh LFP\n230 V, 400 W", List.of());
      TestedUnit labelled = workbook.units().byId(added.id()).orElseThrow();
      TestPlan plan = Plans.acDrain(WATTS);
      BenchSetup setup = BenchSetup.instruments(List.of(meter(port)), plan, 0, SPEED);
      RecordedRun run =
          RecordedRun.of(
              workbook,
              labelled,
              plan,
              setup,
              Pace.FULL,
              Instant.EPOCH,
              view -> meanwhile.accept(view.deliveredWattHours()));
      run.runner().runToEnd();
      Run kept = workbook.runs().byId(run.runId()).orElseThrow();
      assertEquals(kept.settings().source(), RunSettings.Source.INSTRUMENTS);
      return new Outcome(
          kept,
          workbook.runs().trace(kept),
          workbook.runs().events(kept.id()),
          Judgement.of(workbook, labelled, true));
    }
  }

  /** One drain over the wire. */
  private record Drained(Outcome outcome, double truth) {
    /** What flowed while nothing was read, Wh: a busy machine misses readings. */
    double unseen() {
      return WATTS * 1.03 * secondsUnseen(outcome.trace()) / 3600;
    }

    static Drained once() throws IOException {
      SimulatedUnit unit = unit();
      EmulatedBench bench = new EmulatedBench(unit, SPEED, System::nanoTime, 3);
      try (EmulatorServers servers = new EmulatorServers(bench, 0, -1)) {
        Outcome outcome = drain(servers.ports().get("AC meter"), wattHours -> {});
        return new Drained(outcome, unit.account().delivered());
      }
    }
  }

  /** A machine that stands still for a moment sees little of a drain; such a one is made again. */
  @Test(timeOut = 120_000)
  public void aDrainOverScpiGivesWhatTheUnitGave() throws IOException {
    Drained drained = Drained.once();
    for (int again = 0; again < 3 && drained.unseen() > drained.truth() / 2; again++) {
      drained = Drained.once();
    }
    Outcome outcome = drained.outcome();
    double truth = drained.truth();
    assertEquals(outcome.run().state(), Run.State.DONE, outcome.run().ending());
    Figure energy = outcome.judgement().drains().get(0).finding().deliveredEnergy().orElseThrow();
    // The bench clock of the program and that of the stand-in run side by side, not in step.
    double spread = 2 * energy.u95() + 0.01 * truth;
    assertTrue(energy.value() < truth + spread, energy.words() + " of " + truth);
    assertTrue(energy.value() > truth - spread - drained.unseen(), energy.words() + " of " + truth);
    assertTrue(drained.unseen() < truth / 2, "not seen: " + drained.unseen() + " Wh");
    assertTrue(truth > 3, "a real drain: " + truth);
  }

  /** Time in the trace with no reading, beyond the tick between two. */
  private static double secondsUnseen(Trace trace) {
    Series watts = trace.series(Channel.AC_POWER);
    double unseen = watts.seconds(0);
    for (int i = 1; i < watts.size(); i++) {
      unseen += Math.max(0, watts.seconds(i) - watts.seconds(i - 1) - 1);
    }
    return unseen;
  }

  /** The plug is pulled half way and put back: a gap, said, and the drain goes on. */
  @Test(timeOut = 120_000)
  public void aPulledPlugIsAGapAndTheDrainGoesOn() throws IOException {
    int port = FreePort.find();
    EmulatedBench bench = new EmulatedBench(unit(), SPEED, System::nanoTime, 3);
    List<EmulatorServers> open = new ArrayList<>(List.of(new EmulatorServers(bench, port, -1)));
    AtomicReference<Long> pulled = new AtomicReference<>();
    try {
      Outcome outcome =
          drain(
              port,
              wattHours -> {
                try {
                  if (wattHours > 1.5 && pulled.get() == null) {
                    pulled.set(System.nanoTime());
                    open.remove(0).close();
                  } else if (open.isEmpty() && System.nanoTime() - pulled.get() > 400_000_000L) {
                    open.add(new EmulatorServers(bench, port, -1));
                  }
                } catch (IOException e) {
                  throw new IllegalStateException(e);
                }
              });
      List<String> codes = outcome.events().stream().map(Event::code).toList();
      assertTrue(codes.contains("lost") && codes.contains("back"), codes.toString());
      double longest = 0;
      Trace trace = outcome.trace();
      for (int i = 1; i < trace.size(); i++) {
        longest = Math.max(longest, trace.seconds(i) - trace.seconds(i - 1));
        assertTrue(
            !(trace.value(Channel.AC_POWER, i) > 300), "no sample is invented above the load");
      }
      assertTrue(longest > 3, "the gap is there: " + longest + " s");
    } finally {
      for (EmulatorServers servers : open) {
        servers.close();
      }
    }
  }

  /** A typed meter beside the asked one has no say in how good the asked one is. */
  @Test
  public void theClassIsThatOfTheMeterThatWasRead() {
    List<InstrumentDescription> all = List.of(StartingPoints.all().get(0), meter(1));
    TestPlan plan = Plans.acDrain(WATTS);
    BenchSetup asked = BenchSetup.instruments(all, plan, 0, 1);
    assertEquals(
        asked.settings().meterClass(Channel.AC_POWER).orElseThrow().percentOfReading(), 0.5);
    BenchSetup typed = BenchSetup.byHand(all, plan, HandClock.real(0));
    assertEquals(
        typed.settings().meterClass(Channel.AC_ENERGY).orElseThrow().percentOfReading(), 1.0);
  }
}

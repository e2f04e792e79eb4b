package org.wiseember.desktop.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.StartingPoints;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.procedure.StaysOn;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.typed.Expected;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.typed.TypedReader;
import org.wiseember.core.typed.TypedReading;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.kind.stays.StaysRun;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;

/** Whole tests from set-up to verdict on a desk without a window. */
public class BenchworkModelTest extends OnSession {
  private Benchwork bench() {
    return session.bench();
  }

  private void setUp(String key, RunSettings.Source source) {
    bench().test().set(AllTests.of(key));
    bench().source().set(source);
    bench()
        .plan()
        .ifPresent(
            p ->
                p.procedure().steps().stream()
                    .filter(s -> s.when() == DoNow.When.BEFORE)
                    .forEach(s -> bench().tick(s.text(), true)));
  }

  private List<String> codes(long run) {
    return session.open().workbook().orElseThrow().runs().events(run).stream()
        .map(Event::code)
        .toList();
  }

  @Test
  public void aSimulatedDrainRunsToItsVerdict() {
    choose(1);
    int before = session.shelf().chosen().get().drains().size();
    setUp(Drain.AC, RunSettings.Source.SIMULATED);
    bench().setPace(Pace.FULL);
    bench().start();
    until(() -> bench().live().get() != null && !bench().going());
    until(() -> session.shelf().chosen().get().drains().size() == before + 1);
    Drained drain = session.shelf().chosen().get().drains().get(before);
    assertEquals(drain.run().state(), Run.State.DONE);
    assertTrue(drain.complete());
    assertTrue(codes(drain.run().id()).contains("cut_off"));
    assertEquals(
        session.shelf().places().get(1).summary().orElseThrow().runs().size(),
        session.shelf().chosen().get().runs().size());
  }

  /** What was not ticked is kept with the run. */
  @Test
  public void startedWithoutTickingIsSaid() {
    choose(1);
    bench().test().set(AllTests.of(Drain.AC));
    bench().source().set(RunSettings.Source.SIMULATED);
    bench().setPace(Pace.SIX_HUNDRED);
    bench().start();
    until(bench()::going);
    bench().note("A sentence of mine");
    bench().note("E 07");
    bench().mark("kettle on");
    bench().stopRun();
    until(() -> !bench().going());
    settle();
    long run =
        session.shelf().chosen().get().all().stream()
            .mapToLong(r -> r.run().id())
            .max()
            .orElseThrow();
    List<String> codes = codes(run);
    for (String code : List.of("not_ticked", "note", "error_code", "mark")) {
      assertTrue(codes.contains(code), code + " of " + codes);
    }
    assertEquals(
        session.open().workbook().orElseThrow().runs().byId(run).orElseThrow().state(),
        Run.State.STOPPED);
  }

  /** A test that can hurt waits until its cautions were in sight. */
  @Test
  public void aHazardWaitsForItsCautions() {
    TestType overload = AllTests.of(OverloadHolds.KIND);
    setUp(OverloadHolds.KIND, RunSettings.Source.SIMULATED);
    assertFalse(bench().mayStart(overload));
    bench().start();
    settle();
    assertFalse(bench().going());
    bench().cautionsSeen(overload);
    assertTrue(bench().mayStart(overload));
    assertTrue(bench().mayStart(AllTests.of(Drain.AC)), "a drain hurts nobody");
  }

  /** Another workbook and another start wait for the run that goes. */
  @Test
  public void oneRunAtATime() {
    choose(1);
    setUp(Drain.AC, RunSettings.Source.SIMULATED);
    bench().setPace(Pace.SIXTY);
    bench().start();
    until(bench()::going);
    LiveRun first = bench().live().get();
    bench().start();
    session.open(folder.resolve("other.ember"));
    untilSaid("A test is running");
    session.units().removeChosen();
    untilSaid("A test of this unit is running");
    assertEquals(bench().live().get(), first);
    assertEquals(session.shelf().places().size(), 5);
    bench().stopRun();
    until(() -> !bench().going());
  }

  /** A run is opened off the interface thread: a second press meanwhile opens none. */
  @Test
  public void startPressedTwiceIsOneRun() {
    choose(1);
    int before = session.shelf().chosen().get().runs().size();
    setUp(Drain.AC, RunSettings.Source.SIMULATED);
    bench().setPace(Pace.FULL);
    bench().start();
    bench().start();
    until(() -> bench().live().get() != null && !bench().going());
    until(() -> session.shelf().chosen().get().runs().size() > before);
    long unit = session.shelf().chosen().get().unit().id();
    assertEquals(session.open().workbook().orElseThrow().runs().of(unit).size(), before + 1);
  }

  /** Counts by eye, typed: the outcome is theirs and no meter's. */
  @Test
  public void whatStaysOnByHand() {
    setUp(StaysOn.KIND, RunSettings.Source.BY_HAND);
    bench().cautionsSeen(AllTests.of(StaysOn.KIND));
    bench().start();
    until(bench()::going);
    keep(TypedKind.PULLS, "5");
    keep(TypedKind.LAMP_STEADY, "4");
    keep(TypedKind.COMPUTER_STAYED, "5");
    bench().outputDroppedOut();
    until(() -> !bench().going());
    until(
        () ->
            session
                .shelf()
                .chosen()
                .get()
                .newest(StaysRun.class)
                .flatMap(StaysRun::pulls)
                .isPresent());
    StaysRun run = session.shelf().chosen().get().newest(StaysRun.class).orElseThrow();
    assertEquals(run.pulls().orElseThrow().counts().size(), 2);
    assertTrue(
        session.open().workbook().orElseThrow().typedReadings().of(run.run().id()).stream()
            .allMatch(r -> r.meter().equals("Eyes")));
  }

  private void keep(TypedKind kind, String text) {
    TypedReading reading = TypedReader.read(kind, text, Expected.nothing()).reading().orElseThrow();
    bench().keepTyped(List.of(reading));
    settle();
  }

  @Test
  public void loadsOnHandAreKeptAndCorrected() {
    String before = bench().loadsOnHand().get();
    bench().keepLoads("a lamp");
    untilSaid("“a lamp” is no number");
    assertEquals(bench().loadsOnHand().get(), before);
    bench().keepLoads("40, 100, 500");
    settle();
    assertEquals(session.open().workbook().orElseThrow().loadsOnHand(), "40, 100, 500");
    assertEquals(bench().onHand().get().loads(), List.of(40.0, 100.0, 500.0));
  }

  @Test
  public void instrumentsComeChangeAndGoWithUndo() {
    int before = bench().instruments().size();
    InstrumentDescription meter = StartingPoints.all().get(0);
    boolean[] added = {false};
    bench().addInstrument(meter, i -> added[0] = true);
    until(() -> added[0] && bench().instruments().size() == before + 1);
    OnBench on = bench().instruments().get(before);
    bench().changeInstrument(on.id(), meter.named("Stall meter"));
    until(() -> name(before).equals(Optional.of("Stall meter")));
    session.open().undo();
    until(() -> name(before).equals(Optional.of(meter.name())));
    bench().removeInstrument(on.id());
    until(() -> bench().instruments().size() == before);
    session.open().undo();
    until(() -> bench().instruments().size() == before + 1);
    session.open().undo();
    until(() -> bench().instruments().size() == before);
  }

  private Optional<String> name(int at) {
    return bench().instruments().size() > at
        ? Optional.of(bench().instruments().get(at).description().name())
        : Optional.empty();
  }

  /** A run that was cut short is closed for good, and its readings stay. */
  @Test
  public void aRunCutShortIsClosed() {
    choose(2);
    Run cut = session.shelf().chosen().get().runs().get(0).run();
    assertEquals(cut.state(), Run.State.INTERRUPTED);
    bench().closeInterrupted(cut);
    until(
        () ->
            session.open().workbook().orElseThrow().runs().byId(cut.id()).orElseThrow().state()
                == Run.State.STOPPED);
    assertTrue(session.open().workbook().orElseThrow().runs().trace(cut).size() > 1000);
  }

  /**
   * A press that is written is about what was asked for at that moment, not about what came before.
   */
  @Test
  public void aWrittenPressIsAboutItsStep() {
    setUp(LoadLadder.KIND, RunSettings.Source.BY_HAND);
    bench().start();
    until(() -> bench().going() && bench().live().get().view().get() != null);
    NotebookWork notebook = bench().notebook();
    for (int load = 0; load < 2; load++) {
      int lines = 2 * load;
      until(
          () ->
              bench().live().get().view().get().now().stream()
                  .anyMatch(n -> n.takes(OperatorEvent.READ)));
      notebook.press(OperatorEvent.READ);
      until(() -> bench().live().get().notebook().get().size() == lines + 1);
      notebook.write("load is on", notebook.seconds());
      until(() -> bench().live().get().notebook().get().size() == lines + 2);
    }
    assertEquals(
        bench().live().get().pressed().stream()
            .filter(p -> p.is(OperatorEvent.LOAD_ON))
            .map(TimedOperatorEvent::subject)
            .toList(),
        bench().live().get().plan().settings().loads().subList(0, 2));
    bench().stopRun();
    until(() -> !bench().going());
  }
}

package org.wiseember.trial.record;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.wiseember.bench.connect.HandClock;
import org.wiseember.bench.instrument.DescriptionJson;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.run.Recorder;
import org.wiseember.bench.run.RunView;
import org.wiseember.bench.run.Runner;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.notice.Watcher;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.UnknownTest;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.RunWriter;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;

/** A procedure on a bench whose readings go into the workbook as they come. */
public final class RecordedRun {
  private static final Logger LOG = LoggerFactory.getLogger(RecordedRun.class);

  private final Runner runner;
  private final long runId;
  private final Procedure procedure;
  private final BenchSetup setup;

  private RecordedRun(Runner runner, long runId, Procedure procedure, BenchSetup setup) {
    this.runner = runner;
    this.runId = runId;
    this.procedure = procedure;
    this.setup = setup;
  }

  /**
   * Sets a test up; nothing moves until the runner is started.
   *
   * @param watcher called from the run's thread; must not block
   * @throws WorkbookException when the workbook does not take the run
   */
  public static RecordedRun of(
      Workbook workbook,
      TestedUnit unit,
      TestPlan plan,
      BenchSetup setup,
      Pace pace,
      Instant startedAt,
      Consumer<RunView> watcher) {
    Procedure procedure = procedure(plan, setup);
    return prepare(workbook, unit, procedure, plan.title(), setup, pace, startedAt, watcher);
  }

  private static Procedure procedure(TestPlan plan, BenchSetup setup) {
    return setup.settings().source() == RunSettings.Source.BY_HAND
        ? plan.settings().byHand()
        : plan.procedure();
  }

  /** Sets up any procedure. */
  public static RecordedRun prepare(
      Workbook workbook,
      TestedUnit unit,
      Procedure procedure,
      String title,
      BenchSetup setup,
      Pace pace,
      Instant startedAt,
      Consumer<RunView> watcher) {
    RunWriter writer =
        workbook
            .runs()
            .begin(
                new NewRun(
                    RunOf.unit(unit.id()), procedure.kind(), title, startedAt, setup.settings()),
                setup.bench().channels());
    return over(workbook, writer, unit, procedure, setup, pace, watcher);
  }

  private static RecordedRun over(
      Workbook workbook,
      RunWriter writer,
      TestedUnit unit,
      Procedure procedure,
      BenchSetup setup,
      Pace pace,
      Consumer<RunView> watcher) {
    RunSettings settings = setup.settings();
    List<Watcher> watchers =
        AllTests.byKey(procedure.kind())
            .map(test -> test.watchers(settings, unit.label()))
            .orElse(List.of());
    Runner runner =
        new Runner(
            setup.bench(),
            procedure,
            watchers,
            new IntoWorkbook(workbook, writer, setup),
            pace,
            watcher);
    return new RecordedRun(runner, writer.runId(), procedure, setup);
  }

  /**
   * Takes up a run that was cut short, where it stood.
   *
   * @param instruments on the bench now, for a run with real ones
   * @throws WorkbookException in one sentence when it cannot go on
   */
  public static RecordedRun resume(
      Workbook workbook,
      TestedUnit unit,
      Run run,
      List<InstrumentDescription> instruments,
      Pace pace,
      Instant now,
      Consumer<RunView> watcher) {
    if (run.settings().source() == RunSettings.Source.FILE) {
      throw new WorkbookException("A log that was read in has nothing to go on with.");
    }
    TestPlan plan = AllTests.plan(run);
    if (plan.type() instanceof UnknownTest unknown) {
      throw new WorkbookException(unknown.why());
    }
    double byTheClock = Duration.between(run.startedAt(), now).toMillis() / 1000.0;
    double last = lastMoment(workbook, run);
    boolean setBack = byTheClock <= last;
    // A wall clock may be set back; a run's own clock goes on behind what was read.
    double elapsed = setBack ? Math.ceil(last) : byTheClock;
    BenchSetup setup =
        switch (run.settings().source()) {
          case SIMULATED ->
              BenchSetup.simulated(
                  unit.name(),
                  unit.label(),
                  plan,
                  run.settings().seed(),
                  BenchSetup.faults(run.settings()));
          case INSTRUMENTS -> BenchSetup.instruments(instruments, plan, elapsed, 1);
          case BY_HAND, ENTERED, FILE ->
              BenchSetup.byHand(instruments, plan, HandClock.real(elapsed));
        };
    boolean sameChannels = setup.bench().channels().equals(run.channels());
    Procedure procedure = procedure(plan, setup);
    List<Notice> noticed =
        workbook.runs().events(run.id()).stream()
            .map(e -> new Notice(e.seconds(), e.code(), e.words()))
            .toList();
    Trace trace = workbook.runs().trace(run);
    RunWriter writer = sameChannels ? workbook.runs().resume(run) : null;
    if (writer == null) {
      close(setup);
      throw new WorkbookException(
          "The bench has other instruments than when "
              + run.title()
              + " began. Put them back, or close the run.");
    }
    if (setBack && run.settings().source() != RunSettings.Source.SIMULATED) {
      writer.note(
          new Event(
              last,
              "clock_back",
              "The computer's clock was set back while this run lay: it goes on behind its last"
                  + " reading, and how long lay between is not known."));
    }
    RecordedRun resumed = over(workbook, writer, unit, procedure, setup, pace, watcher);
    if (!resumed.runner.catchUp(
        frames(trace, run.channels()), workbook.notebook().pressed(run.id()), noticed)) {
      close(setup);
      writer.end(Run.State.INTERRUPTED, run.ending());
      throw new WorkbookException(
          "The simulated bench cannot be set up as it was: the label has changed since. Close the"
              + " run instead.");
    }
    return resumed;
  }

  /** The last moment anything is kept of in a run, s on its clock; 0 for none. */
  private static double lastMoment(Workbook workbook, Run run) {
    Trace trace = workbook.runs().trace(run);
    double last = trace.isEmpty() ? 0 : trace.seconds(trace.size() - 1);
    for (StoredReading typed : workbook.typedReadings().of(run.id())) {
      last = Math.max(last, typed.seconds());
    }
    for (NotebookLine line : workbook.notebook().of(run.id())) {
      last = Math.max(last, line.when().isKnown() ? line.latest() : line.seconds());
    }
    for (Event event : workbook.runs().events(run.id())) {
      last = Math.max(last, event.seconds());
    }
    return last;
  }

  private static List<Frame> frames(Trace trace, List<Channel> channels) {
    List<Frame> frames = new ArrayList<>(trace.size());
    for (int i = 0; i < trace.size(); i++) {
      double[] values = new double[channels.size()];
      for (int c = 0; c < values.length; c++) {
        values[c] = trace.value(channels.get(c), i);
      }
      frames.add(new Frame(trace.seconds(i), channels, values));
    }
    return frames;
  }

  public Runner runner() {
    return runner;
  }

  public long runId() {
    return runId;
  }

  public Procedure procedure() {
    return procedure;
  }

  /** Where the readings come from. */
  public RunSettings.Source source() {
    return setup.settings().source();
  }

  /** What stands on the bench. */
  public List<Instrument> instruments() {
    return setup.bench().instruments();
  }

  /** Whether a person switches the load. */
  public boolean loadByHand() {
    return !setup.bench().loadObeys();
  }

  private static void close(BenchSetup setup) {
    if (setup.bench() instanceof AutoCloseable closeable) {
      try {
        closeable.close();
      } catch (Exception ignored) {
        // A connection that does not close cleanly is gone all the same.
      }
    }
  }

  /** Hands frames to the workbook; what the disk does not take waits and is tried again. */
  private record IntoWorkbook(Workbook workbook, RunWriter writer, BenchSetup setup)
      implements Recorder {
    @Override
    public void append(Frame frame) {
      writer.append(frame.seconds(), frame.values());
    }

    @Override
    public void note(Notice notice) {
      writer.note(Event.of(notice));
    }

    @Override
    public void capture(double seconds, CaptureNote note, Capture capture) {
      writer.capture(new StoredCapture(seconds, note, capture));
    }

    @Override
    public void switchingOn(InstrumentDescription instrument) {
      ledger(() -> workbook.loadsOn().add(writer.runId(), DescriptionJson.write(instrument)));
    }

    @Override
    public void switchedOff(InstrumentDescription instrument) {
      ledger(() -> workbook.loadsOn().forget(DescriptionJson.write(instrument)));
    }

    /** A full disk keeps no load from being switched. */
    private static void ledger(Runnable entry) {
      try {
        entry.run();
      } catch (WorkbookException e) {
        LOG.warn("what is switched on is not on disk", e);
      }
    }

    @Override
    public String flush() {
      try {
        writer.flush();
        return null;
      } catch (WorkbookException e) {
        return e.getMessage()
            + " "
            + Figures.plain(writer.waiting())
            + " readings wait in memory and will be saved when it can be.";
      }
    }

    @Override
    public void end(Phase phase, String ending) {
      close(setup);
      Run.State state = phase == Phase.DONE ? Run.State.DONE : Run.State.STOPPED;
      try {
        writer.end(state, ending);
      } catch (WorkbookException stillFull) {
        // The run stays marked as running and is honestly marked interrupted at the next opening.
      }
    }
  }
}

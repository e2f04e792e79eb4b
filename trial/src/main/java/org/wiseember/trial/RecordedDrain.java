package org.wiseember.trial;

import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Consumer;
import org.wiseember.bench.instrument.Bench;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.bench.procedure.AcDrain;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.run.Recorder;
import org.wiseember.bench.run.RunView;
import org.wiseember.bench.run.Runner;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.RunWriter;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;

/** An AC drain on a bench whose readings go into the workbook as they come. */
public final class RecordedDrain {
  private final Runner runner;
  private final long runId;
  private final AcDrain procedure;

  private RecordedDrain(Runner runner, long runId, AcDrain procedure) {
    this.runner = runner;
    this.runId = runId;
    this.procedure = procedure;
  }

  /**
   * Sets a drain up; nothing moves until the runner is started.
   *
   * @param watcher called from the run's thread; must not block
   * @throws WorkbookException when the workbook does not take the run
   */
  public static RecordedDrain prepare(
      Workbook workbook,
      long unitId,
      DrainPlan plan,
      Bench bench,
      Pace pace,
      Instant startedAt,
      Consumer<RunView> watcher) {
    AcDrain procedure = new AcDrain(plan.volts());
    RunWriter writer =
        workbook
            .runs()
            .begin(
                unitId,
                procedure.kind(),
                plan.title(),
                startedAt,
                settings(plan, bench),
                bench.channels());
    Runner runner = new Runner(bench, procedure, new IntoWorkbook(writer), pace, watcher);
    return new RecordedDrain(runner, writer.runId(), procedure);
  }

  static RunSettings settings(DrainPlan plan, Bench bench) {
    Map<Channel, MeterClass> accuracy = new EnumMap<>(Channel.class);
    for (Instrument instrument : bench.instruments()) {
      accuracy.putAll(instrument.accuracy());
    }
    return new RunSettings(plan.watts(), accuracy, true);
  }

  public Runner runner() {
    return runner;
  }

  public long runId() {
    return runId;
  }

  public AcDrain procedure() {
    return procedure;
  }

  /** Hands frames to the workbook; what the disk does not take waits and is tried again. */
  private record IntoWorkbook(RunWriter writer) implements Recorder {
    @Override
    public void append(Frame frame) {
      writer.append(frame.seconds(), frame.values());
    }

    @Override
    public void note(Notice notice) {
      writer.note(new Event(notice.seconds(), notice.code(), notice.text()));
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
      Run.State state = phase == Phase.DONE ? Run.State.DONE : Run.State.STOPPED;
      try {
        writer.end(state, ending);
      } catch (WorkbookException stillFull) {
        // The run stays marked as running and is honestly marked interrupted at the next opening.
      }
    }
  }
}

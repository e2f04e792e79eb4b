package org.wiseember.desktop.model;

import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Now;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.notes.LaterEntry;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.typed.Expected;
import org.wiseember.core.typed.NotebookReader;
import org.wiseember.trial.kind.Entered;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.workbook.Notebook;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.Workbook;

/** The notebook of a run that is over: what was seen and not written down then is added later. */
public final class LaterLines {
  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final ReaderLook look;

  LaterLines(OpenWorkbook open, UnitShelf shelf, ReaderLook look) {
    this.open = open;
    this.shelf = shelf;
    this.look = look;
  }

  /** Whether lines may be added to a run: to one a person read, and that is the reader's own. */
  public boolean takes(TestRun run) {
    return run.run().settings().byHand()
        && run.run().state() != Run.State.RUNNING
        && shelf.chosen().get() != null
        && shelf.chosen().get().unit().origin().isEmpty();
  }

  /** Hands the lines of a run to whoever shows them. */
  public void of(TestRun run, Consumer<List<Notebook.Written>> then) {
    open.background(() -> open.workbook().orElseThrow().notebook().written(run.run().id()), then);
  }

  /**
   * How a line would be understood.
   *
   * @param above place of the line it is written below among {@code lines}; −1 for above all
   */
  public LaterEntry read(TestRun run, List<Notebook.Written> lines, int above, String text) {
    NotebookReader reader =
        new NotebookReader(
            run.type().kept(run.run().settings()).typed(),
            Expected.nothing().by(look.units().get()),
            LocalDateTime.ofInstant(run.run().startedAt(), ZoneId.systemDefault()),
            0);
    return LaterEntry.of(text, when(lines, above), when(lines, above + 1), zero(run.run()), reader);
  }

  private static Moment when(List<Notebook.Written> lines, int at) {
    return at >= 0 && at < lines.size() ? lines.get(at).line().when() : null;
  }

  /** Where nobody noted when an entered run was made, no time of the day is one of it. */
  private OptionalDouble zero(Run run) {
    boolean known =
        run.settings().source() != RunSettings.Source.ENTERED
            || Entered.hasTimeOfDay(run.settings().particulars());
    LocalTime began = LocalTime.ofInstant(run.startedAt(), open.clock().getZone());
    return known ? OptionalDouble.of(began.toNanoOfDay() / 1e9) : OptionalDouble.empty();
  }

  /** Keeps a line; undo strikes it. */
  public void keep(TestRun run, List<Notebook.Written> lines, int above, String text) {
    LaterEntry entry = read(run, lines, above, text);
    if (entry.said().isEmpty() || open.refuseWhenReadOnly()) {
      return;
    }
    double subject =
        entry.said().press().isPresent() ? subject(run, lines, entry.when().at()) : Double.NaN;
    NotebookLine line =
        new NotebookLine(
            0,
            entry.when(),
            entry.said().press(),
            subject,
            ReaderUnits.quoted(text.strip()),
            entry.said().who());
    List<StoredReading> readings =
        StoredReading.in(entry.said(), line.seconds(), StoredReading.METER);
    open.background(
        () -> open.workbook().orElseThrow().notebook().keep(run.run().id(), line, readings),
        id -> {
          open.edits().did("Notebook line added", () -> struck(run, id, true));
          shelf.refresh(run.run().unitId());
        });
  }

  /** What the step was about that the test was in. */
  private static double subject(TestRun run, List<Notebook.Written> lines, double at) {
    ByHand script = run.type().kept(run.run().settings()).byHand().writtenAfterwards();
    List<TimedOperatorEvent> before =
        lines.stream()
            .flatMap(w -> w.line().pressed().stream())
            .filter(p -> p.seconds() <= at)
            .toList();
    script.replay(before);
    return script.now().map(Now::subject).orElse(Double.NaN);
  }

  /** Takes a line back with the readings in it; undo brings it back. */
  public void strike(TestRun run, NotebookLine line) {
    if (!open.refuseWhenReadOnly()) {
      open.edits().did("Notebook line struck", () -> struck(run, line.id(), false));
      struck(run, line.id(), true);
      open.say("Struck: " + line.words() + ". Ctrl+Z brings it back.");
    }
  }

  private void struck(TestRun run, long id, boolean away) {
    open.background(
        () -> {
          Workbook workbook = open.workbook().orElseThrow();
          workbook.notebook().struck(id, away);
          return run.run().unitId();
        },
        shelf::refresh);
  }
}

package org.wiseember.desktop.model;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Now;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.typed.NotebookEntry;
import org.wiseember.core.typed.NotebookReader;
import org.wiseember.workbook.Notebook;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.Workbook;

/**
 * The notebook of a run that is made by hand: what is pressed and what is written, said back, kept,
 * struck and corrected. The test follows what stands in it.
 */
public final class NotebookWork {
  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final ReaderLook look;
  private final Benchwork bench;
  private final Clock clock;
  private final Edits edits;

  NotebookWork(OpenWorkbook open, UnitShelf shelf, ReaderLook look, Benchwork bench) {
    this.open = open;
    this.shelf = shelf;
    this.look = look;
    this.bench = bench;
    this.clock = open.clock();
    this.edits = open.edits();
  }

  private Optional<LiveRun> run() {
    return Optional.ofNullable(bench.live().get()).filter(r -> r.run() != null);
  }

  private static Optional<Now> now(LiveRun run) {
    return Optional.ofNullable(run.view().get()).flatMap(v -> v.now());
  }

  /** What the clock of the run shows, s; 0 without one. */
  public double seconds() {
    return run().map(r -> r.run().runner().clock()).orElse(0.0);
  }

  /** How a line would be understood if it was kept now. */
  public NotebookEntry read(String text) {
    LiveRun run = run().orElseThrow();
    LocalDateTime started = LocalDateTime.ofInstant(run.startedAt(), clock.getZone());
    return new NotebookReader(
            run.plan().settings().typed(),
            run.expected().by(look.units().get()),
            started,
            seconds())
        .read(text);
  }

  /** Says by key what just happened. */
  public void press(OperatorEvent press) {
    run()
        .filter(LiveRun::going)
        .filter(r -> now(r).filter(n -> n.takes(press)).isPresent())
        .ifPresent(
            run -> {
              if (open.refuseWhenReadOnly()) {
                return;
              }
              double subject = now(run).map(Now::subject).orElse(Double.NaN);
              TimedOperatorEvent pressed = TimedOperatorEvent.key(press, subject, seconds());
              run.press(pressed);
              keep(
                  run,
                  NotebookLine.of(pressed, words(press, now(run)), ""),
                  List.of(),
                  OptionalLong.empty());
            });
  }

  /** What was done by it: where it only leads on, what was asked for. */
  private static String words(OperatorEvent press, Optional<Now> now) {
    return switch (press) {
      case DONE -> now.map(Now::what).orElse(press.words());
      case READ -> now.map(n -> n.what() + ": read").orElse(press.words());
      default -> press.words();
    };
  }

  /**
   * Keeps a line.
   *
   * @param begun what the run's clock showed when it was begun, s: nearer to what it tells of than
   *     when it was finished
   */
  public void write(String text, double begun) {
    write(text, begun, OptionalLong.empty(), "");
  }

  /** Keeps a line in place of another, at its moment unless it names one. */
  public void correct(NotebookLine old, String text) {
    write(text, old.seconds(), OptionalLong.of(old.id()), old.who());
  }

  private void write(String text, double begun, OptionalLong instead, String whoBefore) {
    LiveRun run = run().orElse(null);
    if (run == null || open.refuseWhenReadOnly()) {
      return;
    }
    NotebookEntry entry = read(text);
    if (entry.isEmpty()) {
      return;
    }
    double reaction = entry.press().isPresent() ? TimedOperatorEvent.REACTION : 0;
    Moment when = entry.when().orElseGet(() -> Moment.within(begun, reaction));
    double subject = entry.press().flatMap(p -> subject(run, when.at())).orElse(Double.NaN);
    NotebookLine line =
        new NotebookLine(
            0,
            when,
            entry.press(),
            subject,
            ReaderUnits.quoted(text.strip()),
            entry.who().isEmpty() ? whoBefore : entry.who());
    keep(run, line, StoredReading.in(entry, line.seconds(), bench.meterOf(run)), instead);
  }

  /** What the test was about at a moment: the step that what was pressed until then had led to. */
  private static Optional<Double> subject(LiveRun run, double at) {
    ByHand script = run.plan().settings().byHand();
    script.replay(run.pressed().stream().filter(p -> p.seconds() <= at).toList());
    return script.now().map(Now::subject);
  }

  private void keep(
      LiveRun run, NotebookLine line, List<StoredReading> readings, OptionalLong instead) {
    long runId = run.run().runId();
    open.background(
        () -> {
          Workbook workbook = open.workbook().orElseThrow();
          long id =
              instead.isPresent()
                  ? workbook.notebook().replace(runId, instead.getAsLong(), line, readings)
                  : workbook.notebook().keep(runId, line, readings);
          return new Kept(id, all(workbook, runId));
        },
        kept -> {
          edits.did(
              "Notebook line kept",
              () -> {
                strike(run, kept.id(), true);
                instead.ifPresent(old -> strike(run, old, false));
              });
          show(run, kept.all());
        });
  }

  private record Kept(long id, All all) {}

  /** All that stands in the notebook of a run. */
  record All(List<Notebook.Written> written, List<StoredReading> typed) {}

  static All all(Workbook workbook, long runId) {
    return new All(workbook.notebook().written(runId), workbook.typedReadings().of(runId));
  }

  private void show(LiveRun run, All all) {
    run.show(all);
    run.run().runner().replay(run.pressed());
    if (!run.going()) {
      shelf.refresh(run.unitId());
    }
  }

  /** Takes a line back with the readings in it. */
  public void strike(NotebookLine line) {
    run()
        .ifPresent(
            run -> {
              if (open.refuseWhenReadOnly()) {
                return;
              }
              edits.did("Notebook line struck", () -> strike(run, line.id(), false));
              strike(run, line.id(), true);
              open.say("Struck: " + line.words() + ". Ctrl+Z brings it back.");
            });
  }

  private void strike(LiveRun run, long id, boolean away) {
    long runId = run.run().runId();
    open.background(
        () -> {
          Workbook workbook = open.workbook().orElseThrow();
          workbook.notebook().struck(id, away);
          return all(workbook, runId);
        },
        all -> show(run, all));
  }
}

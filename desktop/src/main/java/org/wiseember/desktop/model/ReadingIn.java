package org.wiseember.desktop.model;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.wiseember.core.runtime.WatchLog;
import org.wiseember.trial.beside.BesideRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.publish.UnitPackage;
import org.wiseember.trial.record.LoggedRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSubject;
import org.wiseember.workbook.Watches;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.log.Log;
import org.wiseember.workbook.log.LogCsv;
import org.wiseember.workbook.log.LogMapping;
import org.wiseember.workbook.log.LogPreview;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.pack.RunPackage;
import org.wiseember.workbook.pack.SealedArchive;

/** Takes logs of other programs in as runs, and whole runs as packages out and in. */
public final class ReadingIn {
  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Navigation at;
  private final UnitEdits units;
  private final CapturesIn captures;
  private final NotesWork notes;
  private final Supplier<TestType> notedTest;
  private final BesideWork beside;
  private final Clock clock;
  private final Edits edits;
  private final ObjectProperty<LogDraft> draft = new SimpleObjectProperty<>();
  private final DoubleProperty progress = new SimpleDoubleProperty(-1);
  private final BooleanProperty stopWanted = new SimpleBooleanProperty();
  private volatile boolean stop;

  ReadingIn(
      OpenWorkbook open,
      UnitShelf shelf,
      Navigation at,
      UnitEdits units,
      CapturesIn captures,
      NotesWork notes,
      Supplier<TestType> notedTest,
      BesideWork beside) {
    this.open = open;
    this.shelf = shelf;
    this.at = at;
    this.units = units;
    this.captures = captures;
    this.notes = notes;
    this.notedTest = notedTest;
    this.beside = beside;
    this.clock = open.clock();
    this.edits = open.edits();
    stopWanted.addListener((o, was, is) -> stop = is);
  }

  /** The log whose columns are being looked at; null while there is none. */
  public ObjectProperty<LogDraft> draft() {
    return draft;
  }

  /** How far reading in is, 0 to 1; below 0 while nothing is read. */
  public DoubleProperty progress() {
    return progress;
  }

  /** Takes a file that was dropped or chosen: a log, a capture, a package. */
  public void take(Path file) {
    String name = String.valueOf(file.getFileName()).toLowerCase(java.util.Locale.ROOT);
    if (name.endsWith(".zip")) {
      unpack(file);
    } else if (name.endsWith(".txt") && shelf.chosen().get() != null) {
      open.background(
          () -> NotesWork.isNotes(file),
          written -> {
            if (written) {
              notes.take(file, notedTest.get());
            } else {
              look(file);
            }
          });
    } else {
      open.background(
          () -> CapturesIn.isWave(file),
          wave -> {
            if (wave) {
              captures.look(file, "");
            } else {
              look(file);
            }
          });
    }
  }

  private void look(Path file) {
    open.background(
        () -> {
          try {
            LogPreview preview = LogPreview.of(file);
            Optional<LogMapping> known =
                open.workbook()
                    .flatMap(w -> w.importMapping(preview.signature()))
                    .flatMap(LogMapping::read)
                    .filter(m -> m.headingRow() == preview.mapping().headingRow());
            return new LogDraft(file, preview, known.orElse(preview.mapping()), known.isPresent());
          } catch (LogUnreadable e) {
            open.say(e.getMessage());
            return null;
          }
        },
        found -> {
          if (found != null) {
            at.stage().set(StageName.BENCH);
          }
          draft.set(found);
        });
  }

  /** Lets the file be. */
  public void forget() {
    if (progress.get() >= 0) {
      stopWanted.set(true);
    } else {
      draft.set(null);
    }
  }

  /**
   * Reads the log in as a test of the chosen unit, remembers the mapping, shows the run.
   *
   * @param kind which test it is the log of
   * @param accuracy of its meters, ± % of reading; empty where nobody knows
   */
  public void readIn(LogMapping mapping, TestType kind, String title, Optional<Double> accuracy) {
    Judgement judgement = shelf.chosen().get();
    if (judgement == null) {
      open.say("A log of a test belongs to a unit. Add the unit first, then read its log in.");
    } else {
      long unit = judgement.unit().id();
      read(
          mapping,
          (file, log) -> new LoggedRun(RunOf.unit(unit), kind.key(), title, accuracy, file),
          (workbook, id) -> () -> show(unit, id));
    }
  }

  /**
   * Reads the log in as a watch of an appliance, which may be a new one.
   *
   * @param accuracy of its meter, ± % of reading; empty where nobody knows
   */
  public void readInWatch(LogMapping mapping, String appliance, Optional<Double> accuracy) {
    read(
        mapping,
        (file, log) -> {
          // What cannot be a watch is refused before anything is kept.
          WatchLog.of(log.trace());
          long subject =
              open.workbook()
                  .orElseThrow()
                  .runSubjects()
                  .named(RunSubject.Kind.APPLIANCE, appliance)
                  .id();
          return new LoggedRun(
              RunOf.subject(subject), Watches.KIND, "Watch of " + appliance, accuracy, file);
        },
        (workbook, id) -> {
          BesideRun run =
              BesideRun.of(
                      workbook,
                      workbook.runSubjects().named(RunSubject.Kind.APPLIANCE, appliance),
                      workbook.runs().byId(id).orElseThrow())
                  .orElseThrow();
          return () -> {
            beside.added("Watch imported", run);
            at.besideRun().set(id);
            at.stage().set(StageName.EVIDENCE);
          };
        });
  }

  private interface Making {
    LoggedRun run(String fileName, Log log);
  }

  /** What shows a run that was just kept, made beside the interface. */
  private interface Showing {
    Runnable of(Workbook workbook, long runId);
  }

  private void read(LogMapping mapping, Making making, Showing showing) {
    LogDraft from = draft.get();
    if (from == null || open.refuseWhenReadOnly() || progress.get() >= 0) {
      return;
    }
    stopWanted.set(false);
    stop = false;
    progress.set(0);
    AtomicReference<Double> share = new AtomicReference<>();
    Thread thread =
        new Thread(
            () -> {
              try {
                Log log =
                    LogCsv.read(
                        from.file(),
                        mapping,
                        done -> {
                          if (share.getAndSet(done) == null) {
                            open.screen().later(() -> progress.set(share.getAndSet(null)));
                          }
                          return !stop;
                        });
                open.screen().later(() -> add(from, mapping, log, making, showing));
              } catch (LogUnreadable e) {
                open.screen().later(() -> over(e.getMessage()));
              } catch (CancellationException e) {
                open.screen().later(() -> over("Stopped; nothing was imported."));
              } catch (OutOfMemoryError e) {
                open.screen()
                    .later(() -> over("The log is too large for this machine's memory; split it."));
              }
            },
            "reading in");
    thread.setDaemon(true);
    thread.start();
  }

  private void over(String sentence) {
    progress.set(-1);
    open.say(sentence);
  }

  private void add(LogDraft from, LogMapping mapping, Log log, Making making, Showing showing) {
    open.background(
        () -> {
          try {
            Workbook workbook = open.workbook().orElseThrow();
            LoggedRun run = making.run(String.valueOf(from.file().getFileName()), log);
            long id = run.into(workbook, log, from.preview(), mapping, clock.instant());
            return Optional.of(showing.of(workbook, id));
          } catch (IllegalArgumentException e) {
            open.say(from.file().getFileName() + ": " + e.getMessage() + ".");
            return Optional.<Runnable>empty();
          } finally {
            open.screen().later(() -> progress.set(-1));
          }
        },
        shown ->
            shown.ifPresent(
                show -> {
                  draft.set(null);
                  show.run();
                  open.say(
                      log.trace().size()
                          + " rows imported from "
                          + from.file().getFileName()
                          + ". Ctrl+Z takes the run away again.");
                }));
  }

  private void show(long unitId, long runId) {
    edits.did("Run imported", () -> away(unitId, runId));
    at.shownRun().set(runId);
    shelf.show(unitId);
    at.stage().set(StageName.EVIDENCE);
  }

  private void away(long unitId, long runId) {
    open.background(
        () -> {
          open.workbook().orElseThrow().runs().removed(runId, true);
          return unitId;
        },
        id -> shelf.refresh(id));
  }

  /** Packs a run into a zip beside the workbook. */
  public void pack(Run run, String unitName) {
    open.background(
        () -> {
          Workbook workbook = open.workbook().orElseThrow();
          String safe = unitName.replaceAll("[^\\p{L}\\p{N} ._-]", "_");
          Path file =
              workbook.file().toAbsolutePath().resolveSibling(safe + ", run " + run.id() + ".zip");
          try {
            RunPackage.write(workbook, run, file);
            return "Packed as " + file + ".";
          } catch (IOException e) {
            return file + " cannot be written. Check the folder and the space on the disk.";
          }
        },
        open::say);
  }

  private void unpack(Path file) {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    open.background(
        () -> SealedArchive.looksLikeOne(file),
        unit -> {
          if (unit) {
            unpackUnit(file);
          } else {
            unpackRun(file);
          }
        });
  }

  /** Somebody else's unit comes onto the shelf. */
  private void unpackUnit(Path file) {
    open.say("The figures in " + file.getFileName() + " are being worked out again.");
    open.background(
        () -> UnitPackage.takeIn(open.workbook().orElseThrow(), file, clock),
        taken -> {
          units.added("Package imported", taken.unit());
          open.say(taken.words() + " Ctrl+Z takes it away again.");
        });
  }

  private void unpackRun(Path file) {
    open.background(
        () -> RunPackage.takeIn(open.workbook().orElseThrow(), file),
        run -> {
          show(run.unitId(), run.id());
          open.say("The run in " + file.getFileName() + " is imported. Ctrl+Z removes it.");
        });
  }
}

package org.wiseember.desktop.model;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.function.Function;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.wiseember.core.runtime.Watch;
import org.wiseember.core.supply.SourceTries;
import org.wiseember.trial.beside.BesideRun;
import org.wiseember.workbook.RunSubject;
import org.wiseember.workbook.Watches;
import org.wiseember.workbook.Workbook;

/** Runs of what is no unit: appliances that were watched, sources that were tried. */
public final class BesideWork {
  private final OpenWorkbook open;
  private final Clock clock;
  private final Edits edits;
  private final ObservableList<BesideRun> runs = FXCollections.observableArrayList();

  BesideWork(OpenWorkbook open) {
    this.open = open;
    this.clock = open.clock();
    this.edits = open.edits();
  }

  /** All of them, oldest first. */
  public ObservableList<BesideRun> runs() {
    return runs;
  }

  /** Those of appliances, oldest first. */
  public List<Watches.Kept> watches() {
    return runs.stream().flatMap(r -> r.watch().stream()).toList();
  }

  /** Shows what a workbook has that was just opened. */
  void show(List<BesideRun> all) {
    runs.setAll(all);
  }

  /** Keeps a watch of an appliance as a run of it, read off now; undo takes it away. */
  public void keepWatch(String name, Watch watch) {
    Instant now = clock.instant();
    keep(
        "Watch of " + name + " kept",
        workbook -> {
          Watches.Kept kept = workbook.watches().keep(name, watch, now);
          return BesideRun.of(workbook.runSubjects().named(RunSubject.Kind.APPLIANCE, name), kept);
        });
  }

  /** Keeps what the mains or a generator did by itself; undo takes it away. */
  public void keepSource(RunSubject.Kind kind, String name, SourceTries tries) {
    Instant now = clock.instant();
    keep(
        name + " by itself kept",
        workbook -> BesideRun.of(workbook.sources().keep(kind, name, tries, now)));
  }

  private void keep(String what, Function<Workbook, BesideRun> keeping) {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    open.background(() -> keeping.apply(open.workbook().orElseThrow()), run -> added(what, run));
  }

  /** A run that is in the workbook by now. */
  void added(String what, BesideRun run) {
    edits.did(what, () -> away(run, true));
    runs.add(run);
  }

  /** Takes one away; undo puts it back. */
  public void remove(BesideRun run) {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    edits.did(run.run().title() + " deleted", () -> away(run, false));
    away(run, true);
    open.say(run.run().title() + " is deleted. Ctrl+Z puts it back.");
  }

  private void away(BesideRun run, boolean away) {
    if (away) {
      runs.remove(run);
    } else {
      runs.add(run);
    }
    open.background(
        () -> {
          open.workbook().orElseThrow().runs().removed(run.run().id(), away);
          return run;
        },
        done -> {});
  }
}

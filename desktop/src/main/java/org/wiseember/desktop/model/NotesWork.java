package org.wiseember.desktop.model;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import org.wiseember.core.notes.Notes;
import org.wiseember.core.notes.NotesFile;
import org.wiseember.core.notes.NotesUnreadable;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.record.EnteredRun;
import org.wiseember.trial.record.GivenRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Origin;
import org.wiseember.workbook.log.NotesText;

/**
 * Takes in what was seen of tests that were made earlier: notes are understood while they are
 * written, and kept as a run.
 */
public final class NotesWork {
  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Navigation at;
  private final ObjectProperty<NotesDraft> draft = new SimpleObjectProperty<>();
  private final ReadOnlyObjectWrapper<Understood> understood =
      new ReadOnlyObjectWrapper<>(Understood.NOTHING);
  private boolean reading;
  private boolean changed;

  /**
   * What stands in notes.
   *
   * @param run they tell of; empty where they cannot be taken
   * @param found what it comes to
   * @param trouble why they cannot be taken, one sentence; empty where they can
   */
  public record Understood(Optional<EnteredRun> run, Optional<TestRun> found, String trouble) {
    static final Understood NOTHING = new Understood(Optional.empty(), Optional.empty(), "");
  }

  NotesWork(OpenWorkbook open, UnitShelf shelf, Navigation at) {
    this.open = open;
    this.shelf = shelf;
    this.at = at;
    draft.addListener((o, was, is) -> understand());
    shelf.chosen().addListener((o, was, is) -> understand());
  }

  /** What is being written; null while nothing is. */
  public ObjectProperty<NotesDraft> draft() {
    return draft;
  }

  /** What is understood of it so far. */
  public ReadOnlyObjectProperty<Understood> understood() {
    return understood.getReadOnlyProperty();
  }

  /** Begins to write down a test of the chosen unit that was made earlier. */
  public void begin(TestType type) {
    Judgement judgement = shelf.chosen().get();
    if (judgement == null || judgement.unit().origin().isPresent()) {
      open.say(judgement == null ? "Notes belong to a unit. Add it first." : Origin.NOT_YOURS);
      return;
    }
    if (!open.refuseWhenReadOnly()) {
      at.stage().set(StageName.BENCH);
      if (draft.get() == null) {
        draft.set(NotesDraft.of(type));
      }
    }
  }

  /** Whether a text file holds what somebody wrote, and no log of a meter. */
  static boolean isNotes(Path file) throws IOException {
    try {
      return Notes.areLikely(NotesFile.read(NotesText.read(file)));
    } catch (NotesUnreadable e) {
      return e.isHeader();
    }
  }

  /** Takes a text file that was dropped or chosen. */
  public void take(Path file, TestType type) {
    open.background(
        () -> {
          try {
            return NotesText.read(file);
          } catch (NotesUnreadable | IOException e) {
            open.say(file.getFileName() + ": " + e.getMessage());
            return null;
          }
        },
        text -> {
          if (text != null) {
            begin(type);
            if (draft.get() != null) {
              draft.set(draft.get().text(text));
            }
          }
        });
  }

  /** Lets it be. */
  public void forget() {
    draft.set(null);
  }

  private void understand() {
    changed = true;
    Judgement judgement = shelf.chosen().get();
    NotesDraft now = draft.get();
    if (reading) {
      return;
    }
    changed = false;
    if (now == null || judgement == null || now.text().isBlank()) {
      understood.set(Understood.NOTHING);
      return;
    }
    reading = true;
    open.background(
        () -> understood(now, judgement),
        found -> {
          reading = false;
          understood.set(found);
          if (changed) {
            understand();
          }
        },
        () -> reading = false);
  }

  private static Understood understood(NotesDraft draft, Judgement judgement) {
    try {
      EnteredRun run =
          EnteredRun.of(draft.type(), judgement.unit().label(), draft.file(), Map.of());
      TestRun found =
          Findings.of(judgement.unit().label(), List.of(GivenRun.entered(run).record(1))).get(0);
      return new Understood(Optional.of(run), Optional.of(found), "");
    } catch (NotesUnreadable e) {
      return new Understood(Optional.empty(), Optional.empty(), e.getMessage());
    }
  }

  /** Keeps the notes as a run of the chosen unit, and shows what it found. */
  public void keep() {
    Judgement judgement = shelf.chosen().get();
    NotesDraft now = draft.get();
    if (now == null || judgement == null || open.refuseWhenReadOnly()) {
      return;
    }
    if (now.text().isBlank()) {
      open.say("There is nothing to keep yet. Write a line for each thing you saw.");
      return;
    }
    long unit = judgement.unit().id();
    open.background(
        () -> {
          // What counts is what stands there now, whatever was last understood.
          Understood last = understood(now, judgement);
          if (last.run().isEmpty()) {
            open.say(last.trouble());
            return 0L;
          }
          return last.run()
              .get()
              .into(
                  open.workbook().orElseThrow(),
                  unit,
                  open.clock().getZone(),
                  open.clock().instant());
        },
        id -> {
          if (id > 0) {
            draft.set(null);
            show(unit, id);
          }
        });
  }

  private void show(long unit, long run) {
    open.edits().did("Run entered", () -> away(unit, run));
    at.shownRun().set(run);
    shelf.show(unit);
    at.stage().set(StageName.EVIDENCE);
    open.say("Kept as a run that was made earlier. Ctrl+Z takes it away again.");
  }

  private void away(long unit, long run) {
    open.background(
        () -> {
          open.workbook().orElseThrow().runs().removed(run, true);
          return unit;
        },
        id -> shelf.refresh(id));
  }
}

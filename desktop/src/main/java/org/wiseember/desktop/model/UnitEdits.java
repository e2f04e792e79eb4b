package org.wiseember.desktop.model;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.LongPredicate;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.workbook.Origin;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.pack.Merge;

/** Units come, go, are named and labelled; each can be undone. */
public final class UnitEdits {
  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Navigation at;
  private final LongPredicate underTest;
  private final Edits edits;

  /**
   * Of the units of a shelf.
   *
   * @param underTest whether a test of a unit is running
   */
  UnitEdits(OpenWorkbook open, UnitShelf shelf, Navigation at, LongPredicate underTest) {
    this.open = open;
    this.shelf = shelf;
    this.at = at;
    this.underTest = underTest;
    this.edits = open.edits();
  }

  private Workbook workbook() {
    return open.workbook().orElseThrow();
  }

  /** Adds a unit, chooses it and shows its label. */
  public void addUnit() {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    open.background(
        () -> workbook().units().add("New unit"),
        unit -> {
          edits.did("Unit added", () -> removeQuietly(unit.id()));
          shelf.put(unit);
          shelf.chooseUntested(unit);
          at.stage().set(StageName.LABEL);
        });
  }

  /** A unit came onto the shelf in another way than by hand; undo takes it off again. */
  void added(String what, TestedUnit unit) {
    edits.did(what, () -> removeQuietly(unit.id()));
    shelf.put(unit);
    shelf.show(unit.id());
    at.stage().set(StageName.VERDICT);
  }

  /** Takes what another workbook has onto this shelf. */
  public void merge(Path file) {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    open.background(
        () -> {
          open.refuseTheOpenOne(file);
          try (Workbook other = Workbook.read(file, open.clock())) {
            return Merge.of(workbook(), other);
          }
        },
        merged -> {
          shelf.reload();
          open.say(file.getFileName() + " is merged in: " + merged.words());
        });
  }

  private void removeQuietly(long unitId) {
    open.background(
        () -> {
          workbook().units().remove(unitId);
          return unitId;
        },
        id -> shelf.reload());
  }

  /** Takes the chosen unit off the shelf; undo puts it back. */
  public void removeChosen() {
    Judgement judgement = shelf.chosen().get();
    if (judgement == null || open.refuseWhenReadOnly()) {
      return;
    }
    long id = judgement.unit().id();
    if (underTest.test(id)) {
      open.say("A test of this unit is running. Stop it before taking the unit off the shelf.");
      return;
    }
    edits.did(
        judgement.unit().name() + " removed from the shelf",
        () ->
            open.background(
                () -> {
                  workbook().units().putBack(id);
                  return id;
                },
                back -> shelf.reload()));
    removeQuietly(id);
    open.say(judgement.unit().name() + " is off the shelf. Ctrl+Z puts it back.");
  }

  /** Renames the chosen unit. */
  public void rename(long unitId, String name) {
    Optional<Shelf.Place> place = shelf.place(unitId);
    String clean = name.strip();
    if (place.isEmpty() || clean.isEmpty() || open.refuseWhenReadOnly()) {
      return;
    }
    String before = place.get().unit().name();
    if (before.equals(clean)) {
      return;
    }
    edits.did("Name changed", () -> renameQuietly(unitId, before));
    renameQuietly(unitId, clean);
  }

  private void renameQuietly(long unitId, String name) {
    open.background(
        () -> {
          workbook().units().rename(unitId, name);
          return unitId;
        },
        id -> shelf.refresh(id));
  }

  /** Saves a label; undo returns to the one before. */
  public void saveLabel(long unitId, String text, List<Claim> byHand) {
    Optional<Shelf.Place> place = shelf.place(unitId);
    if (place.isEmpty() || open.refuseWhenReadOnly()) {
      return;
    }
    if (place.get().unit().origin().isPresent()) {
      open.say(Origin.NOT_YOURS);
      shelf.refresh(unitId);
      return;
    }
    Label before = place.get().unit().label();
    if (before.text().equals(text) && before.byHand().equals(byHand)) {
      return;
    }
    edits.did("Label changed", () -> saveQuietly(unitId, before.text(), before.byHand()));
    TestedUnit old = place.get().unit();
    // The shelf knows at once, so that a second edit before the save is done undoes to this one.
    TestedUnit now = new TestedUnit(unitId, old.name(), text, byHand);
    shelf.changed(now);
    saveQuietly(unitId, text, byHand);
  }

  private void saveQuietly(long unitId, String text, List<Claim> byHand) {
    open.background(
        () -> workbook().units().label(unitId, text, byHand), l -> shelf.refresh(unitId));
  }
}

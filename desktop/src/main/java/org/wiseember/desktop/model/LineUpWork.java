package org.wiseember.desktop.model;

import java.util.List;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.ListChangeListener;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.trial.lineup.LineUp;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.workbook.LineUpNotes;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.UnitFacts;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;

/**
 * Units beside each other, worked out while the stage is on show: units are judged again only where
 * something on the shelf changed, notes at once.
 */
public final class LineUpWork {
  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Navigation at;
  private final Judgements judgements;
  private final DayWork dayWork;
  private final BesideWork beside;
  private final Edits edits;
  private final ObjectProperty<LineUp> shown = new SimpleObjectProperty<>();

  /** What the units of the shelf were found to be; null until that is read again. */
  private List<LineUp.Entry> entries;

  private final Edited<LineUpNotes> notes;
  private int asked;

  LineUpWork(
      OpenWorkbook open,
      UnitShelf shelf,
      Navigation at,
      Judgements judgements,
      DayWork dayWork,
      BesideWork beside) {
    this.open = open;
    this.shelf = shelf;
    this.at = at;
    this.judgements = judgements;
    this.dayWork = dayWork;
    this.beside = beside;
    this.edits = open.edits();
    this.notes = new Edited<>(open, LineUpNotes.USUAL, Workbook::lineUpNotes);
    notes.value().addListener((o, was, is) -> again());
    shelf.chosen().addListener((o, was, is) -> stale());
    shelf.places().addListener((ListChangeListener<Shelf.Place>) change -> stale());
    dayWork.days().addListener((ListChangeListener<StoredDay>) change -> again());
    at.stage().addListener((o, was, is) -> again());
  }

  /** The line-up; null until it is worked out, or on an empty shelf. */
  public ReadOnlyObjectProperty<LineUp> shown() {
    return shown;
  }

  /** What was noted for it. */
  public LineUpNotes notes() {
    return notes.get();
  }

  /** Shows what a workbook has that was just opened. */
  void show(LineUpNotes kept) {
    notes.show(kept);
    shown.set(null);
    stale();
  }

  private void stale() {
    entries = null;
    again();
  }

  /** Works it out, where somebody looks. */
  private void again() {
    if (at.stage().get() != StageName.LINE_UP || open.workbook().isEmpty()) {
      return;
    }
    int mine = ++asked;
    List<LineUp.Entry> known = entries;
    LineUpNotes now = notes.get();
    boolean guarded = shelf.guardBand().get();
    List<Day> days = dayWork.days().stream().map(StoredDay::day).toList();
    Map<String, ApplianceDraw> appliances = LineUp.appliances(days, beside.watches());
    record Made(List<LineUp.Entry> entries, LineUp lineUp) {}
    open.background(
        () -> {
          List<LineUp.Entry> all = known == null ? read(guarded) : known;
          List<LineUp.Entry> page = onPage(all, now);
          return new Made(all, LineUp.of(page, now, days, appliances));
        },
        made -> {
          if (mine == asked) {
            entries = made.entries();
            shown.set(made.lineUp().units().isEmpty() ? null : made.lineUp());
          }
        });
  }

  private List<LineUp.Entry> read(boolean guarded) {
    Workbook workbook = open.workbook().orElseThrow();
    return workbook.units().all().stream()
        .map(
            u ->
                new LineUp.Entry(
                    judgements.of(workbook, u, guarded), workbook.units().facts(u.id())))
        .toList();
  }

  /** Those that were chosen, else all that are on the shelf. */
  private static List<LineUp.Entry> onPage(List<LineUp.Entry> all, LineUpNotes notes) {
    List<LineUp.Entry> chosen =
        all.stream().filter(e -> notes.units().contains(e.judgement().unit().id())).toList();
    return chosen.isEmpty() ? all : chosen;
  }

  /**
   * Takes other notes; undo returns to those before.
   *
   * @param what undoing it will say
   */
  public void note(LineUpNotes next, String what) {
    notes.change(next, what);
  }

  /** Takes other facts of a unit, such as what was paid; undo returns to those before. */
  public void facts(long unit, UnitFacts before, UnitFacts next) {
    if (next.equals(before) || open.refuseWhenReadOnly()) {
      return;
    }
    edits.did("What is known of a unit changed", () -> keep(unit, before));
    keep(unit, next);
  }

  private void keep(long unit, UnitFacts facts) {
    open.background(
        () -> {
          open.workbook().orElseThrow().units().facts(unit, facts);
          return facts;
        },
        done -> stale());
  }

  /** The notes of a workbook; the usual where they cannot be read, which is said. */
  static LineUpNotes read(OpenWorkbook open, Workbook workbook) {
    try {
      return workbook.lineUpNotes();
    } catch (WorkbookException e) {
      open.say(e.getMessage() + " The usual must-haves and weights are taken.");
      return LineUpNotes.USUAL;
    }
  }
}

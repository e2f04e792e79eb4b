package org.wiseember.desktop.model;

import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/** The units of the open workbook, how each stands, and the one that is chosen. */
public final class UnitShelf {
  private final OpenWorkbook open;
  private final Judgements judgements;
  private final ObservableList<Shelf.Place> places = FXCollections.observableArrayList();
  private final ObjectProperty<Judgement> chosen = new SimpleObjectProperty<>();
  private final ObjectProperty<Long> chosenUnit = new SimpleObjectProperty<>();
  private final BooleanProperty guardBand = new SimpleBooleanProperty(true);
  private Runnable changed = () -> {};

  UnitShelf(OpenWorkbook open, Judgements judgements) {
    this.open = open;
    this.judgements = judgements;
    guardBand.addListener((o, was, is) -> judgeAgain(is));
    chosen.addListener((o, was, is) -> chosenUnit.set(is == null ? null : is.unit().id()));
  }

  /** Called after units or runs may have come or gone. */
  void whenChanged(Runnable then) {
    changed = then;
  }

  /** Shows the units of another workbook. */
  void show(List<Shelf.Place> all) {
    places.setAll(all);
    chooseFirst();
  }

  /** Nothing is chosen while another workbook comes. */
  void clear() {
    chosen.set(null);
  }

  /** Puts a unit on it that was not tested yet. */
  void put(TestedUnit unit) {
    places.add(Shelf.Place.untested(unit));
  }

  /** Shows a unit that was not tested yet, at once. */
  void chooseUntested(TestedUnit unit) {
    chosen.set(Judgement.untested(unit));
  }

  /** The place of a unit; empty where it is not on the shelf. */
  Optional<Shelf.Place> place(long unitId) {
    int at = indexOf(unitId);
    return at < 0 ? Optional.empty() : Optional.of(places.get(at));
  }

  /** Knows of a unit at once what is being saved of it. */
  void changed(TestedUnit unit) {
    int at = indexOf(unit.id());
    places.set(at, new Shelf.Place(unit, places.get(at).summary()));
  }

  /** Every unit with how it stands, in the order of the shelf. */
  public ObservableList<Shelf.Place> places() {
    return places;
  }

  /** The chosen unit with all that was found; null on an empty shelf. */
  public ReadOnlyObjectProperty<Judgement> chosen() {
    return chosen;
  }

  /** The unit that was chosen last, at once; what was found follows when it is read. */
  public ReadOnlyObjectProperty<Long> chosenUnit() {
    return chosenUnit;
  }

  public BooleanProperty guardBand() {
    return guardBand;
  }

  /** Chooses a unit of the shelf. */
  public void choose(long unitId) {
    chosenUnit.set(unitId);
    if (chosen.get() != null && chosen.get().unit().id() == unitId) {
      return;
    }
    judged(
        unitId,
        found -> {
          if (isChosen(unitId)) {
            chosen.set(found);
          }
        },
        () -> {
          // What is on show stays what is marked.
          if (isChosen(unitId)) {
            chosenUnit.set(chosen.get() == null ? null : chosen.get().unit().id());
          }
        });
  }

  private boolean isChosen(long unitId) {
    return chosenUnit.get() != null && chosenUnit.get() == unitId;
  }

  /** Works a unit out, or reads what was found before, and gives it on the interface thread. */
  public void judged(long unitId, Consumer<Judgement> then) {
    judged(unitId, then, () -> {});
  }

  private void judged(long unitId, Consumer<Judgement> then, Runnable otherwise) {
    boolean guarded = guardBand.get();
    record Both(Judgement judgement, Shelf.Place place) {}
    open.background(
        () ->
            open.workbook()
                .flatMap(
                    w ->
                        w.units()
                            .byId(unitId)
                            .map(unit -> judgements.of(w, unit, guarded))
                            .map(judgement -> new Both(judgement, Shelf.of(w, judgement)))),
        found ->
            found.ifPresent(
                both -> {
                  int at = indexOf(unitId);
                  if (at >= 0 && !places.get(at).equals(both.place())) {
                    places.set(at, both.place());
                  }
                  then.accept(both.judgement());
                }),
        otherwise);
  }

  /** What is not known yet of the units on the shelf is worked out one by one. */
  void workOutTheRest() {
    // Of those that are there now: units come and go while it is done.
    List<Long> open =
        places.stream().filter(p -> p.summary().isEmpty()).map(p -> p.unit().id()).toList();
    workOut(open.iterator());
  }

  /** One that cannot be worked out does not keep the others from it. */
  private void workOut(Iterator<Long> units) {
    if (units.hasNext()) {
      judged(units.next(), found -> workOut(units), () -> workOut(units));
    }
  }

  /** Looks through all that was read in every run, one run after the other beside other work. */
  void lookThrough(Workbook opened) {
    open.background(() -> opened.runs().all(), runs -> lookThrough(opened, runs.iterator()));
  }

  private void lookThrough(Workbook opened, Iterator<Run> runs) {
    if (!runs.hasNext() || !shows(opened)) {
      return;
    }
    Run run = runs.next();
    open.background(
        () -> shows(opened) ? opened.runs().check(run) : Optional.<String>empty(),
        wrong -> {
          wrong.ifPresent(
              sentence -> {
                open.say(sentence);
                if (indexOf(run.unitId()) >= 0) {
                  refresh(run.unitId());
                }
              });
          lookThrough(opened, runs);
        },
        () -> lookThrough(opened, runs));
  }

  private void chooseFirst() {
    if (places.isEmpty()) {
      chosen.set(null);
    } else {
      choose(places.get(0).unit().id());
    }
  }

  /** Holds what is known against the labels again; no reading is looked at. */
  private void judgeAgain(boolean guarded) {
    if (chosen.get() != null) {
      chosen.set(chosen.get().judged(guarded));
    }
  }

  /** Shows the shelf as the workbook has it. */
  public void reload() {
    if (open.workbook().isEmpty()) {
      return;
    }
    open.background(
        () -> Shelf.of(open.workbook().orElseThrow()),
        all -> {
          Long keep = chosenUnit.get();
          places.setAll(all);
          if (keep != null && indexOf(keep) >= 0) {
            refresh(keep);
          } else {
            chooseFirst();
          }
          workOutTheRest();
          changed.run();
        });
  }

  /** A unit with something new in it becomes the chosen one. */
  void show(long unitId) {
    chosenUnit.set(unitId);
    refresh(unitId);
  }

  /** Judges a unit again, and shows it where it is the chosen one by then. */
  void refresh(long unitId) {
    judged(
        unitId,
        found -> {
          if (indexOf(unitId) < 0) {
            reload();
          }
          if (isChosen(unitId)) {
            chosen.set(found);
          }
        });
    changed.run();
  }

  private int indexOf(long unitId) {
    for (int i = 0; i < places.size(); i++) {
      if (places.get(i).unit().id() == unitId) {
        return i;
      }
    }
    return -1;
  }

  private boolean shows(Workbook opened) {
    return open.workbook().filter(w -> w == opened).isPresent();
  }
}

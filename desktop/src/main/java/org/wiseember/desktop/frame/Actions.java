package org.wiseember.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.wiseember.desktop.model.RemovedItems;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.trial.verdict.Summary;
import org.wiseember.workbook.RunSettings;

/** Everything Ctrl+K can find: units, stages, runs, numbers, actions. */
final class Actions {
  /** What brings back something that was taken off the shelf begins with this. */
  static final String PUT_BACK = "Restore";

  private static final int MOST = 9;

  /**
   * One thing to find.
   *
   * @param words what it is called
   * @param kind unit, stage, test, run, number, action or drawer
   */
  record Found(String words, String kind, Runnable go) {}

  private Actions() {}

  /** What has all the typed words in it, best first. */
  static List<Found> find(Session session, FileChoices files, Runnable units, String typed) {
    String[] words = typed.toLowerCase(Locale.ROOT).strip().split("\\s+");
    return all(session, files, units).stream()
        .filter(
            f -> {
              String text = (f.words() + " " + f.kind()).toLowerCase(Locale.ROOT);
              for (String word : words) {
                if (!text.contains(word)) {
                  return false;
                }
              }
              return true;
            })
        .limit(MOST)
        .toList();
  }

  private static Found readings(Session session, String words, RunSettings.Source source) {
    return new Found(words, "action", () -> session.bench().source().set(source));
  }

  private static List<Found> all(Session session, FileChoices files, Runnable units) {
    List<Found> all = new ArrayList<>();
    for (Shelf.Place place : session.shelf().places()) {
      all.add(
          new Found(place.unit().name(), "unit", () -> session.shelf().choose(place.unit().id())));
    }
    for (StageName stage : StageName.values()) {
      all.add(new Found(stage.words(), "stage", () -> session.at().stage().set(stage)));
    }
    all.add(new Found("Add a unit", "action", session.units()::addUnit));
    all.add(new Found("Remove the unit from the shelf", "action", session.units()::removeChosen));
    all.add(new Found("Open a workbook", "action", files.open()));
    all.add(new Found("Save a copy of the workbook", "action", files.saveCopy()));
    all.add(new Found("Merge another workbook into this one", "action", files.merge()));
    all.add(
        new Found("Import a log, a packed run or somebody else's unit", "action", files.readIn()));
    all.add(new Found("Light or dark", "action", session.look()::switchPalette));
    all.add(
        new Found("Units: °C or °F, m or ft, kg or lb, AWG or mm², 24 or 12 h", "action", units));
    all.add(new Found("Larger text", "action", () -> session.look().changeText(1)));
    all.add(new Found("Smaller text", "action", () -> session.look().changeText(-1)));
    all.add(
        new Found(
            "Guard band on or off",
            "action",
            () -> session.shelf().guardBand().set(!session.shelf().guardBand().get())));
    all.add(new Found("Undo", "action", session.open()::undo));
    all.add(
        new Found(
            "Write down a test that was made earlier",
            "action",
            () -> session.notes().begin(session.bench().test().get())));
    all.add(readings(session, "Readings by hand", RunSettings.Source.BY_HAND));
    all.add(readings(session, "Readings from my instruments", RunSettings.Source.INSTRUMENTS));
    all.add(readings(session, "Readings from the simulated bench", RunSettings.Source.SIMULATED));
    for (TestType test : AllTests.list()) {
      all.add(
          new Found(
              test.words(),
              "test",
              () -> {
                session.bench().prepare(test);
                session.at().stage().set(StageName.BENCH);
              }));
    }
    for (RemovedItems.Thing thing : session.removedItems().things()) {
      all.add(
          new Found(
              PUT_BACK + " " + thing.words(),
              "removed",
              () -> session.removedItems().putBack(thing)));
    }
    for (Shelf.Place place : session.shelf().places()) {
      String name = place.unit().name();
      long id = place.unit().id();
      for (Summary.OfRun run : place.summary().map(Summary::runs).orElse(List.of())) {
        all.add(
            new Found(
                run.title() + ", " + name,
                "run",
                () -> {
                  session.shelf().choose(id);
                  session.at().shownRun().set(run.id());
                  session.at().stage().set(StageName.EVIDENCE);
                }));
      }
      for (Summary.Line line : place.summary().map(Summary::lines).orElse(List.of())) {
        if (!line.measured().isEmpty()) {
          all.add(
              new Found(
                  line.title() + ", " + line.measured() + ", " + name,
                  "number",
                  () -> {
                    session.shelf().choose(id);
                    session.at().stage().set(StageName.VERDICT);
                  }));
        }
      }
    }
    return all;
  }
}

package org.wiseember.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/**
 * What was taken off the shelf, however long ago: nothing of it is lost, and it can be put back.
 */
public final class RemovedItems {
  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final ObservableList<Thing> things = FXCollections.observableArrayList();

  /**
   * A unit or a run that was taken away.
   *
   * @param words what it is called
   * @param unitId the unit, or the one the run is of
   * @param runId 0 for a unit
   */
  public record Thing(String words, long unitId, long runId) {}

  RemovedItems(OpenWorkbook open, UnitShelf shelf) {
    this.open = open;
    this.shelf = shelf;
  }

  /** What lies in it, units first. */
  public ObservableList<Thing> things() {
    return things;
  }

  /** Looks what lies in it. */
  void refresh() {
    if (open.workbook().isPresent()) {
      open.background(() -> read(open.workbook().orElseThrow()), things::setAll);
    }
  }

  private static List<Thing> read(Workbook workbook) {
    List<Thing> all = new ArrayList<>();
    for (TestedUnit unit : workbook.units().off()) {
      all.add(new Thing(unit.name(), unit.id(), 0));
    }
    Map<Long, String> shelf =
        workbook.units().all().stream().collect(Collectors.toMap(TestedUnit::id, TestedUnit::name));
    for (Run run : workbook.runs().off()) {
      if (shelf.containsKey(run.unitId())) {
        all.add(new Thing(run.title() + ", " + shelf.get(run.unitId()), run.unitId(), run.id()));
      }
    }
    return all;
  }

  /** Puts something back where it was. */
  public void putBack(Thing thing) {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    open.background(
        () -> {
          Workbook workbook = open.workbook().orElseThrow();
          if (thing.runId() == 0) {
            workbook.units().putBack(thing.unitId());
          } else {
            workbook.runs().removed(thing.runId(), false);
          }
          return thing;
        },
        back -> {
          open.say(back.words() + " is back.");
          shelf.show(back.unitId());
          refresh();
        });
  }
}

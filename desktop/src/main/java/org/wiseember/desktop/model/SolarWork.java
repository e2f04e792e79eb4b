package org.wiseember.desktop.model;

import java.util.List;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.Designer;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.core.solar.Port;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.onhand.ChargeSetting;

/** The panels on hand, and what they are put to. */
public final class SolarWork {
  private final OpenWorkbook open;
  private final Navigation at;
  private final Benchwork bench;
  private final Edits edits;
  private final ObjectProperty<PanelsOnHand> panels = new SimpleObjectProperty<>(PanelsOnHand.NONE);
  private long asked;

  SolarWork(OpenWorkbook open, Navigation at, Benchwork bench) {
    this.open = open;
    this.at = at;
    this.bench = bench;
    this.edits = open.edits();
  }

  /** Follows the workbook. */
  public ObjectProperty<PanelsOnHand> panels() {
    return panels;
  }

  /**
   * Keeps other panels, or another site; undo returns to those before.
   *
   * @param what undoing it will say
   */
  public void keep(PanelsOnHand next, String what) {
    PanelsOnHand before = panels.get();
    if (next.equals(before) || open.refuseWhenReadOnly()) {
      return;
    }
    edits.did(what, () -> keepQuietly(before));
    keepQuietly(next);
  }

  private void keepQuietly(PanelsOnHand next) {
    panels.set(next);
    open.background(
        () -> {
          open.workbook().orElseThrow().panelsOnHand(next);
          return next;
        },
        done -> {});
  }

  /** Works out all ways to wire the panels into a port; only the newest answer is given. */
  public void ways(Port port, Consumer<List<Designer.Way>> then) {
    PanelsOnHand now = panels.get();
    asked++;
    long mine = asked;
    open.background(
        () -> now.ways(port),
        ways -> {
          if (mine == asked) {
            then.accept(ways);
          }
        });
  }

  /** Charges the chosen unit from these panels next. */
  public void toTheBench(Arrangement arrangement) {
    ChargeSetting now = bench.onHand().get().answer(ChargeSetting.ASK);
    bench.have(
        ChargeSetting.ASK, now.adding(ChargeSource.SOLAR).with(arrangement, panels.get().site()));
    bench.test().set(AllTests.of(Charge.KIND));
    at.stage().set(StageName.BENCH);
  }
}

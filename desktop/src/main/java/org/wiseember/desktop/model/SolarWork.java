package org.wiseember.desktop.model;

import java.util.List;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.Designer;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.core.solar.Port;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.onhand.ChargeSetting;
import org.wiseember.workbook.Workbook;

/** The panels on hand, and what they are put to. */
public final class SolarWork {
  private final OpenWorkbook open;
  private final Navigation at;
  private final Benchwork bench;
  private final Edited<PanelsOnHand> panels;
  private long asked;

  SolarWork(OpenWorkbook open, Navigation at, Benchwork bench) {
    this.open = open;
    this.at = at;
    this.bench = bench;
    this.panels = new Edited<>(open, PanelsOnHand.NONE, Workbook::panelsOnHand);
  }

  /** Follows the workbook. */
  public ReadOnlyObjectProperty<PanelsOnHand> panels() {
    return panels.value();
  }

  /** Shows what a workbook has that was just opened. */
  void show(PanelsOnHand read) {
    panels.show(read);
  }

  /**
   * Keeps other panels, or another site; undo returns to those before.
   *
   * @param what undoing it will say
   */
  public void keep(PanelsOnHand next, String what) {
    panels.change(next, what);
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
    bench.prepare(AllTests.of(Charge.KIND));
    at.stage().set(StageName.BENCH);
  }
}

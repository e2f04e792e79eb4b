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
  private final Session session;
  private final Edits edits;
  private final ObjectProperty<PanelsOnHand> panels = new SimpleObjectProperty<>(PanelsOnHand.NONE);
  private long asked;

  SolarWork(Session session, Edits edits) {
    this.session = session;
    this.edits = edits;
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
    if (next.equals(before) || session.refuseWhenReadOnly()) {
      return;
    }
    edits.did(what, () -> keepQuietly(before));
    keepQuietly(next);
  }

  private void keepQuietly(PanelsOnHand next) {
    panels.set(next);
    session.background(
        () -> {
          session.workbook().orElseThrow().panelsOnHand(next);
          return next;
        },
        done -> {});
  }

  /** Works out all ways to wire the panels into a port; only the newest answer is given. */
  public void ways(Port port, Consumer<List<Designer.Way>> then) {
    PanelsOnHand now = panels.get();
    asked++;
    long mine = asked;
    session.background(
        () -> now.ways(port),
        ways -> {
          if (mine == asked) {
            then.accept(ways);
          }
        });
  }

  /** Charges the chosen unit from these panels next. */
  public void toTheBench(Arrangement arrangement) {
    ChargeSetting now = session.bench().onHand().get().answer(ChargeSetting.ASK);
    session
        .bench()
        .have(
            ChargeSetting.ASK,
            now.adding(ChargeSource.SOLAR).with(arrangement, panels.get().site()));
    session.bench().test().set(AllTests.of(Charge.KIND));
    session.stage().set(StageName.BENCH);
  }
}

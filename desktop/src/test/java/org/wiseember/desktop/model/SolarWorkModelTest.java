package org.wiseember.desktop.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.core.solar.Designer;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.core.solar.Port;
import org.wiseember.trial.kind.LabelInputs;

/** Panels on hand, the ways to wire them, and the way from there to the bench. */
public class SolarWorkModelTest extends OnSession {
  private Port port() {
    return LabelInputs.port(session.shelf().chosen().get().unit().label()).orElseThrow();
  }

  private List<Designer.Way> ways() {
    List<Designer.Way> found = new ArrayList<>();
    session.solar().ways(port(), found::addAll);
    until(() -> !found.isEmpty());
    return found;
  }

  /** Two roof panels in series are too many volts on a cold morning; the best way never is. */
  @Test
  public void theWaysAreRankedAndTheColdMorningRefuses() {
    List<Designer.Way> ways = ways();
    assertTrue(ways.get(0).standing() != Designer.Standing.NEVER);
    List<Designer.Way> never =
        ways.stream().filter(w -> w.standing() == Designer.Standing.NEVER).toList();
    assertTrue(!never.isEmpty() && ways.indexOf(never.get(0)) > 0);
    for (Designer.Way way : never) {
      assertTrue(way.coldVolts() > port().mostVolts(), way.toString());
    }
  }

  @Test
  public void panelsAreKeptAndUndone() {
    PanelsOnHand before = session.solar().panels().get();
    PanelsOnHand fewer = new PanelsOnHand(before.lots().subList(0, 1), before.site());
    session.solar().keep(fewer, "A panel taken away");
    settle();
    assertEquals(session.open().workbook().orElseThrow().panelsOnHand(), fewer);
    assertTrue(ways().size() > 0);
    session.open().undo();
    until(() -> session.solar().panels().get().equals(before));
    settle();
    assertEquals(session.open().workbook().orElseThrow().panelsOnHand(), before);
  }

  /** The way that was chosen is what the charge on the bench is set up with. */
  @Test
  public void aWayGoesToTheBench() {
    Designer.Way best = ways().get(0);
    session.solar().toTheBench(best.arrangement());
    settle();
    assertEquals(session.at().stage().get(), StageName.BENCH);
    assertEquals(session.bench().test().get().key(), Charge.KIND);
    assertTrue(
        session
            .bench()
            .plan()
            .orElseThrow()
            .settings()
            .toString()
            .contains(best.arrangement().toString()),
        session.bench().plan().orElseThrow().settings().toString());
  }
}

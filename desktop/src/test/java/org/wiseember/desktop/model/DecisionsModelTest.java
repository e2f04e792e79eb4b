package org.wiseember.desktop.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.trace.Treatment.LeftOut;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.found.Drained;

/** What is decided about runs follows at once, and is undone to the last bit. */
public class DecisionsModelTest extends OnSession {
  private Drained drain() {
    return session.shelf().chosen().get().drains().get(0);
  }

  private double energy() {
    return drain().finding().deliveredEnergy().orElseThrow().value();
  }

  @Test
  public void setAsideAndTakenBack() {
    TestRun run = drain();
    int runs = session.shelf().chosen().get().runs().size();
    session.decisions().setAside(run, "   ");
    untilSaid("Say why the run is set aside");
    assertEquals(session.shelf().chosen().get().runs().size(), runs);
    session.decisions().setAside(run, "The plug was loose");
    until(() -> session.shelf().chosen().get().runs().size() == runs - 1);
    TestRun aside = session.shelf().chosen().get().aside().get(0);
    assertEquals(aside.run().id(), run.run().id());
    assertEquals(
        session.shelf().places().get(0).summary().orElseThrow().runs().size(),
        runs - 1,
        "so says the shelf");
    session.decisions().takeBack(aside);
    until(() -> session.shelf().chosen().get().runs().size() == runs);
    session.open().undo();
    until(() -> session.shelf().chosen().get().runs().size() == runs - 1);
    session.open().undo();
    until(() -> session.shelf().chosen().get().aside().isEmpty());
  }

  @Test
  public void aStretchLeftOutLessensTheEnergyAndComesBack() {
    double before = energy();
    Treatment without =
        new Treatment(
            List.of(new LeftOut(600, 1200, "The kettle was on the same socket")),
            drain().treatment().cutoff(),
            drain().treatment().standingWatts(),
            drain().treatment().leadOhms(),
            "");
    session.decisions().decide(drain(), without, "Stretch left out");
    until(() -> energy() != before);
    assertTrue(energy() < before, energy() + " of " + before);
    session.open().undo();
    until(() -> drain().treatment().leftOut().isEmpty());
    assertEquals(energy(), before, 0.0);
  }

  /** Deciding what is decided already is no edit. */
  @Test
  public void theSameDecisionIsNone() {
    session.decisions().decide(drain(), drain().treatment(), "Nothing");
    session.open().undo();
    untilSaid("Nothing to undo.");
    assertNotEquals(session.open().said().get(), "Undone: Nothing.");
  }
}

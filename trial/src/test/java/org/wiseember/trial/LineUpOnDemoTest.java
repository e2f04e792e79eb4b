package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.OptionalDouble;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.report.page.PageHtml;
import org.wiseember.trial.kind.start.StartsRun;
import org.wiseember.trial.lineup.LineUp;
import org.wiseember.trial.lineup.LineUpDrawings;
import org.wiseember.trial.lineup.LineUpPage;
import org.wiseember.trial.lineup.MotorOnUnits;

/** The pool of the demo beside each other. */
public class LineUpOnDemoTest extends OnDemo {
  /** One motor for all: tried where it was, and called predicted everywhere else. */
  @Test
  public void noStartOfAnotherMotorIsTakenForThisOne() {
    LineUp lineUp = LineUp.of(demo, OptionalDouble.empty());
    assertFalse(lineUp.motors().isEmpty());
    for (MotorOnUnits motor : lineUp.motors()) {
      assertEquals(motor.units().size(), lineUp.units().size());
      for (MotorOnUnits.OnUnit on : motor.units()) {
        boolean tried =
            on.unit()
                .judgement()
                .of(StartsRun.class)
                .flatMap(r -> r.series().stream())
                .anyMatch(s -> s.motor().equals(motor.name()));
        assertEquals(on.predicted(), !tried, on.unit().name());
        assertEquals(on.because().startsWith("Predicted"), !tried, on.because());
        assertTrue(tried ? on.brief().contains(" of ") : !on.brief().contains(" of "), on.brief());
      }
    }
  }

  /** Every picture there is something to draw in, and the sheet tells all of it. */
  @Test
  public void theSheetTellsAll() {
    LineUp lineUp = LineUp.of(demo, OptionalDouble.empty());
    assertTrue(
        LineUpDrawings.of(lineUp).keySet().size() >= 5,
        LineUpDrawings.of(lineUp).keySet().toString());
    String html =
        new PageHtml(ReaderUnits.AS_KEPT)
            .write(LineUpPage.sheet(lineUp), "Lantern Quay", "1 June 2026");
    for (String name : new String[] {"Quernfold Q1100", "Tamsel T1", "full disc", "Rice stall"}) {
      assertTrue(html.contains(name), name);
    }
    assertTrue(html.contains("has no place"), "gaps are said");
  }
}

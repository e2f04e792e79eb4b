package org.wiseember.trial.runtime;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import org.wiseember.core.label.Label;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.TestedUnit;

/** An inlet of which nothing was measured is what its label prints, and that is said. */
public class MeasuredPortTest {
  private static Judgement unit(String label) {
    return Judgement.untested(new TestedUnit(1, "Quernfold Q1100", Label.read(label)));
  }

  @Test
  public void whatIsPrintedIsTakenAndSaid() {
    MeasuredPort port = MeasuredPort.direct(unit("Solar input 11-60 V 12 A 400 W"));
    assertEquals(port.port().leastVolts(), 11.0);
    assertEquals(port.port().mostVolts(), 60.0);
    assertEquals(port.port().amps(), 12.0);
    assertEquals(port.port().watts(), 400.0);
    assertTrue(port.restsOn().contains("as printed"), port.restsOn());
    MeasuredPort wall = MeasuredPort.wall(unit("AC charging 640 W"));
    assertEquals(wall.port().watts(), 640.0);
    assertTrue(wall.restsOn().contains("as printed"), wall.restsOn());
  }

  @Test
  public void whatNobodyPrintedIsABeginningToTypeOver() {
    MeasuredPort port = MeasuredPort.direct(unit("Capacity 500 Wh"));
    assertTrue(port.restsOn().contains("type its own"), port.restsOn());
    assertTrue(MeasuredPort.wall(unit("Capacity 500 Wh")).restsOn().contains("type its own"));
  }
}

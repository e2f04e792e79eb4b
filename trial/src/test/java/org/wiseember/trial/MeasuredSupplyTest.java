package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.DayPlan;
import org.wiseember.core.runtime.RunTimeCase;
import org.wiseember.core.runtime.Side;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.kind.drain.DrainRun;
import org.wiseember.trial.runtime.MeasuredSupply;
import org.wiseember.trial.verdict.Judgement;

/** The demo's units as what runs appliances. */
public class MeasuredSupplyTest extends OnDemo {
  @Test
  public void theFirstUnitRunsAsItsOwnDrainsDid() {
    Judgement judgement = judge(0);
    MeasuredSupply measured = MeasuredSupply.of(judgement).orElseThrow();
    assertEquals(measured.supply().usable().size(), 3);
    assertEquals(measured.supply().directUsable().size(), 1);
    assertEquals(measured.supply().idleWatts(), 13.2, 0.3);
    assertTrue(measured.supply().outputWatts() >= 1200, "" + measured);
    assertEquals(measured.restsOn().size(), 4, "" + measured.restsOn());
    for (DrainRun drain : judgement.of(DrainRun.class).filter(d -> !d.direct()).toList()) {
      Appliance load =
          new Appliance(
              "load",
              new ApplianceDraw(
                  ApplianceDraw.Use.STEADY, drain.meanWatts(), Double.NaN, Double.NaN, Double.NaN),
              Side.AC,
              List.of(HourSpan.ALWAYS),
              List.of());
      double delivered =
          new RunTimeCase(
                  measured.supply(),
                  new DayPlan(24, List.of(load), false),
                  100,
                  0,
                  Optional.empty())
              .course()
              .delivered();
      double own = drain.finding().deliveredEnergy().orElseThrow().value();
      assertEquals(delivered, own, 0.003 * own);
    }
  }

  @Test
  public void whatWasNotMeasuredIsSaidToBePrintedOrUnknown() {
    Label label = Label.read("Capacity 500 Wh\nAC out 230 V 300 W");
    MeasuredSupply printed = MeasuredSupply.of(new Findings.Known(label, List.of())).orElseThrow();
    assertTrue(printed.supply().guessed());
    assertEquals(printed.supply().outputWatts(), 300.0);
    assertEquals(printed.supply().idleWatts(), 0.0);
    String said = String.join(" ", printed.restsOn());
    assertTrue(said.contains("85 %") && said.contains("only printed: 300 W"), said);
    assertTrue(said.contains("Idle draw not known"), said);
    assertTrue(said.contains("What it starts is not known"), said);
    assertTrue(MeasuredSupply.of(new Findings.Known(Label.read("300 W"), List.of())).isEmpty());
  }
}

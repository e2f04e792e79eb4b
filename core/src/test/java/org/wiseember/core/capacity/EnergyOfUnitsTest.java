package org.wiseember.core.capacity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;

/** What several drains of one unit say together, and what is left of a charge. */
public class EnergyOfUnitsTest {
  private static CapacityFinding drain(Channel channel, double watts, double hours, double label) {
    int n = (int) Math.round(hours * 360) + 20;
    double[] t = new double[n];
    double[] p = new double[n];
    double[] amps = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = i * 10;
      p[i] = i * 10 <= hours * 3600 ? watts : 0;
      amps[i] = p[i] / (477 / 36.89);
    }
    Map<Channel, double[]> columns =
        channel == Channel.DC_POWER
            ? Map.of(channel, p, Channel.DC_CURRENT, amps)
            : Map.of(channel, p);
    return UsableCapacity.of(
        new Trace(t, columns), CapacityMethod.measuredWith(label, MeterClass.ofReading(0.5, 0, 0)));
  }

  /**
   * Common practice, no published source: 477 Wh and 36.89 Ah DC in 4 h 29 min of a 537 Wh label
   * are 88.8 %, 460 Wh AC are 85.7 %, and together they imply an inverter of 96.4 %.
   */
  @Test
  public void dcAndDrainOfTheTrade() {
    double hours = 4 + 29 / 60.0;
    CapacityFinding dc = drain(Channel.DC_POWER, 477 / hours, hours, 537);
    CapacityFinding ac = drain(Channel.AC_POWER, 230, 2, 537);
    assertEquals(dc.deliveredEnergy().orElseThrow().value(), 477, 0.5);
    assertEquals(dc.deliveredCharge().orElseThrow().value(), 36.89, 0.05);
    assertEquals(dc.meanPower().orElseThrow().value(), 106.4, 0.2);
    assertEquals(dc.yield().orElseThrow().value(), 88.8, 0.1);
    assertEquals(ac.yield().orElseThrow().value(), 85.7, 0.1);
    ImpliedInverter implied = ImpliedInverter.of(ac, dc).orElseThrow();
    assertEquals(implied.efficiency().value(), 96.4, 0.15);
    assertTrue(implied.efficiency().because().watchOut().toString().contains("the rates differ"));
    assertTrue(
        implied.efficiency().because().watchOut().get(0).contains("not measured at one moment"));
  }

  /** Common practice, no published source: 1 382 Wh gave 76 % near 1 800 W and 89 % at 900 W. */
  @Test
  public void aGentlerDrainYieldsMore() {
    RateModel model =
        RateModel.of(
                List.of(
                    new RateModel.Drained(1800, new Estimate(0.76 * 1382, 5)),
                    new RateModel.Drained(900, new Estimate(0.89 * 1382, 6))),
                Optional.empty())
            .orElseThrow();
    assertEquals(model.at(1800).energy().value(), 0.76 * 1382, 10);
    assertEquals(model.at(900).energy().value(), 0.89 * 1382, 10);
    double between = model.at(1300).energy().value();
    assertTrue(between > 0.79 * 1382 && between < 0.87 * 1382, "" + between);
    assertFalse(model.at(1300).extrapolated());
    assertTrue(model.at(300).extrapolated());
    assertTrue(model.at(400).energy().u95() > model.at(1300).energy().u95());
    assertTrue(
        model.at(1300).energy().because().watchOut().get(0).contains("Read off between drains"));
  }

  /** Common practice, no published source: 975 Wh at 950 W and 1 200 Wh at 440 W of 1 500 Wh. */
  @Test
  public void yieldAtHalfLoadIsReadOff() {
    RateModel model =
        RateModel.of(
                List.of(
                    new RateModel.Drained(950, new Estimate(975, 5)),
                    new RateModel.Drained(440, new Estimate(1200, 6))),
                Optional.empty())
            .orElseThrow();
    assertEquals(100 * model.at(950).energy().value() / 1500, 65, 1);
    assertEquals(100 * model.at(440).energy().value() / 1500, 80, 1);
  }

  @Test
  public void drainsAtOneLoadMakeNoModel() {
    List<RateModel.Drained> same =
        List.of(
            new RateModel.Drained(500, new Estimate(900, 5)),
            new RateModel.Drained(510, new Estimate(905, 5)));
    assertTrue(RateModel.of(same, Optional.empty()).isEmpty());
    assertTrue(RateModel.of(List.of(), Optional.empty()).isEmpty());
    assertThrows(
        IllegalArgumentException.class, () -> new RateModel.Drained(0, new Estimate(1, 1)));
  }

  /** Units that obey the model: the band holds the energy at loads nobody drained at. */
  @Test
  public void theBandHoldsWhatWasNotDrained() {
    SplittableRandom random = new SplittableRandom(31);
    int inside = 0;
    int asked = 0;
    for (int unit = 0; unit < 200; unit++) {
      double a = 0.004 + 0.012 * random.nextDouble();
      double b = (1.03 + 0.1 * random.nextDouble()) / 1000;
      double c = 3e-7 * random.nextDouble();
      double gain = 1 + 0.005 * (2 * random.nextDouble() - 1);
      List<RateModel.Drained> drains = new ArrayList<>();
      for (double watts : new double[] {200, 600, 1100}) {
        double energy = watts / (a + b * watts + c * watts * watts);
        double found = energy * gain * (1 + 0.003 * random.nextGaussian());
        drains.add(new RateModel.Drained(watts, new Estimate(found, 0.005 * found)));
      }
      RateModel model = RateModel.of(drains, Optional.empty()).orElseThrow();
      for (double watts : new double[] {320, 800, 1000}) {
        double truth = watts / (a + b * watts + c * watts * watts);
        Figure read = model.at(watts).energy();
        inside += Math.abs(read.value() - truth) <= read.u95() ? 1 : 0;
        asked++;
      }
    }
    assertTrue(inside >= 0.92 * asked, inside + " of " + asked);
  }

  @Test
  public void aMeasuredIdleDrawHoldsTheLightEnd() {
    List<RateModel.Drained> drains =
        List.of(
            new RateModel.Drained(300, new Estimate(900, 5)),
            new RateModel.Drained(900, new Estimate(850, 5)));
    Estimate hours = new Estimate(60, 2);
    Figure known = RateModel.of(drains, Optional.of(hours)).orElseThrow().at(60).energy();
    Figure guessed = RateModel.of(drains, Optional.empty()).orElseThrow().at(60).energy();
    assertTrue(known.u95() < guessed.u95());
  }

  /** Common practice, no published source: 1 500 Wh × 85 % × 60 % leaves 765 Wh. */
  @Test
  public void whatIsLeft() {
    assertEquals(
        EnergyLeft.of(1500, new Estimate(0.85, 0.01), 0.6, 0).wattHours().value(), 765, 1e-9);
    EnergyLeft planned = EnergyLeft.assumed(1500, 0.6, 0);
    assertEquals(planned.wattHours().value(), 765, 1e-9);
    assertTrue(planned.yieldAssumed());
    // 75 to 95 % are seen: 675 to 855 Wh.
    assertEquals(planned.wattHours().low(), 675, 1e-9);
    assertEquals(planned.wattHours().high(), 855, 1e-9);
    assertThrows(IllegalArgumentException.class, () -> EnergyLeft.assumed(1500, 60, 0));
  }

  /**
   * Common practice, no published source: 1 000 Wh at 75 % less 500 Wh of fridge looks like 250 Wh
   * left, and is 137.5.
   */
  @Test
  public void whatIsLeftAfterAFridge() {
    assertEquals(EnergyLeft.assumed(1000, 0.75, 500).wattHours().value(), 137.5, 1e-9);
    assertEquals(EnergyLeft.assumed(1000, 0.5, 500).wattHours().value(), 0.0, "never below 0");
  }
}

package org.wiseember.bench.simulated;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.PackDesign;

/** A pack keeps its account of energy and behaves as its chemistry does. */
public class PackTest {
  private static PackDesign design(Chemistry chemistry, double ohms) {
    return new PackDesign(chemistry, 16, 20, ohms, 0, 0, 3);
  }

  @DataProvider
  Object[][] chemistries() {
    return new Object[][] {{Chemistry.LFP}, {Chemistry.NMC}, {Chemistry.LEAD_ACID}};
  }

  /** Conservation of energy: what left, what was lost and what is stored come to the same sum. */
  @Test(dataProvider = "chemistries")
  public void itsEnergyIsAccountedFor(Chemistry chemistry) {
    SplittableRandom random = new SplittableRandom(7);
    Pack pack = new Pack(design(chemistry, 0.06), 0.9, 25);
    double sum = pack.storedWattHours();
    double out = 0;
    for (int n = 0; n < 20_000 && pack.stateOfCharge() > 0.1; n++) {
      double watts = random.nextDouble(-300, 700);
      out += pack.draw(watts, 1, 25);
    }
    assertTrue(pack.lossWattHours() > 0);
    assertEquals(
        pack.storedWattHours() + pack.lossWattHours() + out, sum, 1e-3 * sum, chemistry.name());
  }

  /** P = U·I at the terminals, with U = U₀ − R·I: Ohm's law, solved for the volts. */
  @Test(dataProvider = "chemistries")
  public void itsVoltsFollowOhm(Chemistry chemistry) {
    Pack pack = new Pack(design(chemistry, 0.05), 0.5, 25);
    for (double watts = -400; watts <= 800; watts += 100) {
      double volts = pack.voltsAt(watts);
      double amps = watts / volts;
      assertEquals(volts, pack.restVolts() - pack.ohms() * amps, 1e-9);
    }
    double most = pack.restVolts() * pack.restVolts() / 4 / pack.ohms();
    assertEquals(pack.voltsAt(most * 1.001), 0, 0, "more than it can give at all");
  }

  /** The more is drawn at once, the less comes out: it is the square of the amps that is lost. */
  @Test(dataProvider = "chemistries")
  public void heavyLoadsGetLess(Chemistry chemistry) {
    double before = Double.POSITIVE_INFINITY;
    for (double watts : new double[] {50, 150, 300, 600}) {
      Pack pack = new Pack(design(chemistry, 0.08), 1, 25);
      double out = 0;
      while (pack.weakestVolts(watts) > chemistry.cutOffVolts() && pack.stateOfCharge() > 0) {
        out += pack.draw(watts, 5, 25);
      }
      assertTrue(out < before, watts + " W gave " + out + " Wh, less gave " + before);
      before = out;
    }
  }

  @Test
  public void coldAndEmptyPacksResistMore() {
    PackDesign design = design(Chemistry.LFP, 0.05);
    double warm = new Pack(design, 0.5, 25).ohms();
    assertEquals(warm, 0.05, 1e-12);
    assertEquals(new Pack(design, 0.5, -5).ohms() / warm, 2, 0.02);
    assertEquals(new Pack(design, 0.05, 25).ohms() / warm, 1.5, 1e-9);
    assertTrue(new Pack(design, 0.5, 45).ohms() < warm);
  }

  /** A cell that holds less is empty before the others are, and shows it in its volts. */
  @Test
  public void theWeakestCellIsEmptyFirst() {
    PackDesign uneven = design(Chemistry.LFP, 0.05).withImbalance(0.1);
    Pack pack = new Pack(uneven, 0.12, 25);
    assertEquals(pack.weakestCharge(), 1 - 0.88 / 0.9, 1e-12);
    assertTrue(pack.weakestVolts(0) < pack.openCircuitVolts() / 16);
    Pack even = new Pack(design(Chemistry.LFP, 0.05), 0.12, 25);
    assertEquals(even.weakestVolts(0), even.openCircuitVolts() / 16, 1e-12);
  }

  /** Left alone it comes back: the volts that were held down by the amps rise again. */
  @Test
  public void itRecoversAtRest() {
    Pack pack = new Pack(design(Chemistry.NMC, 0.06), 0.8, 25);
    for (int n = 0; n < 600; n++) {
      pack.draw(500, 1, 25);
    }
    double tired = pack.restVolts();
    for (int n = 0; n < 3600; n++) {
      pack.draw(0, 1, 25);
    }
    assertTrue(pack.restVolts() > tired + 0.2, tired + " to " + pack.restVolts());
    assertEquals(pack.restVolts(), pack.openCircuitVolts(), 0.05);
  }

  /** The stored energy is the integral of the open-circuit volts over the charge. */
  @Test(dataProvider = "chemistries")
  public void storedEnergyIsTheAreaUnderTheVolts(Chemistry chemistry) {
    double sum = 0;
    int steps = 10_000;
    for (int i = 0; i < steps; i++) {
      sum += chemistry.openCircuitVolts((i + 0.5) / steps) / steps;
    }
    assertEquals(chemistry.storedWattHours(1), sum, 1e-6 * sum);
    assertEquals(chemistry.storedWattHours(0), 0, 0);
    double before = 0;
    for (double charge = 0; charge <= 1; charge += 0.01) {
      double volts = chemistry.openCircuitVolts(charge);
      assertTrue(volts >= before, chemistry + " falls at " + charge);
      before = volts;
    }
  }
}

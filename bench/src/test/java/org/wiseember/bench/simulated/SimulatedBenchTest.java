package org.wiseember.bench.simulated;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

public class SimulatedBenchTest {
  private static SimulatedBench random(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    Chemistry chemistry = Chemistry.values()[random.nextInt(3)];
    double wattHours = 200 + 2500 * random.nextDouble();
    double rated = wattHours * (0.5 + random.nextDouble());
    UnitDesign design =
        UnitDesign.typical(chemistry, wattHours, rated, random.nextBoolean() ? 230 : 120, 1);
    Heater heater = Heater.of(rated * (0.2 + 0.7 * random.nextDouble()), design.acVolts());
    return new SimulatedBench(design, heater, 1, seed);
  }

  /** Drains to the cut-off and on through the fan's run-on. */
  private static Frame drain(SimulatedBench bench) {
    bench.arrange(SetPoints.WHOLE_LOAD);
    Frame frame = bench.advance(1);
    while (frame.value(Channel.AC_VOLTAGE) > 10) {
      frame = bench.advance(1);
    }
    for (int i = 0; i < 300; i++) {
      frame = bench.advance(1);
    }
    return frame;
  }

  /** Energy in = out + loss + stored, to 0.1 %, for any unit and load. */
  @Test
  public void energyIsConservedOverManySeeds() {
    for (long seed = 1; seed <= 25; seed++) {
      SimulatedBench bench = random(seed);
      drain(bench);
      EnergyAccount account = bench.account();
      assertTrue(
          Math.abs(account.imbalance()) <= 0.001 * account.storedAtStart(),
          "seed " + seed + ": " + account + ", missing " + account.imbalance());
      assertTrue(account.delivered() > 0.5 * account.storedAtStart(), account.toString());
      assertTrue(account.packLoss() > 0 && account.inverterLoss() > 0, account.toString());
    }
  }

  @Test
  public void theSameSeedGivesTheSameReadings() {
    for (long seed : new long[] {3, 99}) {
      SimulatedBench one = random(seed);
      SimulatedBench two = random(seed);
      one.arrange(SetPoints.WHOLE_LOAD);
      two.arrange(SetPoints.WHOLE_LOAD);
      for (int i = 0; i < 500; i++) {
        assertTrue(Arrays.equals(one.advance(1).values(), two.advance(1).values()));
      }
    }
  }

  /** The meter's total stays within the meter's class of what was truly delivered. */
  @Test
  public void metersLieOnlyWithinTheirClass() {
    for (long seed = 1; seed <= 20; seed++) {
      SimulatedBench bench = random(seed);
      Frame last = drain(bench);
      double truth = bench.account().delivered();
      double allowed = truth * 0.005 + truth * 0.002 + 0.3;
      assertEquals(last.value(Channel.AC_ENERGY), truth, allowed, "seed " + seed);
    }
  }

  /** A harder drain delivers less from the same pack: common practice, no published source. */
  @Test
  public void gentlerDrainsYieldMore() {
    UnitDesign design = UnitDesign.typical(Chemistry.LFP, 1500, 1800, 120, 1);
    double gentle = delivered(design, 440);
    double hard = delivered(design, 1700);
    assertTrue(gentle > hard, gentle + " and " + hard);
  }

  private static double delivered(UnitDesign design, double watts) {
    SimulatedBench bench = new SimulatedBench(design, Heater.of(watts, 120), 1, 5);
    drain(bench);
    return bench.account().delivered();
  }

  @Test
  public void twiceTheRatingTripsAtOnceAndALittleOverTripsLater() {
    UnitDesign design = UnitDesign.typical(Chemistry.LFP, 1000, 500, 230, 1);
    assertTrue(secondsToTrip(design, 1150) <= 2);
    double later = secondsToTrip(design, 600);
    assertTrue(later > 20 && later < 1200, "tripped after " + later);
  }

  private static double secondsToTrip(UnitDesign design, double watts) {
    SimulatedBench bench = new SimulatedBench(design, Heater.of(watts, 230), 1, 5);
    bench.arrange(SetPoints.WHOLE_LOAD);
    for (int i = 1; i < 4000; i++) {
      if (bench.advance(1).value(Channel.AC_VOLTAGE) < 10) {
        return i;
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  @Test
  public void storedEnergyIsTheIntegralOfTheCurve() {
    for (Chemistry chemistry : Chemistry.values()) {
      double sum = 0;
      int n = 20_000;
      for (int i = 0; i < n; i++) {
        sum += chemistry.openCircuitVolts((i + 0.5) / n) / n;
      }
      assertEquals(chemistry.storedWattHours(1), sum, 1e-4, chemistry.name());
    }
  }
}

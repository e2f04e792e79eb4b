package org.wiseember.core.charge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.integration.RombergIntegrator;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Series;

/** Energy that went in, held against a library's integration and against its own inverse. */
public class EnergyInTest {
  private static Series sampled(DoubleUnaryOperator watts, double... seconds) {
    double[] values = new double[seconds.length];
    for (int i = 0; i < values.length; i++) {
      values[i] = watts.applyAsDouble(seconds[i]);
    }
    return Series.of(seconds, values);
  }

  private static double[] uneven(double until, SplittableRandom random) {
    List<Double> times = new java.util.ArrayList<>(List.of(0.0));
    while (times.get(times.size() - 1) < until) {
      times.add(times.get(times.size() - 1) + random.nextDouble(0.2, 4));
    }
    return times.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** Hipparchus' Romberg integration is the outside answer; readings come at uneven times. */
  @Test
  public void aTaperIntegratesAsALibraryDoesIt() {
    SplittableRandom random = new SplittableRandom(51);
    for (int n = 0; n < 20; n++) {
      double most = random.nextDouble(50, 1500);
      double constant = random.nextDouble(900, 4000);
      DoubleUnaryOperator taper = t -> most * Math.exp(-t / constant);
      double[] seconds = uneven(5000, random);
      double end = seconds[seconds.length - 1];
      double outside =
          new RombergIntegrator().integrate(100_000, taper::applyAsDouble, 0, end) / 3600;
      double ours = EnergyIn.of(sampled(taper, seconds)).between(0, seconds.length - 1);
      assertEquals(ours, outside, 1e-5 * outside);
    }
  }

  /** Parts add up to the whole, wherever it is cut. */
  @Test
  public void partsAddUp() {
    SplittableRandom random = new SplittableRandom(52);
    double[] seconds = uneven(3000, random);
    EnergyIn in = EnergyIn.of(sampled(t -> 400 + 100 * Math.sin(t / 70), seconds));
    int last = seconds.length - 1;
    for (int cut = 1; cut < last; cut += 37) {
      assertEquals(in.between(0, cut) + in.between(cut, last), in.between(0, last), 1e-9);
    }
  }

  /** Constant power reaches a share of the energy after that share of the time: definition. */
  @Test
  public void aShareIsReachedInItsTime() {
    double[] seconds = uneven(4000, new SplittableRandom(53));
    int last = seconds.length - 1;
    EnergyIn in = EnergyIn.of(sampled(t -> 630, seconds));
    double all = in.between(0, last);
    for (double share = 0.05; share < 1; share += 0.05) {
      assertEquals(in.reached(0, last, share * all), share * seconds[last], 1e-6);
    }
    assertEquals(in.reached(0, last, 2 * all), seconds[last], 0, "what never came in");
  }

  /** Nothing comes in while the power is nothing; the moment is when it did. */
  @Test
  public void aPauseDoesNotCount() {
    double[] seconds = new double[601];
    double[] watts = new double[601];
    for (int i = 0; i < seconds.length; i++) {
      seconds[i] = 10 * i;
      watts[i] = i >= 200 && i <= 400 ? 0 : 360;
    }
    EnergyIn in = EnergyIn.of(Series.of(seconds, watts));
    // 360 W for 10 s are 1 Wh; 200 steps before the pause, the edges half each.
    assertEquals(in.between(0, 200), 199.5, 1e-9);
    assertEquals(in.between(200, 400), 0, 1e-9);
    double reached = in.reached(0, 600, 200.5);
    assertTrue(reached > 4000 && reached < 4020, "after the pause: " + reached);
  }

  /** A hole counts at the mean of both its sides and is known as one. */
  @Test
  public void aHoleIsKnown() {
    double[] seconds = {0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 609, 610, 611, 612};
    double[] watts = {100, 100, 100, 100, 100, 100, 100, 100, 100, 100, 200, 200, 200, 200};
    Series series = Series.of(seconds, watts);
    EnergyIn in = EnergyIn.of(series);
    List<Series.Gap> holes = in.holes(0, series.size() - 1);
    assertEquals(holes.size(), 1);
    assertEquals(holes.get(0).seconds(), 600, 1e-9);
    assertEquals(in.bridged(holes.get(0)), 150 * 600 / 3600.0, 1e-9);
    assertTrue(in.holes(0, 9).isEmpty());
  }
}

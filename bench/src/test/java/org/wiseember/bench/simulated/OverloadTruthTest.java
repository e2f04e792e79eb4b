package org.wiseember.bench.simulated;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Held;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.OverloadDesign;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.bench.simulated.load.Load;
import org.wiseember.bench.simulated.load.LoadBank;
import org.wiseember.core.Thorough;
import org.wiseember.core.overload.OverloadFinding;
import org.wiseember.core.overload.OverloadLadder;
import org.wiseember.core.overload.OverloadMethod;
import org.wiseember.core.overload.TripFit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.HeldByChance;

/**
 * Whole overload ladders on units whose trip curve is known, read with a meter within its class:
 * the trip times at 1.25 and 1.5 times the rating lie within their bands as often as chance has.
 */
public class OverloadTruthTest {
  /** The thorough run tries 200. */
  private static final int UNITS = Thorough.tries(20, 200);

  @Test
  public void theBandsHoldTheTruth() {
    SplittableRandom random = new SplittableRandom(31);
    double[] shares = {1.25, 1.5};
    int[] held = new int[2];
    for (int seed = 0; seed < UNITS; seed++) {
      double rated = 400 + 1400 * random.nextDouble();
      OverloadDesign truth =
          new OverloadDesign(
              1.05 + 0.1 * random.nextDouble(),
              30 + 150 * random.nextDouble(),
              2.2,
              0.75,
              random.nextBoolean(),
              10);
      UnitDesign design = UnitDesign.typical(Chemistry.LFP, 4000, rated, 230, 1).with(truth);
      double base = 0.4 * rated;
      List<Held> loads = new ArrayList<>();
      List<Double> watts = new ArrayList<>();
      watts.add(base);
      for (double share : new double[] {1.25, 1.4, 1.6, 1.8}) {
        loads.add(new Held(share * rated, 600));
        watts.add((share - 0.4) * rated);
      }
      SimulatedBench bench =
          new SimulatedBench(
              design,
              new LoadBank(watts.stream().map(w -> (Load) Heater.of(w, 230)).toList(), watts),
              1,
              seed,
              Set.of(),
              Clamped.NOWHERE);
      Trace trace = run(bench, new OverloadHolds(loads, base, 230));
      OverloadFinding finding =
          OverloadLadder.of(
              trace, OverloadMethod.measuredWith(rated, SimulatedBench.AC_POWER_CLASS));
      TripFit fit = finding.fit().orElseThrow();
      for (int i = 0; i < shares.length; i++) {
        // At the base load the heaters draw what the sagging volts leave of it.
        double before = finding.trips().get(0).before() / rated;
        double t = truth.tripSeconds(shares[i], before);
        TripFit.Band band = fit.seconds(shares[i] * rated, before * rated).orElseThrow();
        held[i] += band.low() <= t && t <= band.high() ? 1 : 0;
      }
    }
    for (int i = 0; i < shares.length; i++) {
      HeldByChance.check("trip at " + shares[i] + " of the rating", held[i], UNITS);
    }
  }

  private static Trace run(SimulatedBench bench, OverloadHolds holds) {
    List<Frame> frames = new ArrayList<>();
    while (!holds.phase().over()) {
      holds.confirm();
      bench.arrange(holds.setPoints());
      Frame frame = bench.advance(1);
      frames.add(frame);
      holds.take(frame);
    }
    Map<Channel, double[]> values = new EnumMap<>(Channel.class);
    for (Channel channel : List.of(Channel.AC_POWER, Channel.AC_VOLTAGE)) {
      values.put(channel, frames.stream().mapToDouble(f -> f.value(channel)).toArray());
    }
    return new Trace(frames.stream().mapToDouble(Frame::seconds).toArray(), values);
  }
}

package org.wiseember.bench.simulated;

import static org.testng.Assert.assertEquals;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.InverterDesign;
import org.wiseember.bench.simulated.design.PackDesign;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.bench.simulated.load.Load;
import org.wiseember.bench.simulated.load.LoadBank;
import org.wiseember.core.Thorough;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.efficiency.EfficiencyFinding;
import org.wiseember.core.efficiency.EfficiencyLadder;
import org.wiseember.core.efficiency.LadderMeters;
import org.wiseember.core.efficiency.LossCurve;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.idle.IdleDraw;
import org.wiseember.core.idle.IdleFinding;
import org.wiseember.core.idle.IdleMethod;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.HeldByChance;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * Whole procedures on units whose truth is known, read with meters that lie within their class: the
 * stated 95 % intervals hold the truth in as many of the units as chance has.
 */
public class TruthTest {
  /** The thorough run tries 200. */
  private static final int UNITS = Thorough.tries(25, 200);

  /** Counts how often intervals held the truth. */
  private static final class Score {
    private final Map<String, int[]> counts = new java.util.TreeMap<>();

    void add(String figure, Estimate estimate, double truth) {
      int[] count = counts.computeIfAbsent(figure, k -> new int[2]);
      count[0] += Math.abs(estimate.value() - truth) <= estimate.u95() ? 1 : 0;
      count[1]++;
    }

    void check() {
      counts.forEach(
          (figure, count) -> {
            assertEquals(count[1], UNITS, figure);
            HeldByChance.check(figure, count[0], count[1]);
          });
    }
  }

  private static UnitDesign design(SplittableRandom random) {
    double rated = 300 + 900 * random.nextDouble();
    UnitDesign typical =
        UnitDesign.typical(
            random.nextBoolean() ? Chemistry.LFP : Chemistry.NMC,
            60 + 60 * random.nextDouble(),
            rated,
            random.nextBoolean() ? 230 : 120,
            0.9 + 0.15 * random.nextDouble());
    InverterDesign i = typical.inverter();
    // Without fans: their steps are no part of p0, p1, p2.
    return typical.with(
        new InverterDesign(
            rated,
            i.acVolts(),
            i.hertz(),
            i.droop(),
            4 + 16 * random.nextDouble(),
            0.02 + 0.08 * random.nextDouble(),
            (0.01 + 0.03 * random.nextDouble()) / rated,
            i.shape(),
            i.overload(),
            0,
            0,
            0,
            i.standbyWatts()));
  }

  private static Load heater(double watts, double volts, boolean thermostat) {
    return thermostat ? Heater.cycling(watts, volts) : Heater.of(watts, volts);
  }

  private static Trace run(SimulatedBench bench, Procedure procedure) {
    List<Frame> frames = new ArrayList<>();
    while (!procedure.phase().over()) {
      procedure.confirm();
      bench.arrange(procedure.setPoints());
      Frame frame = bench.advance(1);
      frames.add(frame);
      procedure.take(frame);
    }
    Map<Channel, double[]> values = new EnumMap<>(Channel.class);
    for (Channel channel : bench.channels()) {
      values.put(channel, frames.stream().mapToDouble(f -> f.value(channel)).toArray());
    }
    return new Trace(frames.stream().mapToDouble(Frame::seconds).toArray(), values);
  }

  private static MeterClass accuracy(SimulatedBench bench, Channel channel) {
    return bench.instruments().stream()
        .map(i -> i.accuracy().get(channel))
        .filter(java.util.Objects::nonNull)
        .findFirst()
        .orElseThrow();
  }

  @DataProvider
  Object[][] loads() {
    return new Object[][] {{false}, {true}};
  }

  @Test(dataProvider = "loads")
  public void capacityAtTheOutlet(boolean thermostat) {
    SplittableRandom random = new SplittableRandom(thermostat ? 101 : 100);
    Score score = new Score();
    for (int seed = 0; seed < UNITS; seed++) {
      UnitDesign design = design(random);
      double watts = (0.3 + 0.5 * random.nextDouble()) * design.inverter().ratedWatts();
      SimulatedBench bench =
          new SimulatedBench(design, heater(watts, design.acVolts(), thermostat), 1, seed);
      Trace trace = run(bench, Drain.ac(design.acVolts()));
      CapacityFinding finding =
          UsableCapacity.of(trace, CapacityMethod.measuredWith(100, SimulatedBench.AC_POWER_CLASS));
      score.add(
          "energy", oneRun(finding.deliveredEnergy().orElseThrow()), bench.account().delivered());
    }
    score.check();
  }

  /** A simulated unit repeats itself to the last digit, so only what one run leaves open counts. */
  private static Estimate oneRun(Figure figure) {
    return new Estimate(figure.value(), Repeats.withoutRepeating(figure.budget()).u95());
  }

  @Test
  public void capacityAtThePort() {
    SplittableRandom random = new SplittableRandom(102);
    Score score = new Score();
    for (int seed = 0; seed < UNITS; seed++) {
      UnitDesign design = design(random);
      SimulatedBench bench =
          new SimulatedBench(
              design,
              LoadBank.of(Heater.of(100, design.acVolts())),
              1,
              seed,
              Set.of(),
              Clamped.PORT);
      Trace trace = run(bench, Drain.dc(60 + 50 * random.nextDouble(), 12));
      CapacityFinding finding =
          UsableCapacity.of(
              trace,
              CapacityMethod.measuredWith(
                  100, accuracy(bench, Channel.DC_VOLTAGE), accuracy(bench, Channel.DC_CURRENT)));
      score.add(
          "energy",
          oneRun(finding.deliveredEnergy().orElseThrow()),
          bench.unit().deliveredAtPort());
    }
    score.check();
  }

  @Test(dataProvider = "loads")
  public void lossesOfTheInverter(boolean thermostat) {
    SplittableRandom random = new SplittableRandom(thermostat ? 104 : 103);
    Score score = new Score();
    for (int seed = 0; seed < UNITS; seed++) {
      UnitDesign design = design(random).with(bigPack(random));
      double rated = design.inverter().ratedWatts();
      double volts = design.acVolts();
      List<Double> steps =
          List.of(0.08 * rated, 0.2 * rated, 0.4 * rated, 0.7 * rated, 0.95 * rated);
      LoadBank bank =
          new LoadBank(steps.stream().map(w -> heater(w, volts, thermostat)).toList(), steps);
      SimulatedBench bench = new SimulatedBench(design, bank, 1, seed, Set.of(), Clamped.BATTERY);
      Trace trace = run(bench, new LoadLadder(steps, 1, volts));
      LadderMeters meters =
          new LadderMeters(
              SimulatedBench.AC_POWER_CLASS,
              accuracy(bench, Channel.DC_VOLTAGE),
              accuracy(bench, Channel.DC_CURRENT),
              accuracy(bench, Channel.DC_CURRENT),
              false);
      EfficiencyFinding found = EfficiencyLadder.of(trace, meters, rated, Treatment.NONE);
      InverterDesign i = design.inverter();
      LossCurve truth = new LossCurve(i.idleWatts(), i.linearLoss(), i.squareLoss());
      var fit = found.fit().orElseThrow();
      score.add("p0", fit.estimate(LossCurve::p0), truth.p0());
      score.add("p1", fit.estimate(LossCurve::p1), truth.p1());
      score.add("p2", fit.estimate(LossCurve::p2), truth.p2());
      score.add(
          "efficiency", fit.estimate(c -> c.efficiency(rated / 2)), truth.efficiency(rated / 2));
    }
    score.check();
  }

  private static PackDesign bigPack(SplittableRandom random) {
    return new PackDesign(Chemistry.LFP, 16, 15 + 10 * random.nextDouble(), 0.05, 0.02, 0, 2);
  }

  @Test
  public void drawAtRest() {
    SplittableRandom random = new SplittableRandom(105);
    Score score = new Score();
    for (int seed = 0; seed < UNITS; seed++) {
      UnitDesign design = design(random).with(bigPack(random));
      SimulatedBench bench =
          new SimulatedBench(
              design,
              LoadBank.of(Heater.of(100, design.acVolts())),
              1,
              seed,
              Set.of(),
              Clamped.BATTERY);
      Trace trace = run(bench, new IdleWatch(List.of(IdleState.AC_ON)));
      MeterClass clamp = accuracy(bench, Channel.DC_CURRENT);
      IdleFinding finding =
          IdleDraw.of(
              trace,
              new IdleMethod(
                  new LadderMeters(
                      SimulatedBench.AC_POWER_CLASS,
                      accuracy(bench, Channel.DC_VOLTAGE),
                      clamp,
                      clamp,
                      false),
                  Optional.empty(),
                  Treatment.NONE));
      score.add("idle", finding.power().orElseThrow().estimate(), design.inverter().idleWatts());
    }
    score.check();
  }
}

package org.wiseember.bench.run;

import static org.testng.Assert.assertTrue;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.Practice;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.core.Thorough;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.notice.Watchers;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.uncertainty.MeterClass;

/** Every practice fault is noticed, and nothing is where there is none. */
public class PracticeFaultsTest {
  private static final int SEEDS = Thorough.tries(8, 20);

  private static final Map<Fault, String> CODES =
      new EnumMap<>(
          Map.of(
              Fault.FROZEN_DISPLAY, "display_frozen",
              Fault.THERMOSTAT, "load_cycles",
              Fault.LOOSE_LEAD, "loose_lead",
              Fault.AVERAGING_METER, "averaging_meter",
              Fault.WRONG_METER_CLOCK, "meter_clock"));

  /** What may be said in a run without a fault. */
  private static final Set<String> ORDINARY = Set.of("steady", "cut_off", "error_code");

  private static final class Nowhere implements Recorder {
    @Override
    public void append(Frame frame) {}

    @Override
    public void note(Notice notice) {}

    @Override
    public String flush() {
      return null;
    }

    @Override
    public void end(Phase phase, String ending) {}
  }

  /** Codes of all that was said in one drain of a random unit, with how often. */
  static Map<String, Integer> said(Set<Fault> faults, long seed) {
    SplittableRandom random = new SplittableRandom(1000 + seed);
    Chemistry chemistry = Chemistry.values()[random.nextInt(2)];
    double rated = 300 + 1500 * random.nextDouble();
    double watts = rated * (0.4 + 0.5 * random.nextDouble());
    double volts = random.nextBoolean() ? 230 : 120;
    UnitDesign design =
        UnitDesign.typical(chemistry, rated, watts / 0.6, volts, 0.93 + 0.12 * random.nextDouble());
    SimulatedBench bench =
        new SimulatedBench(design, Practice.load(watts, volts, faults), 1, seed, faults);
    Map<Channel, MeterClass> accuracy = new EnumMap<>(Channel.class);
    for (Instrument instrument : bench.instruments()) {
      accuracy.putAll(instrument.accuracy());
    }
    Map<String, Integer> codes = new TreeMap<>();
    new Runner(
            bench,
            Drain.ac(volts),
            Watchers.forDrain(accuracy, rated, volts),
            new Nowhere(),
            Pace.FULL,
            view -> {
              if (view.phase().over()) {
                view.notices().forEach(n -> codes.merge(n.code(), 1, Integer::sum));
              }
            })
        .runToEnd();
    return codes;
  }

  @DataProvider
  Object[][] faults() {
    return CODES.keySet().stream().map(f -> new Object[] {f}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "faults")
  public void aFaultIsNoticedInAlmostEverySeed(Fault fault) {
    int noticed = 0;
    StringBuilder missed = new StringBuilder();
    for (long seed = 1; seed <= SEEDS; seed++) {
      Map<String, Integer> codes = said(EnumSet.of(fault), seed);
      if (codes.getOrDefault(CODES.get(fault), 0) == 1) {
        noticed++;
      } else {
        missed.append("\nseed ").append(seed).append(": ").append(codes);
      }
      for (Map.Entry<Fault, String> other : CODES.entrySet()) {
        assertTrue(
            other.getKey() == fault || !codes.containsKey(other.getValue()),
            fault + " taken for " + other.getKey() + ", seed " + seed);
      }
    }
    assertTrue(noticed >= SEEDS - 1, fault + " noticed in " + noticed + missed);
  }

  @Test
  public void nothingIsNoticedInACleanRun() {
    for (long seed = 1; seed <= SEEDS; seed++) {
      Map<String, Integer> codes = said(Set.of(), seed);
      assertTrue(ORDINARY.containsAll(codes.keySet()), "seed " + seed + ": " + codes);
      assertTrue(codes.containsKey("cut_off"), "seed " + seed + " never ended");
    }
  }

  @Test
  public void allFaultsAtOnceAreEachNoticed() {
    Map<String, Integer> codes = said(EnumSet.allOf(Fault.class), 7);
    assertTrue(codes.keySet().containsAll(List.copyOf(CODES.values())), codes.toString());
  }
}

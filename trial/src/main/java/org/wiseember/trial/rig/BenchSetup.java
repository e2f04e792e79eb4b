package org.wiseember.trial.rig;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.wiseember.bench.connect.ConnectedBench;
import org.wiseember.bench.connect.HandBench;
import org.wiseember.bench.connect.HandClock;
import org.wiseember.bench.instrument.Bench;
import org.wiseember.bench.instrument.ChannelSource;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.label.Label;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.Correction;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.workbook.RunSettings;

/**
 * A bench ready for a run, and what has to be kept to know it by.
 *
 * @param bench it is closed with the run where it needs closing
 * @param settings kept with the run
 */
public record BenchSetup(Bench bench, RunSettings settings) {

  /**
   * The simulated bench with a stand-in for a unit.
   *
   * @param seed draws every meter's error and all noise
   * @param faults to practise on
   */
  public static BenchSetup simulated(
      String unitName, Label label, TestPlan plan, long seed, Set<Fault> faults) {
    Bench bench = SimulatedUnits.bench(unitName, label, plan, seed, faults);
    return new BenchSetup(
        bench,
        new RunSettings(
            plan.watts(),
            plan.volts(),
            accuracy(bench.instruments()),
            Map.of(),
            RunSettings.Source.SIMULATED,
            seed,
            faults.stream().map(Fault::name).sorted().toList(),
            plan.settings().keptLoads(),
            plan.settings().particulars()));
  }

  /**
   * The tester's own instruments. Those that are typed stand on the bench too, asked for nothing.
   *
   * @param startedSeconds what the bench clock shows now, s; 0 for a new run
   * @param clockFactor bench seconds per second, 1 for real instruments
   */
  public static BenchSetup instruments(
      List<InstrumentDescription> descriptions,
      TestPlan plan,
      double startedSeconds,
      double clockFactor) {
    List<InstrumentDescription> line = InstrumentDescription.inLine(descriptions);
    return new BenchSetup(
        new ConnectedBench(line, startedSeconds, clockFactor),
        settings(line, plan, RunSettings.Source.INSTRUMENTS));
  }

  /** No wire at all: everything is typed, and what happens is said by key. */
  public static BenchSetup byHand(
      List<InstrumentDescription> descriptions, TestPlan plan, HandClock clock) {
    return new BenchSetup(
        new HandBench(descriptions.stream().map(InstrumentDescription::instrument).toList(), clock),
        settings(descriptions, plan, RunSettings.Source.BY_HAND));
  }

  private static RunSettings settings(
      List<InstrumentDescription> descriptions, TestPlan plan, RunSettings.Source source) {
    // What is typed beside instruments that are asked says nothing about their readings.
    List<InstrumentDescription> read =
        descriptions.stream()
            .filter(d -> d.transport().asked() == (source == RunSettings.Source.INSTRUMENTS))
            .toList();
    Map<Channel, Correction> corrections = new EnumMap<>(Channel.class);
    for (InstrumentDescription description : read) {
      for (ChannelSource channel : description.channels()) {
        channel.correction().ifPresent(c -> corrections.putIfAbsent(channel.channel(), c));
      }
    }
    return new RunSettings(
        plan.watts(),
        plan.volts(),
        accuracy(read.stream().map(InstrumentDescription::instrument).toList()),
        corrections,
        source,
        0,
        List.of(),
        plan.settings().keptLoads(),
        plan.settings().particulars());
  }

  static Map<Channel, MeterClass> accuracy(List<Instrument> instruments) {
    Map<Channel, MeterClass> accuracy = new EnumMap<>(Channel.class);
    for (Instrument instrument : instruments) {
      instrument.accuracy().forEach(accuracy::putIfAbsent);
    }
    return accuracy;
  }

  /** The faults a run was set up with. */
  public static Set<Fault> faults(RunSettings settings) {
    Set<Fault> faults = EnumSet.noneOf(Fault.class);
    for (Fault fault : Fault.values()) {
      if (settings.faults().contains(fault.name())) {
        faults.add(fault);
      }
    }
    return faults;
  }
}

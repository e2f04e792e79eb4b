package org.wiseember.trial.kind.ladder;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Clamped;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.HandRecord;
import org.wiseember.trial.live.Known;
import org.wiseember.trial.live.LiveMoment;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.UnitTimes;

/** The steps of a ladder, W. */
public record LadderSettings(List<Double> loads, double volts, String reason)
    implements TestSettings {
  /** How often a ladder is gone through. */
  private static final int ROUNDS = 2;

  public LadderSettings {
    loads = List.copyOf(loads);
  }

  @Override
  public String title() {
    return "Efficiency up to " + Figures.plain(watts()) + " W";
  }

  @Override
  public Procedure procedure() {
    return new LoadLadder(loads, ROUNDS, volts);
  }

  @Override
  public ByHand byHand() {
    ByHand.Script script =
        ByHand.of(LoadLadder.KIND, procedure().steps())
            .step("ready", "AC output on, nothing plugged in")
            .how(
                "Write DC volts and amps without load, and the volts at the outlet: 12.7 V, 0.96 A.")
            .on(OperatorEvent.READ, "load-0");
    int all = loads.size() * ROUNDS;
    for (int i = 0; i < all; i++) {
      String watts = Figures.plain(loads.get(i % loads.size()), Unit.WATT);
      script
          .nextPart()
          .step("load-" + i, "Plug in " + watts)
          .about(loads.get(i % loads.size()))
          .skippable()
          .on(OperatorEvent.LOAD_ON, "read-" + i)
          .step("read-" + i, "Wait half a minute, then read all at " + watts)
          .how("Watts, DC volts and amps in one line, read together: 528 W, 11.30 V, 52.0 A.")
          .clock("on for")
          .about(loads.get(i % loads.size()));
      script.onward(
          OperatorEvent.READ,
          "load-" + (i + 1),
          i == all - 1,
          "All loads read, " + ROUNDS + " times. Unplug the last one.");
      script.on(OperatorEvent.TRIPPED, "dropped");
    }
    return script
        .step("dropped", "The output dropped out. All loads off")
        .how("Write the code it shows. The loads before stay.")
        .last(OperatorEvent.DONE, "The output dropped out; the loads before it stay.")
        .build();
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.heaters(loads, outletVolts, faults).clamped(Clamped.BATTERY);
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.POWER, TypedKind.DC_VOLTS, TypedKind.DC_AMPS);
  }

  /** Each load with its efficiency as soon as both sides of it are read. */
  @Override
  public List<Known> known(HandRecord record) {
    List<TimedOperatorEvent> on = record.every(OperatorEvent.LOAD_ON);
    List<Known> known = new ArrayList<>();
    for (int i = 0; i < on.size(); i++) {
      double to = i + 1 < on.size() ? on.get(i + 1).seconds() : Double.POSITIVE_INFINITY;
      known.add(known(on.get(i), to, record));
    }
    return known.isEmpty() ? TestSettings.super.known(record) : known;
  }

  private static Known known(TimedOperatorEvent on, double to, HandRecord record) {
    String load = Figures.plain(on.subject(), Unit.WATT);
    OptionalDouble watts = read(Channel.AC_POWER, on.seconds(), to, record);
    OptionalDouble volts = read(Channel.DC_VOLTAGE, on.seconds(), to, record);
    OptionalDouble amps = read(Channel.DC_CURRENT, on.seconds(), to, record);
    if (watts.isEmpty() || volts.isEmpty() || amps.isEmpty()) {
      return Known.notRead(load).remarked(watts.isPresent() ? "DC side not read" : "");
    }
    double direct = volts.getAsDouble() * Math.abs(amps.getAsDouble());
    return Known.of(load, Figures.fixed(100 * watts.getAsDouble() / direct, 1) + " %")
        .remarked(
            Figures.plain(watts.getAsDouble(), Unit.WATT)
                + " of "
                + Figures.withUnit(Figures.fixed(direct, 1), Unit.WATT));
  }

  private static OptionalDouble read(Channel channel, double from, double to, HandRecord record) {
    return record
        .last(channel, from, to)
        .map(r -> OptionalDouble.of(r.value()))
        .orElse(OptionalDouble.empty());
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "At every load wait half a minute, type watts, DC volts and amps together, then go on."
        : "Goes through the loads by itself as far as they obey.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(
        LiveTile.SOCKET,
        new LiveTile(
            "Out of the battery",
            "W",
            m -> new LiveTile.Now(Figures.fixed(m.frame().dcWatts(), 1), m.port())),
        new LiveTile("Efficiency now", "%", LadderSettings::efficiency),
        LiveTile.count("Loads", LoadLadder.class, l -> l.stepsBegun() + " of " + l.stepsInAll()));
  }

  private static LiveTile.Now efficiency(LiveMoment m) {
    double ac = m.frame().value(Channel.AC_POWER);
    double dc = m.frame().dcWatts();
    if (Double.isNaN(ac) || Double.isNaN(dc)) {
      return new LiveTile.Now("–", "one side is not read");
    }
    return ac > 1 && dc > 1
        ? new LiveTile.Now(
            Figures.fixed(100 * ac / dc, 1), "of this moment; figures wait until it settles")
        : new LiveTile.Now("–", "no load");
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(
            unit.percent(loads.stream().mapToDouble(w -> w).sum() * 0.2),
            0.1 + 0.2 * loads.size(),
            Equipment.LOADS,
            Equipment.AC_METER,
            Equipment.DC_METER)
        .rested();
  }
}

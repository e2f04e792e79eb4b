package org.wiseember.trial.kind.soak;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.load.Fridge;
import org.wiseember.bench.simulated.load.LoadBank;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.UnitTimes;

/**
 * The small load.
 *
 * @param loads of the bench, W; none for one that is only watched
 * @param load what is left on
 */
record SoakSettings(List<Double> loads, SoakLoad load, double volts, String reason)
    implements TestSettings {
  public SoakSettings {
    loads = List.copyOf(loads);
  }

  @Override
  public String title() {
    return load.output() == SoakLoad.Output.AC ? "Soak" : "Soak, " + load.output().words();
  }

  @Override
  public Map<String, String> particulars() {
    return load.kept();
  }

  @Override
  public boolean atPort() {
    return load.output() != SoakLoad.Output.AC;
  }

  /** Only an outlet is watched by the bench; what hangs on another output is looked at by eye. */
  @Override
  public Procedure procedure() {
    return load.output() == SoakLoad.Output.AC ? watching() : byHand();
  }

  /** A bench that is only watched has no end of its own. */
  private Watching watching() {
    return new Watching(loads.isEmpty() ? Double.MAX_VALUE : 3600 * load.hours());
  }

  @Override
  public ByHand byHand() {
    return ByHand.of(Watching.KIND, watching().steps())
        .step(
            "on",
            loads.isEmpty()
                ? "Output on"
                : Figures.plain(load.watts(), Unit.WATT) + " on at the " + load.output().words())
        .how(
            "Write the meter's total, the watts, the display and the room, such as: 0 Wh, 58 W,"
                + " 97 %, room 21\u00a0°C.")
        .on(OperatorEvent.LOAD_ON, "look")
        .nextPart()
        .step("look", "Look in now and then: is it on?")
        .how(
            "Press each time you look, for "
                + Figures.plain(load.hours(), Unit.HOUR)
                + ", at the end of the day and in the morning, and write total and display."
                + " Between two looks nobody knows.")
        .clock("watched for")
        .on(OperatorEvent.STILL_ON, "look")
        .on(OperatorEvent.WENT_OFF, "off")
        .last(OperatorEvent.ENOUGH, "Looked at until it was enough.")
        .nextPart()
        .step("off", "It is off. Write what it shows")
        .how(
            "The display or a code, before its button wakes it. Then see whether it comes back: by"
                + " itself, as after a night on empty when the sun is on the panels, or by its"
                + " button.")
        .clock("found off")
        .on(OperatorEvent.CAME_BACK, "look")
        .on(OperatorEvent.CAME_BY_BUTTON, "look")
        .on(OperatorEvent.LATCHED, "end")
        .last(OperatorEvent.ENOUGH, "The output went off.")
        .step("end", "It stays off. Write how it was woken")
        .how("Charger, sun, battery off and on: what brought it back, if anything did.")
        .last(OperatorEvent.DONE, "The output went off and stayed off.")
        .build();
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return loads.isEmpty()
        ? SimulatedRig.BARE
        : SimulatedRig.of(LoadBank.of(new Fridge(watts(), outletVolts, 0)));
  }

  @Override
  public List<TypedKind> typed() {
    return load.output() == SoakLoad.Output.AC
        ? List.of(
            TypedKind.POWER, TypedKind.TOTAL, TypedKind.VOLTS, TypedKind.DISPLAY, TypedKind.ROOM)
        : List.of(
            TypedKind.DC_POWER,
            TypedKind.DC_TOTAL,
            TypedKind.DC_VOLTS,
            TypedKind.DC_AMPS,
            TypedKind.DISPLAY,
            TypedKind.ROOM);
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "Say what you find each time you look; it ends when you say so."
        : "Ends after "
            + Figures.plain(load.hours(), Unit.HOUR)
            + ", or when the output has gone off.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(LiveTile.SOCKET, LiveTile.OUTLET_VOLTS, LiveTile.CASE, LiveTile.clock("On for"));
  }

  @Override
  public Needs needs(UnitTimes unit) {
    double hours = Math.max(0.5, load.hours());
    return Needs.some(unit.percent(load.watts() * hours), hours, Equipment.LOADS)
        .attended(Math.min(1, 0.2 / hours));
  }
}

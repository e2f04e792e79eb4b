package org.wiseember.trial.kind;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.capacity.ExpectedEnd;
import org.wiseember.core.label.Label;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.live.HandRecord;
import org.wiseember.trial.live.Known;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Leads;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;

/** How one test is set up: typed by each test, kept with the run as words by name. */
public interface TestSettings {
  /** {@code AC drain at 600 W}. */
  String title();

  /** Why it is set up so, one sentence; empty for a run that was kept. */
  String reason();

  /** Nominal volts, of the outlet, or of the port for a test on the DC side. */
  double volts();

  /** The loads one after the other, W or A; empty for a test without. */
  List<Double> loads();

  /** The heaviest load; 0 for none. */
  default double watts() {
    return loads().stream().mapToDouble(Double::doubleValue).max().orElse(0);
  }

  /** The loads as they are kept with a run. */
  default List<Double> keptLoads() {
    return loads();
  }

  /** What else it is set up with, by name, as kept with a run. */
  default Map<String, String> particulars() {
    return Map.of();
  }

  /** The test itself. */
  Procedure procedure();

  /** The test with nothing but eyes, a meter that is read and one key at a time. */
  ByHand byHand();

  /** What is known so far while it is made by hand, the most telling first. */
  default List<Known> known(HandRecord record) {
    return typed().stream().flatMap(kind -> Known.of(kind, record).stream()).toList();
  }

  /** The simulated bench for it. */
  default SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.heaters(loads(), outletVolts, faults);
  }

  /** Whether it hangs on the DC port. */
  default boolean atPort() {
    return false;
  }

  /** What a unit whose label prints no rating is made for on the simulated bench, W. */
  default double designWatts() {
    return watts();
  }

  /** The leads of its rig. */
  default List<RigCable> leads(Label label) {
    return new Leads(label).outlet(watts(), volts());
  }

  /** What a person may type while it runs, in the order of the fields. */
  List<TypedKind> typed();

  /** How it goes on and ends, for whoever stands beside it. */
  String ends(boolean byHand);

  /** The large figures while it runs, four of them. */
  default List<LiveTile> tiles() {
    return List.of(LiveTile.SOCKET, LiveTile.OUTLET_VOLTS, LiveTile.CASE, LiveTile.CLOCK);
  }

  /** What stands in the large figures before it starts, where its end can be foretold. */
  default List<LiveTile.Now> ahead(ExpectedEnd end) {
    return tiles().stream().map(t -> new LiveTile.Now("–", "not started")).toList();
  }

  /** Watts the live chart reaches at least. */
  default double chartWatts() {
    return watts();
  }

  /** What it needs of the unit and of the bench, so that it can be planned. */
  default Needs needs(UnitTimes unit) {
    return Needs.some(unit.percent(watts() / 2), 0.5, Equipment.LOADS, Equipment.AC_METER);
  }
}

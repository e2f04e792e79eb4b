package org.wiseember.trial.kind.drain;

import java.util.List;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.run.RunView;
import org.wiseember.bench.simulated.Clamped;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.capacity.ExpectedEnd;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.LiveMoment;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Leads;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;

/**
 * One load until the output drops out.
 *
 * @param direct whether it is taken at the DC port
 * @param watts of the load
 */
public record DrainSettings(boolean direct, double watts, double volts, String reason)
    implements TestSettings {
  /** An AC drain with a load of one's own choice. */
  public static TestPlan alternating(double watts, double volts, String reason) {
    return new TestPlan(new AcDrainTest(), new DrainSettings(false, watts, volts, reason));
  }

  @Override
  public String title() {
    return (direct ? "DC drain" : "AC drain") + " at " + Figures.plain(watts) + " W";
  }

  @Override
  public List<Double> loads() {
    return List.of(watts);
  }

  /** A drain has one load, which is kept as such. */
  @Override
  public List<Double> keptLoads() {
    return List.of();
  }

  @Override
  public Procedure procedure() {
    return direct ? Drain.dc(watts, volts) : Drain.ac(volts);
  }

  @Override
  public boolean atPort() {
    return direct;
  }

  @Override
  public double designWatts() {
    return direct ? 0 : watts;
  }

  @Override
  public ByHand byHand() {
    String load = Figures.plain(watts, Unit.WATT);
    return ByHand.of(direct ? Drain.DC : Drain.AC, procedure().steps())
        .step("on", "Switch the load on: " + load)
        .how(
            direct
                ? "Write what the display shows and the tester's totals first, such as: 100 %, 0 Wh,"
                    + " 0 Ah."
                : "Write what the display and the meter show first, such as: 100 %, 0 Wh.")
        .about(watts)
        .on(OperatorEvent.LOAD_ON, "run")
        .nextPart()
        .step("run", "Let it run. Look in now and then")
        .how(
            direct
                ? "Write the tester's Wh and Ah, volts and amps, and the display. Press when the port"
                    + " goes dead."
                : "Write the total, the watts and the display. Press at the moment the output drops"
                    + " out.")
        .clock("under load for")
        .about(watts)
        .on(OperatorEvent.DROPPED_OUT, "end")
        .on(OperatorEvent.TAKEN_OFF, "early")
        .nextPart()
        .step("end", "Write what meter and display show now")
        .how(
            "The last total, the charge shown, and any code. A meter that died with the output tells"
                + " once it has power again: read it before you recharge for real.")
        .last(OperatorEvent.DONE, "The output dropped out, seen by hand.")
        .step("early", "Write what meter and display show now")
        .how("The drain is not whole; it tells the least the unit holds.")
        .broken(OperatorEvent.DONE, "The load was taken off before the output dropped out.")
        .build();
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return direct
        ? SimulatedRig.BARE.clamped(Clamped.PORT)
        : SimulatedRig.heaters(loads(), outletVolts, faults);
  }

  @Override
  public List<RigCable> leads(Label label) {
    Leads leads = new Leads(label);
    return direct ? leads.port(watts / volts, volts) : leads.outlet(watts, volts);
  }

  @Override
  public List<TypedKind> typed() {
    return direct
        ? List.of(
            TypedKind.DC_TOTAL,
            TypedKind.DC_CHARGE,
            TypedKind.DISPLAY,
            TypedKind.DC_VOLTS,
            TypedKind.DC_AMPS)
        : List.of(TypedKind.DISPLAY, TypedKind.TOTAL, TypedKind.CLOCK, TypedKind.POWER);
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "Say so when the output drops out, and type the last reading."
        : "Ends by itself when the output drops out.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(
        new LiveTile(
            direct ? "Out of the port" : "Out of the socket",
            "W",
            m ->
                new LiveTile.Now(
                    Figures.fixed(m.view().watts(), 1), direct ? m.port() : m.outlet())),
        new LiveTile("Delivered so far", "Wh", DrainSettings::delivered),
        new LiveTile("Ends in about", "", DrainSettings::end),
        new LiveTile("Display says", "%", DrainSettings::display));
  }

  @Override
  public List<LiveTile.Now> ahead(ExpectedEnd end) {
    return List.of(
        new LiveTile.Now("–", "not started"),
        new LiveTile.Now("–", "about " + Figures.fixed(end.total(), 0) + " Wh expected"),
        new LiveTile.Now(minutes(end.secondsLeft()), between(end) + " once it runs"),
        new LiveTile.Now("–", "read it off the unit"));
  }

  private static LiveTile.Now delivered(LiveMoment m) {
    RunView view = m.view();
    return new LiveTile.Now(
        Figures.fixed(m.delivered(), 1),
        Figures.fixed(100 * m.delivered() / m.ratedWattHours(), 0)
            + " % of label, "
            + Figures.clock(view.loadedSeconds() > 0 ? view.loadedSeconds() : m.frame().seconds())
            + " in");
  }

  private static LiveTile.Now end(LiveMoment m) {
    RunView view = m.view();
    ExpectedEnd end = m.expectedEnd();
    return view.phase() == Phase.MEASURING || view.phase() == Phase.SETTLING
        ? new LiveTile.Now(minutes(end.secondsLeft()), between(end))
        : new LiveTile.Now(view.phase().over() ? "ended" : "–", m.phase());
  }

  private static LiveTile.Now display(LiveMoment m) {
    double counted = 100 - 100 * m.delivered() / m.expectedEnd().total();
    return new LiveTile.Now(
        Figures.fixed(m.displayCharge(), 0),
        "energy says about " + Figures.fixed(Math.max(0, counted), 0) + " %");
  }

  private static String minutes(double seconds) {
    return Figures.fixed(seconds / 60, 0) + " min";
  }

  private static String between(ExpectedEnd end) {
    return Figures.fixed(end.soonest() / 60, 0)
        + " to "
        + Figures.fixed(end.latest() / 60, 0)
        + " min";
  }

  /** As a run kept it. */
  static DrainSettings kept(boolean direct, org.wiseember.workbook.RunSettings kept) {
    double volts = kept.volts() > 0 ? kept.volts() : direct ? FromLabel.PORT_VOLTS : 0;
    return new DrainSettings(
        direct, kept.loads().isEmpty() ? kept.loadWatts() : kept.loads().get(0), volts, "");
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.emptying(
        unit.hours(watts) + 0.1, Equipment.LOADS, direct ? Equipment.DC_METER : Equipment.AC_METER);
  }
}

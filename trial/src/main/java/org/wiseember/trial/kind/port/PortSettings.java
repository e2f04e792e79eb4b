package org.wiseember.trial.kind.port;

import java.util.List;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.PortSteps;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Clamped;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Leads;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;

/** Currents of a 12 V port, A, light to heavy. */
public record PortSettings(List<Double> loads, double volts, String reason)
    implements TestSettings {
  public PortSettings {
    loads = List.copyOf(loads);
  }

  @Override
  public String title() {
    return "12 V port up to " + Figures.plain(watts()) + " A";
  }

  @Override
  public Procedure procedure() {
    return new PortSteps(loads);
  }

  @Override
  public boolean atPort() {
    return true;
  }

  @Override
  public double designWatts() {
    return 0;
  }

  @Override
  public double chartWatts() {
    return watts() * volts;
  }

  @Override
  public ByHand byHand() {
    ByHand.Script script =
        ByHand.of(PortSteps.KIND, procedure().steps())
            .step("ready", "Port on, load off")
            .how("Write the volts without load.")
            .on(OperatorEvent.DONE, "set-0");
    for (int i = 0; i < loads.size(); i++) {
      String amps = Figures.plain(loads.get(i), Unit.AMPERE);
      boolean last = i == loads.size() - 1;
      script
          .nextPart()
          .step("set-" + i, "Load to " + amps)
          .how("Press when the load draws it.")
          .about(loads.get(i))
          .skippable()
          .on(OperatorEvent.LOAD_ON, "read-" + i)
          .step("read-" + i, "Read volts and amps at " + amps)
          .how("Wait 20 s, then write both, such as: 13.2 V, " + amps + ".")
          .clock("on for")
          .about(loads.get(i));
      script.onward(OperatorEvent.READ, "set-" + (i + 1), last, "Tried up to " + amps + ".");
      script.on(OperatorEvent.WENT_OFF, "off");
    }
    return script
        .step("off", "It went off. Load off, then see how it comes back")
        .how("Write what it takes: by itself, its button, a code.")
        .clock("off for")
        .last(OperatorEvent.DONE, "The port went off.")
        .build();
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.BARE.clamped(Clamped.PORT);
  }

  @Override
  public List<RigCable> leads(Label label) {
    return new Leads(label).port(watts(), volts);
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.DC_VOLTS, TypedKind.DC_AMPS);
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "Step the current up and read both, until the port switches off."
        : "Steps the current up until the port switches off.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(LiveTile.PORT, LiveTile.PORT_AMPS, LiveTile.PORT_VOLTS, LiveTile.CLOCK);
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(2, 0.4, Equipment.LOADS, Equipment.DC_METER);
  }
}

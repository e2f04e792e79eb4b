package org.wiseember.trial.test.port;

import java.util.List;
import java.util.Set;
import org.wiseember.bench.procedure.PortSteps;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Clamped;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.test.Leads;
import org.wiseember.trial.test.LiveTile;
import org.wiseember.trial.test.RigCable;
import org.wiseember.trial.test.SimulatedRig;
import org.wiseember.trial.test.TestSettings;

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
    return "Steps the current up until the port switches off.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(LiveTile.PORT, LiveTile.PORT_AMPS, LiveTile.PORT_VOLTS, LiveTile.CLOCK);
  }
}

package org.wiseember.trial.kind.transfer;

import java.util.List;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.SwitchOver;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.SideInstrument;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.UnitTimes;

/** A light load and a heavy one behind the mains. */
public record TransferSettings(List<Double> loads, double volts, String reason)
    implements TestSettings {
  private static final int PULLS = 5;
  private static final double HALF_FULL = 0.6;

  public TransferSettings {
    loads = List.copyOf(loads);
  }

  @Override
  public String title() {
    return "Switch-over";
  }

  @Override
  public Procedure procedure() {
    double light = loads.isEmpty() ? FromLabel.USUAL_WATTS : loads.get(0);
    return new SwitchOver(light, Math.max(light, watts()), PULLS, volts);
  }

  @Override
  public ByHand byHand() {
    ByHand.Script script =
        ByHand.of(SwitchOver.KIND, procedure().steps())
            .step("light", "Mains through to the light load")
            .how("Write watts and volts at the outlet.")
            .on(OperatorEvent.READ, "pull-1");
    for (int i = 1; i <= PULLS; i++) {
      script
          .nextPart()
          .step("pull-" + i, "Pull the wall plug and watch lamp and computer")
          .how(
              "Pull "
                  + i
                  + " of "
                  + PULLS
                  + ". Milliseconds are for a scope; eyes see what stays on.")
          .about(i)
          .skippable()
          .on(OperatorEvent.BOTH_STAYED, "back-" + i)
          .on(OperatorEvent.LAMP_BLINKED, "back-" + i)
          .on(OperatorEvent.COMPUTER_WENT, "back-" + i)
          .step("back-" + i, "Wall plug back in")
          .how("Add the scope's file in Evidence, where there is one.");
      script.onward(
          OperatorEvent.DONE, "pull-" + (i + 1), i == PULLS, "Plug pulled " + PULLS + " times.");
    }
    return script.build();
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.heaters(loads, outletVolts, faults)
        .beside(Set.of(SideInstrument.WALL_METER))
        .charged(HALF_FULL);
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.POWER, TypedKind.VOLTS);
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "Pull the plug five times and say what stayed on."
        : "The mains plug is pulled five times with a scope on the outlet.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(LiveTile.SOCKET, LiveTile.OUTLET_VOLTS, LiveTile.FROM_WALL, LiveTile.CLOCK);
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(3, 0.5, Equipment.LOADS, Equipment.MAINS, Equipment.SCOPE);
  }
}

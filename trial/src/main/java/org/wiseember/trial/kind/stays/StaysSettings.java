package org.wiseember.trial.kind.stays;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.StaysOn;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.SideInstrument;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.UnitTimes;

/**
 * A lamp and a computer at the outlet, and how often the wall plug is pulled.
 *
 * @param load of both together, W
 */
public record StaysSettings(double load, int pulls, double volts, String reason)
    implements TestSettings {
  private static final String PULLS = "pulls";

  /** So many say something of the next one. */
  static final int USUAL_PULLS = 5;

  static int pulls(Map<String, String> kept) {
    try {
      return Math.max(1, Integer.parseInt(kept.getOrDefault(PULLS, "")));
    } catch (NumberFormatException e) {
      return USUAL_PULLS;
    }
  }

  @Override
  public String title() {
    return "What stays on";
  }

  @Override
  public List<Double> loads() {
    return List.of(load);
  }

  @Override
  public Map<String, String> particulars() {
    return Map.of(PULLS, Integer.toString(pulls));
  }

  @Override
  public Procedure procedure() {
    return new StaysOn(load, pulls);
  }

  @Override
  public ByHand byHand() {
    ByHand.Script script =
        ByHand.of(StaysOn.KIND, procedure().steps())
            .step("ready", "Charger in the wall, lamp and computer on at the outlet")
            .how("Something on every other output. Write which are on: AC on, 12 V on, USB off.")
            .on(OperatorEvent.DONE, "pull-1");
    for (int i = 1; i <= pulls; i++) {
      String next = "back-" + i;
      script
          .nextPart()
          .step("pull-" + i, "Pull the wall plug and watch both")
          .how("Pull " + i + " of " + pulls + ". At its body, with dry hands.")
          .about(i)
          .skippable()
          .on(OperatorEvent.BOTH_STAYED, next)
          .on(OperatorEvent.LAMP_BLINKED, next)
          .on(OperatorEvent.COMPUTER_WENT, next)
          .step(next, i == pulls ? "Wall plug back in" : "Wall plug back in, wait half a minute")
          .how("Write what went off as the plug went in, such as: AC back.")
          .clock("back in for");
      script.onward(
          OperatorEvent.DONE, "pull-" + (i + 1), i == pulls, "Plug pulled " + pulls + " times.");
    }
    return script.build();
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.heaters(loads(), outletVolts, faults).beside(Set.of(SideInstrument.EYES));
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(
        TypedKind.AC_ALIVE,
        TypedKind.DC_ALIVE,
        TypedKind.USB_ALIVE,
        TypedKind.PULLS,
        TypedKind.LAMP_STEADY,
        TypedKind.COMPUTER_STAYED);
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "Say what stayed on at each pull. No scope is needed."
        : "The wall plug is pulled " + pulls + " times.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(LiveTile.SOCKET, LiveTile.OUTLET_VOLTS, LiveTile.FROM_WALL, LiveTile.CLOCK);
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(2, 0.3, Equipment.LOADS, Equipment.MAINS);
  }
}

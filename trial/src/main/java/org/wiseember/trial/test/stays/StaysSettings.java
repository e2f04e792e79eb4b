package org.wiseember.trial.test.stays;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.StaysOn;
import org.wiseember.bench.simulated.Beside;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.test.LiveTile;
import org.wiseember.trial.test.SimulatedRig;
import org.wiseember.trial.test.TestSettings;

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
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.heaters(loads(), outletVolts, faults).beside(Set.of(Beside.EYES));
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
        ? "Type what you saw, then go on. No scope is needed."
        : "The wall plug is pulled " + pulls + " times.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(LiveTile.SOCKET, LiveTile.OUTLET_VOLTS, LiveTile.FROM_WALL, LiveTile.CLOCK);
  }
}

package org.wiseember.trial.test.soak;

import java.util.List;
import java.util.Set;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.Fridge;
import org.wiseember.bench.simulated.LoadBank;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.test.LiveTile;
import org.wiseember.trial.test.SimulatedRig;
import org.wiseember.trial.test.TestSettings;

/** The small load; none for a bench that is only watched. */
public record SoakSettings(List<Double> loads, double volts, String reason)
    implements TestSettings {
  private static final double DAY_SECONDS = 86_400;

  public SoakSettings {
    loads = List.copyOf(loads);
  }

  @Override
  public String title() {
    return "Soak";
  }

  /** A bench that is only watched has no end of its own. */
  @Override
  public Procedure procedure() {
    return new Watching(loads.isEmpty() ? Double.MAX_VALUE : DAY_SECONDS);
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return loads.isEmpty()
        ? SimulatedRig.BARE
        : SimulatedRig.of(LoadBank.of(new Fridge(watts(), outletVolts, 0)));
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.POWER, TypedKind.VOLTS, TypedKind.DISPLAY);
  }

  @Override
  public String ends(boolean byHand) {
    return "Ends after 24 h, or when the output has gone off.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(LiveTile.SOCKET, LiveTile.OUTLET_VOLTS, LiveTile.CASE, LiveTile.clock("On for"));
  }
}

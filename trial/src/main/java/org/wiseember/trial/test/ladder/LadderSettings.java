package org.wiseember.trial.test.ladder;

import java.util.List;
import java.util.Set;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Clamped;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.test.LiveMoment;
import org.wiseember.trial.test.LiveTile;
import org.wiseember.trial.test.SimulatedRig;
import org.wiseember.trial.test.TestSettings;

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
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.heaters(loads, outletVolts, faults).clamped(Clamped.BATTERY);
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.POWER, TypedKind.DC_VOLTS, TypedKind.DC_AMPS);
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
}

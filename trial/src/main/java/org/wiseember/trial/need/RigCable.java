package org.wiseember.trial.need;

import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.wiring.CableRun;
import org.wiseember.core.wiring.Connector;

/**
 * One lead of a rig.
 *
 * @param where it runs, {@code battery to inverter}
 * @param part of the rig it is in
 * @param amps it carries at worst, A
 * @param cable thin enough to buy, thick enough to carry; empty where no known gauge does
 * @param connector at its ends
 */
public record RigCable(
    String where, Part part, double amps, Optional<CableRun> cable, Connector connector) {
  /** Which part of a rig a lead is in. */
  public enum Part {
    BATTERY,
    INTO_UNIT,
    TO_LOAD
  }

  /**
   * {@code Battery to inverter: 142.0 A at worst, 3/0 AWG or 95 mm² for 1 m (0.5 % lost), fuse 200
   * A, ring lugs.}, with figures and connector of this lead.
   */
  public String words() {
    String start =
        Character.toUpperCase(where.charAt(0))
            + where.substring(1)
            + ": "
            + Figures.fixed(amps, 1)
            + " A at worst, ";
    if (cable.isEmpty()) {
      return start
          + "more than one cable carries; halve the load or lay two in parallel, each fused.";
    }
    CableRun run = cable.get();
    return start
        + run.gauge().words()
        + " for "
        + Figures.plain(run.metres(), Unit.METRE)
        + " ("
        + Figures.fixed(run.dropPercent(), 1)
        + " % lost), fuse "
        + run.fuse().map(f -> Figures.plain(f, Unit.AMPERE)).orElse("–")
        + ", "
        + connector.words()
        + (amps > connector.amps()
            ? ", of which this is more than the usual " + Figures.plain(connector.amps()) + " A"
            : "")
        + ".";
  }
}

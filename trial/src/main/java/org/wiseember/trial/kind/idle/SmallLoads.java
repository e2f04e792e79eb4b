package org.wiseember.trial.kind.idle;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.idle.SmallLoad;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.trial.kind.UnitFindings;

/** Small loads from either side of a unit, where both idle draws and what it holds are known. */
public final class SmallLoads {
  /** Small loads people ask about: a phone, a router, a laptop, W. */
  private static final double[] WATTS = {10, 20, 60};

  /** Of the usual 12 V converter; common practice, no published source. */
  private static final double CONVERTER = 0.92;

  /** Loss a watt where no ladder says; common practice, no published source. */
  private static final double LOSS = 0.06;

  private SmallLoads() {}

  public static List<SmallLoad> of(UnitFindings unit) {
    Optional<Double> ac = newest(unit, "idle_ac");
    Optional<Double> dc = newest(unit, "idle_dc");
    Optional<Estimate> usable = unit.usableWattHours();
    if (ac.isEmpty() || dc.isEmpty() || usable.isEmpty() || !(dc.get() > 0) || !(ac.get() > 0)) {
      return List.of();
    }
    double loss = newest(unit, "loss_share").orElse(LOSS);
    return Arrays.stream(WATTS)
        .mapToObj(
            w ->
                SmallLoad.of(
                    w, ac.get(), Math.max(0, loss), dc.get(), CONVERTER, usable.get().value()))
        .toList();
  }

  private static Optional<Double> newest(UnitFindings unit, String key) {
    return unit.offered(key).stream()
        .reduce((a, b) -> b)
        .map(UnitFindings.Offered::figure)
        .map(Figure::value);
  }
}

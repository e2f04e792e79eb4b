package org.wiseember.core.heat;

import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Series;

/**
 * The watts at which a fan came on or went off, as far as they were read beside it. The fan may
 * follow heat and not watts, so these are the watts at that moment and no rule.
 */
public final class FanTurns {
  /** Watts read further away than this tell nothing of the moment, s; own choice. */
  private static final double NEAR = 60;

  private FanTurns() {}

  /**
   * Says it.
   *
   * @param fan its step, 0 for off, as it was noted
   * @param watts that went through meanwhile
   * @param side {@code out} or {@code in}
   * @return one sentence; empty where no turn was noted with watts near
   */
  public static Optional<String> words(Series fan, Series watts, String side) {
    StringBuilder said = new StringBuilder();
    for (int i = 0; i < fan.size(); i++) {
      boolean on = fan.value(i) > 0;
      boolean turned = i == 0 ? on : on != fan.value(i - 1) > 0;
      double near = nearest(watts, fan.seconds(i));
      if (turned && !Double.isNaN(near)) {
        said.append(said.isEmpty() ? "The fan " : ", ")
            .append(on ? "was on at " : "was off at ")
            .append(Figures.plain(Math.rint(near), Unit.WATT));
      }
    }
    return said.isEmpty() ? Optional.empty() : Optional.of(said + " " + side + ".");
  }

  private static double nearest(Series watts, double at) {
    double nearest = Double.NaN;
    double distance = NEAR;
    for (int i = watts.from(at - NEAR); i < watts.size() && watts.seconds(i) <= at + NEAR; i++) {
      if (Math.abs(watts.seconds(i) - at) <= distance) {
        distance = Math.abs(watts.seconds(i) - at);
        nearest = watts.value(i);
      }
    }
    return nearest;
  }
}

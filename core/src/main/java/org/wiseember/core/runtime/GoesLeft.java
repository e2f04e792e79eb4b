package org.wiseember.core.runtime;

import java.util.stream.Stream;

/**
 * How often a unit does something that takes its energy by the go.
 *
 * @param name of it
 * @param alone whole goes from the charge at the start and nothing else on
 * @param leastAlone as many at least, with every figure at its worse end
 * @param more whole goes beyond the plan, from what is left at its end
 */
public record GoesLeft(String name, int alone, int leastAlone, int more) {
  private static final double PERCENT = 100;

  /** Of one appliance of a plan that is used by the go. */
  public static GoesLeft of(RunTimeCase asked, ChargeCurve course, Appliance appliance) {
    ApplianceDraw draw = appliance.draw();
    EnergyCurve curve = asked.curve();
    double share = share(curve, appliance);
    double given = (asked.charge() - asked.reserve()) / PERCENT;
    double left = (course.chargeAtEnd() - asked.reserve()) / PERCENT;
    double worse =
        asked.varied().stream()
            .flatMap(v -> Stream.of(v.more().curve(), v.less().curve()))
            .mapToDouble(c -> share(c, appliance))
            .max()
            .orElse(share);
    return new GoesLeft(
        appliance.name(),
        whole(given / share),
        whole(given / (Math.max(share, worse) * (1 + draw.share95()))),
        whole(left / share));
  }

  /** Of a full unit, what one go takes. */
  private static double share(EnergyCurve curve, Appliance appliance) {
    ApplianceDraw draw = appliance.draw();
    double energy = draw.goWattHours();
    boolean ac = appliance.side() == Side.AC;
    if (draw.watts() > 0) {
      double hours = energy / draw.watts();
      return hours * curve.shareAnHour(ac ? draw.watts() : 0, ac, ac ? 0 : draw.watts());
    }
    return ac ? energy / curve.capacity() : energy * curve.directShare();
  }

  private static int whole(double goes) {
    // Rounding of sums that come out even takes no go away.
    return (int) Math.max(0, Math.min(1e6, Math.floor(goes + 1e-9)));
  }
}

package org.wiseember.core.notice;

import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/** A charge display that stands still while energy leaves the unit. */
public final class FrozenDisplay implements Watcher {
  /** Share of the rating that may leave between two steps of an honest display. */
  private static final double ALLOWED = 0.045;

  /** Until its first step nobody knows how coarse it is; five bars stand still for a fifth. */
  private static final double ALLOWED_AT_FIRST = 0.3;

  private final double ratedWattHours;
  private Frame last;
  private double shown = Double.NaN;
  private double since;
  private double drawn;
  private double largestStep;
  private boolean said;

  public FrozenDisplay(double ratedWattHours) {
    this.ratedWattHours = ratedWattHours;
  }

  @Override
  public List<Notice> take(Frame frame) {
    double watts = frame.value(Channel.AC_POWER);
    double charge = frame.value(Channel.DISPLAY_CHARGE);
    if (!Double.isNaN(watts)) {
      if (last != null) {
        drawn +=
            (watts + last.value(Channel.AC_POWER)) / 2 * (frame.seconds() - last.seconds()) / 3600;
      }
      last = frame;
    }
    if (Double.isNaN(charge)) {
      return List.of();
    }
    if (charge != shown) {
      largestStep = Double.isNaN(shown) ? 0 : Math.max(largestStep, Math.abs(charge - shown));
      shown = charge;
      since = frame.seconds();
      drawn = 0;
      return List.of();
    }
    double allowed =
        Math.max(largestStep == 0 ? ALLOWED_AT_FIRST : ALLOWED, 2.5 * largestStep / 100)
            * ratedWattHours;
    if (said || charge <= 0 || drawn <= allowed) {
      return List.of();
    }
    said = true;
    return List.of(
        new Notice(
            frame.seconds(),
            "display_frozen",
            "The display stands at "
                + Figures.plain(charge)
                + " % since "
                + Figures.clock(since)
                + " while "
                + Figures.fixed(drawn, 0)
                + " Wh left the socket, "
                + Figures.fixed(100 * drawn / ratedWattHours, 0)
                + " % of the label. It is frozen; do not trust it."));
  }
}

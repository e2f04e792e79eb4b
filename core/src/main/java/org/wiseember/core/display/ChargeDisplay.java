package org.wiseember.core.display;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * The charge display of a drain held against the energy that was still to come.
 *
 * @param steps one for every change of the display, in order of time
 */
public record ChargeDisplay(List<Step> steps) {
  /** Off by fewer points than this nobody is misled. */
  private static final double STRAIGHT = 5;

  /**
   * A moment at which the display changed.
   *
   * @param seconds on the trace's clock
   * @param shown what it changed to, %
   * @param left the share of the drain's energy still to come, %
   */
  public record Step(double seconds, double shown, double left) {
    /** Shown less true, points. */
    public double error() {
      return shown - left;
    }
  }

  public ChargeDisplay {
    steps = List.copyOf(steps);
  }

  /**
   * Compares the display of a drain with its energy.
   *
   * @return empty where the display was not read, or the drain has no energy
   */
  public static Optional<ChargeDisplay> of(Trace trace, CapacityFinding drain) {
    Series shown = trace.series(Channel.DISPLAY_CHARGE);
    Series watts =
        trace.series(Channel.AC_POWER).size() > 1
            ? trace.series(Channel.AC_POWER)
            : trace.product(Channel.DC_VOLTAGE, Channel.DC_CURRENT);
    if (shown.size() < 2 || watts.size() < 2 || drain.deliveredEnergy().isEmpty()) {
      return Optional.empty();
    }
    double whole = drain.deliveredEnergy().get().value();
    List<Step> steps = new ArrayList<>();
    double spent = 0;
    int at = watts.from(drain.startTime());
    double before = Double.NaN;
    for (int i = shown.from(drain.startTime());
        i < shown.size() && shown.seconds(i) <= drain.endTime();
        i++) {
      while (at + 1 < watts.size() && watts.seconds(at + 1) <= shown.seconds(i)) {
        spent +=
            (watts.value(at) + watts.value(at + 1))
                / 2
                * (watts.seconds(at + 1) - watts.seconds(at))
                / 3600;
        at++;
      }
      if (shown.value(i) != before) {
        before = shown.value(i);
        steps.add(new Step(shown.seconds(i), before, 100 * (1 - spent / whole)));
      }
    }
    return steps.isEmpty() ? Optional.empty() : Optional.of(new ChargeDisplay(steps));
  }

  /** The step at which it was off the most. */
  public Step worst() {
    return steps.stream()
        .reduce((a, b) -> Math.abs(a.error()) >= Math.abs(b.error()) ? a : b)
        .orElseThrow();
  }

  /** One sentence. */
  public String words() {
    Step worst = worst();
    if (Math.abs(worst.error()) < STRAIGHT) {
      return "The charge display follows the energy within "
          + Figures.fixed(Math.abs(worst.error()), 0)
          + " points.";
    }
    return "The charge display is off by up to "
        + Figures.fixed(Math.abs(worst.error()), 0)
        + " points: it showed "
        + Figures.plain(worst.shown())
        + " % with "
        + Figures.fixed(Math.max(0, worst.left()), 0)
        + " % of the energy still to come.";
  }
}

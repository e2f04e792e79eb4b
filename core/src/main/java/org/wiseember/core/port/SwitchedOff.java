package org.wiseember.core.port;

import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * An output that switched itself off under a small load, as a soak shows it: what ruins a fridge
 * overnight. Told apart from a cut-off by the charge that was left, where the display was read.
 *
 * @param at s from the start of the trace
 * @param within limits of that, ± s; infinite where all that is known is that it was later
 * @param watts mean over the ten minutes before; NaN where none were read
 * @param displayCharge % then; NaN where not read
 */
public record SwitchedOff(double at, double within, double watts, double displayCharge) {
  /** Known no better than this it went off between two looks, s. */
  private static final double BETWEEN_LOOKS = 60;

  private static final double BEFORE = 600;
  private static final double DEAD_SHARE = 0.3;
  private static final int MOMENTS = 3;

  /** With more than this left it was no empty pack, %. */
  private static final double NOT_EMPTY = 12;

  /** Looks through a soak; empty where the output stayed on or the volts were not read. */
  public static Optional<SwitchedOff> in(Trace trace) {
    Series volts = trace.series(Channel.AC_VOLTAGE);
    double usual = 0;
    int dead = 0;
    for (int i = 0; i < volts.size(); i++) {
      usual = Math.max(usual, volts.value(i));
      dead = usual > 1 && volts.value(i) < DEAD_SHARE * usual ? dead + 1 : 0;
      if (dead == MOMENTS) {
        double at = volts.seconds(i - MOMENTS + 1);
        double charge = trace.series(Channel.DISPLAY_CHARGE).at(at, 600);
        return Optional.of(new SwitchedOff(at - trace.seconds(0), 0, mean(trace, at), charge));
      }
    }
    return Optional.empty();
  }

  private static double mean(Trace trace, double at) {
    Series watts = trace.series(Channel.AC_POWER);
    int from = watts.from(at - BEFORE);
    int to = watts.from(at) - 1;
    return to > from ? watts.integral(from, to) / (watts.seconds(to) - watts.seconds(from)) : 0;
  }

  /** Whether the pack still had charge, so that the output went off by itself. */
  public boolean byItself() {
    return displayCharge > NOT_EMPTY;
  }

  private String when() {
    if (Double.isInfinite(within)) {
      return "at a moment nobody noted, later than " + Figures.duration(at);
    }
    return within > BETWEEN_LOOKS
        ? "between "
            + Figures.duration(Math.max(0, at - within))
            + " and "
            + Figures.duration(at + within)
        : "after " + Figures.duration(at);
  }

  public String words() {
    return "The output went off "
        + when()
        + (Double.isNaN(watts) ? "" : " at " + Figures.fixed(watts, 1) + " W")
        + (Double.isNaN(displayCharge)
            ? "."
            : byItself()
                ? " with " + Figures.plain(displayCharge) + " % left: by itself, not empty."
                : " with " + Figures.plain(displayCharge) + " % left.");
  }
}

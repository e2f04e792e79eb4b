package org.wiseember.core.charge;

import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/** When the display of a unit that is charged came to a share, as labels mean it: read off. */
public final class DisplayReached {
  private DisplayReached() {}

  /**
   * Of a charge.
   *
   * @param trace with what the display showed
   * @param percent the share
   * @return s from the first charging reading; empty where the display was not read on both sides
   *     of it while it charged
   */
  public static Optional<Figure> after(Trace trace, ChargeFinding charge, double percent) {
    Series shown = trace.series(Channel.DISPLAY_CHARGE);
    int at = 0;
    while (at < shown.size()
        && (shown.seconds(at) < charge.startTime() || shown.value(at) < percent)) {
      at++;
    }
    if (!Double.isFinite(charge.startTime())
        || at == 0
        || at >= shown.size()
        || shown.value(at - 1) >= percent
        || shown.seconds(at) > charge.endTime()) {
      return Optional.empty();
    }
    double half = (shown.seconds(at) - shown.seconds(at - 1)) / 2;
    double seconds = shown.seconds(at) - half - charge.startTime();
    Budget budget =
        Budget.of(
            Contribution.wholeWidth("Between two looks at the display", half),
            Repeats.once(seconds, Repeats.WHOLE_TEST));
    return Optional.of(
        Figure.of(
            "display_" + Math.round(percent),
            Figures.plain(percent) + " % on the display after",
            seconds,
            Unit.SECOND,
            Because.of(
                    budget,
                    "The display came from "
                        + Figures.plain(shown.value(at - 1))
                        + " to "
                        + Figures.plain(shown.value(at))
                        + " % after "
                        + Figures.duration(seconds))
                .summed("until the display showed it")
                .watching("What a display shows is not the energy that is in.")));
  }
}

package org.wiseember.core.port;

import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What a small load drew on the mean over a long time. A running total tells it best, since it
 * misses no cycle; single readings of watts tell it only where nothing cycles; the display, coarse
 * as it is, tells it over a night with no meter at all.
 */
public final class SoakDraw {
  /** A display may be off by this many points within the charge it shows; own choice. */
  private static final double DISPLAY_POINTS = 1;

  private SoakDraw() {}

  /**
   * By a meter's running total.
   *
   * @param trace with totals, Wh, and when they were read
   * @param total the channel of the total
   * @return mean W; empty where it was not read twice, or did not rise
   */
  public static Optional<Figure> byTotal(
      Trace trace, Channel total, MeterClass meter, double step) {
    Series read = trace.series(total);
    int last = read.size() - 1;
    if (last < 1 || !(read.value(last) > read.value(0))) {
      return Optional.empty();
    }
    double hours = (read.seconds(last) - read.seconds(0)) / 3600;
    double wattHours = read.value(last) - read.value(0);
    Budget budget =
        Budget.of()
            .with("Meter", meter, wattHours, 1 / hours)
            .with(Contribution.rectangular("Read to the last digit at the start", step / 2 / hours))
            .with(Contribution.rectangular("Read to the last digit at the end", step / 2 / hours));
    return Optional.of(
        draw(
            "Mean draw",
            wattHours / hours,
            budget,
            Figures.plain(wattHours, Unit.WATT_HOUR) + " in " + Figures.duration(3600 * hours)));
  }

  /**
   * By watts that were read now and then: what lay between nobody knows.
   *
   * @param watts read, W
   * @return their mean, as wide as they lie apart; empty where none were read
   */
  public static Optional<Figure> byReadings(Series watts, MeterClass meter) {
    if (watts.size() == 0) {
      return Optional.empty();
    }
    double least = Double.POSITIVE_INFINITY;
    double most = 0;
    double sum = 0;
    for (int i = 0; i < watts.size(); i++) {
      least = Math.min(least, watts.value(i));
      most = Math.max(most, watts.value(i));
      sum += watts.value(i);
    }
    double mean = sum / watts.size();
    Budget budget = Budget.of().with("Meter", meter, mean, 1);
    if (most > least) {
      budget =
          budget.with(
              Contribution.wholeWidth("Between lowest and highest reading", (most - least) / 2));
    }
    return Optional.of(
        draw(
            "Watts at the looks",
            mean,
            budget,
            watts.size() == 1
                ? Figures.plain(mean, Unit.WATT) + " read once"
                : "mean of " + watts.size() + " readings",
            "What it drew between the looks nobody read; a total misses nothing."));
  }

  /**
   * By what the display lost.
   *
   * @param from % at the start
   * @param to % at the end
   * @param hours between the two, above 0
   * @param usable of the unit when full, Wh, measured or assumed
   * @return mean W; empty where the display did not fall
   */
  public static Optional<Figure> byDisplay(double from, double to, double hours, Figure usable) {
    double points = from - to;
    if (!(points > 0) || !(hours > 0)) {
      return Optional.empty();
    }
    double watts = points / 100 * usable.value() / hours;
    Budget budget =
        Budget.of(
            Contribution.rectangular("Display at the start", watts * DISPLAY_POINTS / points),
            Contribution.rectangular("Display at the end", watts * DISPLAY_POINTS / points),
            Contribution.of95(usable.name(), points / 100 * usable.u95() / hours));
    return Optional.of(
        draw(
            "Mean draw, by the display",
            watts,
            budget,
            Figures.plain(points)
                + " % of "
                + usable.words()
                + " in "
                + Figures.duration(3600 * hours),
            "It rests on: " + usable.name() + "."));
  }

  /**
   * What was drawn, of what the display says was used of the rated energy: the losses of the
   * output, and how the display counts.
   *
   * @param draw mean W, from a meter
   * @param from % at the start
   * @param to % at the end
   * @param hours between the two, above 0
   * @param rated on the label, Wh
   * @return %; empty where the display did not fall
   */
  public static Optional<Figure> ofShown(
      Figure draw, double from, double to, double hours, double rated) {
    double points = from - to;
    if (!(points > 0) || !(hours > 0) || !(rated > 0)) {
      return Optional.empty();
    }
    double drawn = draw.value() * hours;
    double shown = points / 100 * rated;
    double share = 100 * drawn / shown;
    Budget budget =
        draw.budget()
            .scaled(share / draw.value())
            .with(Contribution.rectangular("Display at the start", share * DISPLAY_POINTS / points))
            .with(Contribution.rectangular("Display at the end", share * DISPLAY_POINTS / points));
    return Optional.of(
        Figure.of(
            "drawn_of_shown",
            "Drawn, of what the display used up",
            share,
            Unit.PERCENT,
            Because.of(
                    budget,
                    Figures.withUnit(Figures.fixed(drawn, 0), Unit.WATT_HOUR)
                        + " drawn in "
                        + Figures.duration(3600 * hours),
                    Figures.plain(points)
                        + " % of "
                        + Figures.plain(rated, Unit.WATT_HOUR)
                        + " = "
                        + Figures.withUnit(Figures.fixed(shown, 0), Unit.WATT_HOUR))
                .from(draw)
                .summed("of the label's energy, by the display")));
  }

  private static Figure draw(
      String name, double watts, Budget budget, String worked, String... watch) {
    return Figure.of(
        "mean_draw",
        name,
        watts,
        Unit.WATT,
        Because.of(budget, worked).summed(worked).watching(watch));
  }
}

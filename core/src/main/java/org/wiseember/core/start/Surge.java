package org.wiseember.core.start;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/** What a unit gave to a motor that started, and to one that did not, VA over one cycle. */
public final class Surge {
  private Surge() {}

  /** The most it gave in a start that went: the least it can give. Empty where none was caught. */
  public static Optional<Figure> held(StartSeries series) {
    return series.held().isEmpty()
        ? Optional.empty()
        : Optional.of(
            figure("surge", "Surge, by a start", series.held().getAsDouble(), series)
                .bounded(Bound.AT_LEAST));
  }

  /** The least it gave in a start that failed. Empty where none was caught. */
  public static Optional<Figure> failed(StartSeries series) {
    return series.failed().isEmpty()
        ? Optional.empty()
        : Optional.of(
            figure(
                "surge_failed", "Surge, by a failed start", series.failed().getAsDouble(), series));
  }

  private static Figure figure(String key, String name, double va, StartSeries series) {
    List<String> watch = new ArrayList<>();
    if (!series.watchOut().isEmpty()) {
      watch.add(series.watchOut());
    }
    watch.add("A weak source limits its own inrush: a lower peak here is no gentler motor.");
    return Figure.of(
        key,
        name,
        va,
        Unit.VOLT_AMPERE,
        Because.of(
                Budget.of(
                    Contribution.wholeWidth(
                        "Probe and clamp, "
                            + Figures.plain(Math.rint(1000 * series.share()) / 10)
                            + " %",
                        series.share() * va)),
                tries(series))
            .summed("most volts × amps over one cycle of a start")
            .watching(watch)
            .otherwise(
                "Some multiply the highest volt by the highest ampere, which is up to twice as"
                    + " much."));
  }

  /** A surge as labels print it: they say watts and mean the volts × amps of a start. */
  public static Figure asPrinted(Figure surge) {
    return new Figure(
        surge.key(),
        surge.name(),
        surge.estimate(),
        Unit.WATT,
        surge.bound(),
        surge.because().watching("Volts × amps of a start, held against the watts of the label."));
  }

  /** Every try with what it took, a line each. */
  public static List<String> tries(StartSeries series) {
    List<String> lines = new ArrayList<>();
    for (int i = 0; i < series.tries().size(); i++) {
      StartSeries.Try t = series.tries().get(i);
      lines.add(
          "Try "
              + (i + 1)
              + ": "
              + t.outcome().words()
              + (Double.isNaN(t.peakAmps())
                  ? ""
                  : ", peak " + Figures.fixed(t.peakAmps(), 1) + " A")
              + (Double.isNaN(t.voltAmperes())
                  ? ""
                  : ", " + Figures.fixed(t.voltAmperes(), 0) + " VA"));
    }
    return lines;
  }
}

package org.wiseember.core.cost;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.descriptive.StreamingStatistics;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * What the grid charged, month by month, before and after: each month is compared with itself a
 * year before, so that seasons fall out. Weather does not, and neither does an air conditioner that
 * came or went; that is why both are asked.
 *
 * @param months in their order
 * @param weatherShare of a bill that follows the weather, 0 to 1; NaN where nobody said
 */
public record Bills(List<Month> months, double weatherShare) {
  private static final double PERCENT = 100;

  /** So many months at least tell a change from a mood. */
  private static final int FEW = 6;

  /**
   * A month in both years.
   *
   * @param before kWh a year before
   * @param after kWh of this year
   * @param degreesBefore degree days a year before, of heating or cooling; NaN where unknown
   * @param degreesAfter degree days of this year
   */
  public record Month(
      String name, double before, double after, double degreesBefore, double degreesAfter) {
    public Month {
      if (!(before > 0) || !(after >= 0)) {
        throw new IllegalArgumentException(name + ": both years' kWh are needed");
      }
    }

    /** One of which nobody noted the weather. */
    public Month(String name, double before, double after) {
      this(name, before, after, Double.NaN, Double.NaN);
    }

    /** What it would have been a year before in this year's weather. */
    double expected(double share) {
      boolean known = share > 0 && degreesBefore > 0 && degreesAfter >= 0;
      return known ? before * (1 - share + share * degreesAfter / degreesBefore) : before;
    }
  }

  public Bills {
    months = List.copyOf(months);
  }

  /**
   * By how much the bill fell, %, with the interval months allow that differ by themselves; empty
   * without a month.
   */
  public Optional<Figure> saved() {
    if (months.isEmpty()) {
      return Optional.empty();
    }
    StreamingStatistics differences = new StreamingStatistics();
    double expected = 0;
    double after = 0;
    List<String> lines = new ArrayList<>();
    for (Month m : months) {
      double was = m.expected(weatherShare);
      differences.addValue(was - m.after());
      expected += was;
      after += m.after();
      lines.add(
          m.name() + ": " + Figures.fixed(was, 0) + " → " + Figures.fixed(m.after(), 0) + " kWh");
    }
    int n = months.size();
    Budget budget = Budget.of();
    if (n > 1) {
      double spread = differences.getStandardDeviation() * Math.sqrt(n) / expected * PERCENT;
      budget = budget.with(new Contribution("Months differ by themselves", spread, n - 1.0, ""));
    }
    return Optional.of(
        Figure.of(
            "saved",
            "The bill fell by",
            PERCENT * (1 - after / expected),
            Unit.PERCENT,
            Because.of(budget, lines)
                .summed(Figures.fixed(expected, 0) + " → " + Figures.fixed(after, 0) + " kWh")));
  }

  /** What to ask before it is believed. */
  public List<Warning> warnings() {
    List<Warning> all = new ArrayList<>();
    if (months.size() < FEW) {
      all.add(
          new Warning(
              "few_months", "Of fewer than six months a fall may be chance; go on for a year."));
    }
    if (Double.isNaN(weatherShare)) {
      all.add(
          new Warning(
              "weather_not_asked",
              "Was the weather the same, and did an air conditioner or a heater come or go? Type which"
                  + " share of the bill follows the weather; none is corrected for."));
    } else if (weatherShare > 0 && months.stream().anyMatch(m -> Double.isNaN(m.degreesBefore()))) {
      all.add(
          new Warning(
              "degree_days_missing",
              "A share follows the weather, but some months have no degree days: those are not"
                  + " corrected."));
    }
    return all;
  }
}

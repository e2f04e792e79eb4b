package org.wiseember.core.display;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.stat.regression.SimpleRegression;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * How the watts on a display follow the watts of a meter: shown = offset + scale × measured, a
 * straight line by least squares where loads differ enough to tell the two apart, else the scale
 * alone.
 *
 * @param pairs it rests on
 * @param scale shown for each measured watt, %
 * @param offset shown with no load, W; empty where the loads do not tell it
 * @param floor the heaviest load it showed as nothing, W; empty where it showed all
 */
public record DisplayLine(
    List<DisplayAudit.Pair> pairs,
    Optional<Figure> scale,
    Optional<Figure> offset,
    OptionalDouble floor) {
  /** Loads that differ less than this do not tell an offset from a scale; own choice. */
  private static final double SPREAD = 2;

  private static final int ENOUGH = 3;

  /** A display in whole watts. */
  private static final double HALF_A_WATT = 0.5;

  /** Less than this on a meter is no load that a display would have to show, W. */
  private static final double A_LOAD = 1;

  public DisplayLine {
    pairs = List.copyOf(pairs);
  }

  /**
   * Fits it.
   *
   * @param name of the display, as it begins the figures' names
   * @param key before the figures' keys
   */
  public static DisplayLine of(String key, String name, List<DisplayAudit.Pair> pairs) {
    OptionalDouble floor =
        pairs.stream()
            .filter(p -> p.shown() < HALF_A_WATT && p.measured() > A_LOAD)
            .mapToDouble(DisplayAudit.Pair::measured)
            .max();
    List<DisplayAudit.Pair> shown =
        pairs.stream().filter(p -> p.shown() >= HALF_A_WATT && p.measured() > A_LOAD).toList();
    if (shown.isEmpty()) {
      return new DisplayLine(pairs, Optional.empty(), Optional.empty(), floor);
    }
    double least = shown.stream().mapToDouble(DisplayAudit.Pair::measured).min().orElseThrow();
    double most = shown.stream().mapToDouble(DisplayAudit.Pair::measured).max().orElseThrow();
    double meter =
        shown.stream().mapToDouble(p -> p.within() / p.measured()).average().orElseThrow();
    return shown.size() >= ENOUGH && most >= SPREAD * least
        ? line(key, name, pairs, shown, meter, floor)
        : ratio(key, name, pairs, shown, meter, floor);
  }

  private static DisplayLine line(
      String key,
      String name,
      List<DisplayAudit.Pair> all,
      List<DisplayAudit.Pair> shown,
      double meter,
      OptionalDouble floor) {
    SimpleRegression line = new SimpleRegression();
    shown.forEach(p -> line.addData(p.measured(), p.shown()));
    double slope = line.getSlope();
    double apart =
        shown.stream().mapToDouble(DisplayAudit.Pair::measured).max().orElseThrow()
            - shown.stream().mapToDouble(DisplayAudit.Pair::measured).min().orElseThrow();
    Budget budget =
        Budget.of(
            Contribution.typeA(
                "Scatter about the line", 100 * line.getSlopeStdErr(), shown.size() - 1),
            Contribution.rectangular("Meter", 100 * slope * meter),
            Contribution.rectangular("Whole watts on the display", 100 * HALF_A_WATT / apart));
    Budget nothing =
        Budget.of(
            Contribution.typeA(
                "Scatter about the line", line.getInterceptStdErr(), shown.size() - 1),
            Contribution.rectangular("Whole watts on the display", HALF_A_WATT));
    String worked =
        shown.size() + " readings from " + range(shown) + ", a straight line by least squares";
    return new DisplayLine(
        all,
        Optional.of(
            Figure.of(
                key + "_scale",
                name,
                100 * slope,
                Unit.PERCENT,
                Because.of(budget, worked).summed("shown for each watt measured"))),
        Optional.of(
            Figure.of(
                key + "_offset",
                name + ", offset",
                line.getIntercept(),
                Unit.WATT,
                Because.of(nothing, worked).summed("what the line shows with no load"))),
        floor);
  }

  private static DisplayLine ratio(
      String key,
      String name,
      List<DisplayAudit.Pair> all,
      List<DisplayAudit.Pair> shown,
      double meter,
      OptionalDouble floor) {
    double[] ratios = shown.stream().mapToDouble(p -> 100 * p.shown() / p.measured()).toArray();
    double sum = 0;
    double least = Double.POSITIVE_INFINITY;
    double most = 0;
    for (double r : ratios) {
      sum += r;
      least = Math.min(least, r);
      most = Math.max(most, r);
    }
    double mean = sum / ratios.length;
    double lightest = shown.stream().mapToDouble(DisplayAudit.Pair::measured).min().orElseThrow();
    Budget budget =
        Budget.of(
            Contribution.rectangular("Meter", mean * meter),
            Contribution.rectangular("Whole watts on the display", 100 * HALF_A_WATT / lightest));
    if (most > least) {
      budget = budget.with(Contribution.wholeWidth("Between the readings", (most - least) / 2));
    }
    List<String> worked = new ArrayList<>();
    for (DisplayAudit.Pair p : shown.subList(0, Math.min(4, shown.size()))) {
      worked.add(
          Figures.plain(p.shown(), Unit.WATT)
              + " shown for "
              + Figures.plain(p.measured(), Unit.WATT));
    }
    return new DisplayLine(
        all,
        Optional.of(
            Figure.of(
                key + "_scale",
                name,
                mean,
                Unit.PERCENT,
                Because.of(budget, worked)
                    .summed("shown against measured")
                    .watching(
                        "Loads that lie close together do not tell an offset from a scale."))),
        Optional.empty(),
        floor);
  }

  private static String range(List<DisplayAudit.Pair> pairs) {
    double least = pairs.stream().mapToDouble(DisplayAudit.Pair::measured).min().orElseThrow();
    double most = pairs.stream().mapToDouble(DisplayAudit.Pair::measured).max().orElseThrow();
    return Figures.fixed(least, 0) + " to " + Figures.withUnit(Figures.fixed(most, 0), Unit.WATT);
  }

  /** The figures it gives. */
  public List<Figure> figures() {
    List<Figure> all = new ArrayList<>(scale.stream().toList());
    all.addAll(offset.stream().toList());
    return all;
  }
}

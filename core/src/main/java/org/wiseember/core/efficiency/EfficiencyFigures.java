package org.wiseember.core.efficiency;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/** The figures of a ladder, each with its own because. */
final class EfficiencyFigures {
  private static final String WATCH =
      "AC watts out over DC watts in at the same moment. It says nothing of how much a charge"
          + " yields; that is another figure.";

  private static final String OTHER =
      "Some hold that more load means more loss, others that small loads are worst. Both are half"
          + " right: the draw without load weighs on small loads, resistance on heavy ones, and the"
          + " best lies between. One could also divide load watts by volts and compare amps; that"
          + " mixes in the battery's sag and is another figure.";

  private EfficiencyFigures() {}

  /** The efficiency at a load that was measured, %. */
  static Figure at(LoadPoint p) {
    return Figure.of(
        "efficiency@" + Math.round(p.acWatts()),
        "Efficiency at " + Figures.fixed(p.acWatts(), 0) + " W",
        p.percent(),
        Unit.PERCENT,
        Because.of(p.budget(), ratio(p))
            .summed(
                p.repeats() > 1
                    ? "measured " + p.repeats() + " times"
                    : "measured at one moment, settled")
            .watching(WATCH)
            .otherwise(OTHER));
  }

  /** The efficiency at any load, off the curve, %. */
  static Figure at(double watts, LossFit fit, List<LoadPoint> points) {
    double percent = 100 * fit.curve().efficiency(watts);
    Budget budget = repeated(percent, fit.budget(c -> 100 * c.efficiency(watts)));
    return Figure.of(
        "efficiency_by_curve@" + Math.round(watts),
        "Efficiency at " + Figures.fixed(watts, 0) + " W",
        percent,
        Unit.PERCENT,
        byCurve(
                budget,
                fit,
                points,
                Figures.fixed(watts, 1)
                    + " ÷ ("
                    + Figures.fixed(watts, 1)
                    + " + "
                    + Figures.fixed(fit.curve().dcWatts(watts) - watts, 1)
                    + ") = "
                    + Figures.rounded(percent, budget.u95())
                    + " %")
            .summed("read off the curve through " + points.size() + " loads"));
  }

  private static Because byCurve(
      Budget budget, LossFit fit, List<LoadPoint> points, String... result) {
    List<String> sum = new ArrayList<>();
    sum.add(curve(fit.curve()));
    sum.addAll(List.of(result));
    return Because.of(budget, sum)
        .from(points.stream().map(LoadPoint::efficiency).toArray(Figure[]::new))
        .watching(WATCH)
        .otherwise(OTHER);
  }

  private static Budget repeated(double percent, Budget budget) {
    return budget.with(Repeats.once(percent, Repeats.WHOLE_TEST));
  }

  /** The best of the curve, %. */
  static Figure peak(
      LossFit fit, List<LoadPoint> points, double goodFrom, double goodTo, List<Warning> warnings) {
    LossCurve c = fit.curve();
    double percent = 100 * c.peakEfficiency();
    Budget budget = repeated(percent, fit.budget(x -> 100 * x.peakEfficiency()));
    return Figure.of(
        "peak_efficiency",
        "Peak efficiency",
        percent,
        Unit.PERCENT,
        byCurve(
                budget,
                fit,
                points,
                "η = 1 ÷ (1 + p₁ + 2·√(p₀·p₂)) = " + Figures.rounded(percent, budget.u95()) + " %",
                "Within two points of it from "
                    + Figures.fixed(goodFrom, 0)
                    + " to "
                    + Figures.fixed(goodTo, 0)
                    + " W")
            .summed("at " + Figures.fixed(c.peakLoad(), 0) + " W, from " + points.size() + " loads")
            .watching(warnings.stream().map(Warning::message).toList()));
  }

  /** The load of the best, W. */
  static Figure peakLoad(LossFit fit, List<LoadPoint> points) {
    LossCurve c = fit.curve();
    Budget budget = fit.bendingBudget(LossCurve::peakLoad);
    return Figure.of(
        "peak_load",
        "Load of the peak",
        c.peakLoad(),
        Unit.WATT,
        byCurve(
                budget,
                fit,
                points,
                "Peak at √("
                    + Figures.plain(c.p0())
                    + " ÷ "
                    + small(c.p2())
                    + ") = "
                    + Figures.rounded(c.peakLoad(), budget.u95())
                    + " W")
            .summed("where the curve is highest"));
  }

  /** A weighted efficiency, %. */
  static Figure weighted(Weighting w, double ratedWatts, LossFit fit, List<LoadPoint> points) {
    ToDoubleFunction<LossCurve> what = c -> 100 * w.of(c::efficiency, ratedWatts);
    List<String> parts =
        w.shares().stream()
            .map(s -> Figures.plain(s.weight()) + "·η" + Figures.plain(s.percent()))
            .toList();
    Budget budget = repeated(what.applyAsDouble(fit.curve()), fit.budget(what));
    return Figure.of(
        w.key(),
        w.words() + " efficiency",
        what.applyAsDouble(fit.curve()),
        Unit.PERCENT,
        byCurve(
                budget,
                fit,
                points,
                String.join(" + ", parts)
                    + " = "
                    + Figures.rounded(what.applyAsDouble(fit.curve()), budget.u95())
                    + " %")
            .summed("weighted at shares of " + Figures.plain(ratedWatts, Unit.WATT)));
  }

  /** The draw with the output on and nothing plugged in, W. */
  static Figure noLoad(double watts, Budget budget, int steps) {
    return Figure.of(
        "no_load",
        "Draw without load",
        watts,
        Unit.WATT,
        Because.of(budget, "Mean of the DC watts = " + Figures.rounded(watts, budget.u95()) + " W")
            .summed(steps == 1 ? "over one stretch" : "over " + steps + " stretches"));
  }

  /** The terms of the loss curve: p0 in W, p1 in W a W, p2 in W a W². */
  static List<Figure> terms(LossFit fit, List<LoadPoint> points) {
    return List.of(
        term("fit_p0", "Loss without load", Unit.WATT, LossCurve::p0, fit, points),
        term("fit_p1", "Loss with the load", Unit.ONE, LossCurve::p1, fit, points),
        term("fit_p2", "Loss with its square", Unit.PER_WATT, LossCurve::p2, fit, points));
  }

  private static Figure term(
      String key,
      String name,
      Unit unit,
      ToDoubleFunction<LossCurve> what,
      LossFit fit,
      List<LoadPoint> points) {
    return Figure.of(
        key,
        name,
        what.applyAsDouble(fit.curve()),
        unit,
        byCurve(fit.budget(what), fit, points).summed("term of the loss curve"));
  }

  /** Volts lost from no load to a load, %. */
  static Figure droop(double percent, double atWatts, Budget budget, double noLoadVolts) {
    return Figure.of(
        "droop",
        "Volts lost at " + Figures.fixed(atWatts, 0) + " W",
        percent,
        Unit.PERCENT,
        Because.of(
                budget,
                "Straight line through the volts of the loads: "
                    + Figures.fixed(noLoadVolts, 1)
                    + " V without load, "
                    + Figures.fixed(noLoadVolts * (1 - percent / 100), 1)
                    + " V at "
                    + Figures.fixed(atWatts, 0)
                    + " W")
            .summed("of the volts without load"));
  }

  private static String ratio(LoadPoint p) {
    return Figures.fixed(p.acWatts(), 1)
        + " W ÷ "
        + Figures.fixed(p.dcWatts(), 1)
        + " W = "
        + Figures.rounded(p.percent(), p.budget().u95())
        + " %";
  }

  private static String curve(LossCurve c) {
    return "Loss = "
        + Figures.plain(c.p0())
        + " W + "
        + Figures.plain(c.p1())
        + "·P + "
        + small(c.p2())
        + "·P²";
  }

  /** A figure far below one, as 2.1 × 10⁻⁵. */
  private static String small(double value) {
    if (value == 0) {
      return "0";
    }
    int exponent = (int) Math.floor(Math.log10(Math.abs(value)));
    StringBuilder power = new StringBuilder(exponent < 0 ? "⁻" : "");
    for (char c : Integer.toString(Math.abs(exponent)).toCharArray()) {
      power.append("⁰¹²³⁴⁵⁶⁷⁸⁹".charAt(c - '0'));
    }
    return Figures.plain(value / Math.pow(10, exponent)) + " × 10" + power;
  }

  /** The best of the loads that were measured. */
  static Optional<Figure> best(List<LoadPoint> points) {
    return points.stream()
        .map(LoadPoint::efficiency)
        .reduce((a, b) -> a.value() >= b.value() ? a : b)
        .map(f -> f.as("best_efficiency", "Best efficiency measured"));
  }
}

package org.wiseember.core.efficiency;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.because.Because;
import org.wiseember.core.because.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Estimate;

/** How the efficiencies of a ladder came about. */
final class EfficiencyBecause {
  private static final List<String> WATCH =
      List.of(
          "AC watts out over DC watts in at the same moment. It says nothing of how much a charge"
              + " yields; that is another figure.");

  private static final String OTHER =
      "Some hold that more load means more loss, others that small loads are worst. Both are half"
          + " right: the draw without load weighs on small loads, resistance on heavy ones, and the"
          + " best lies between. One could also divide load watts by volts and compare amps; that"
          + " mixes in the battery's sag and is another figure.";

  private EfficiencyBecause() {}

  static Because of(
      List<LoadPoint> points,
      Optional<LossFit> fit,
      Optional<Estimate> peak,
      Optional<Estimate> at,
      double goodFrom,
      double goodTo,
      List<Warning> warnings) {
    List<String> sum = new ArrayList<>();
    points.forEach(p -> sum.add(ratio(p)));
    fit.ifPresent(f -> sum.add(curve(f.curve())));
    List<String> watch = new ArrayList<>(WATCH);
    warnings.forEach(w -> watch.add(w.message()));
    if (peak.isEmpty()) {
      LoadPoint best =
          points.stream()
              .reduce((a, b) -> a.efficiency().value() >= b.efficiency().value() ? a : b)
              .orElseThrow();
      Estimate eta = best.efficiency();
      return new Because(
          "Best efficiency measured",
          Figures.withUncertainty(eta.value(), eta.u95(), Unit.PERCENT),
          "at " + Figures.fixed(best.acWatts(), 0) + " W",
          sum,
          Unit.PERCENT,
          best.budget(),
          watch,
          OTHER);
    }
    LossCurve curve = fit.orElseThrow().curve();
    sum.add(
        "Peak at √("
            + Figures.plain(curve.p0())
            + " ÷ "
            + small(curve.p2())
            + ") = "
            + Figures.rounded(at.orElseThrow().value(), at.get().u95())
            + " W");
    sum.add("Within two points of it " + range(goodFrom, goodTo));
    Budget budget = fit.get().budget(c -> 100 * c.peakEfficiency());
    return new Because(
        "Peak efficiency",
        Figures.withUncertainty(peak.get().value(), peak.get().u95(), Unit.PERCENT),
        "at "
            + Figures.withUncertainty(at.get().value(), at.get().u95(), Unit.WATT)
            + ", from "
            + points.size()
            + " loads",
        sum,
        Unit.PERCENT,
        budget,
        watch,
        OTHER);
  }

  /** The sum of one load, with what is behind it. */
  static String ratio(LoadPoint p) {
    String repeats = p.repeats() > 1 ? ", " + p.repeats() + " ×" : "";
    return Figures.fixed(p.acWatts(), 1)
        + " ÷ "
        + Figures.fixed(p.dcWatts(), 1)
        + " = "
        + Figures.withUncertainty(p.efficiency().value(), p.efficiency().u95(), Unit.PERCENT)
        + repeats;
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

  private static String range(double from, double to) {
    return "from " + Figures.fixed(from, 0) + " to " + Figures.fixed(to, 0) + " W";
  }

  /** A figure far below one, as 2.1 × 10⁻⁵. */
  static String small(double value) {
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
}

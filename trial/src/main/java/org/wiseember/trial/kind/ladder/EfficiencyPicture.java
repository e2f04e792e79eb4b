package org.wiseember.trial.kind.ladder;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.efficiency.EfficiencyFinding;
import org.wiseember.core.efficiency.LoadPoint;
import org.wiseember.core.efficiency.LossFit;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.report.drawing.Upright;

/** Efficiency against load as a chart. */
final class EfficiencyPicture {
  private static final int STEPS = 80;

  private EfficiencyPicture() {}

  static CurveDrawing of(Label label, EfficiencyFinding f) {
    List<CurveDrawing.Point> points = new ArrayList<>();
    double least = 100;
    double heaviest = 10;
    double lightest = Double.POSITIVE_INFINITY;
    for (LoadPoint p : f.points()) {
      Figure e = p.efficiency();
      points.add(new CurveDrawing.Point(p.acWatts(), e.value(), e.u95()));
      least = Math.min(least, e.low());
      heaviest = Math.max(heaviest, p.acWatts());
      lightest = Math.min(lightest, p.acWatts());
    }
    double claim = label.claim(Subject.EFFICIENCY).map(Claim::figure).orElse(Double.NaN);
    if (!Double.isNaN(claim)) {
      least = Math.min(least, claim);
    }
    List<Upright> marks = new ArrayList<>();
    double farthest = heaviest;
    f.peakLoad()
        .filter(at -> at.value() <= farthest)
        .ifPresent(
            at ->
                marks.add(
                    new Upright(at.value(), "peak at " + Figures.fixed(at.value(), 0) + " W")));
    double from = lightest;
    double to = heaviest;
    List<CurveDrawing.Point> curve = f.fit().map(fit -> curve(fit, from, to)).orElse(List.of());
    return new CurveDrawing(
        "load, W",
        "efficiency, %",
        points,
        curve,
        claim,
        "label, " + Figures.plain(claim) + " %",
        marks,
        Math.max(0, Math.floor((least - 1) / 5) * 5),
        100);
  }

  private static List<CurveDrawing.Point> curve(LossFit fit, double from, double to) {
    List<CurveDrawing.Point> curve = new ArrayList<>();
    for (int i = 0; i <= STEPS; i++) {
      // Closer together at light loads, where the curve bends.
      double load = from * Math.pow(to / from, (double) i / STEPS);
      Estimate e = fit.estimate(c -> 100 * c.efficiency(load));
      curve.add(new CurveDrawing.Point(load, e.value(), e.u95()));
    }
    return curve;
  }
}

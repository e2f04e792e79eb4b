package org.wiseember.trial.verdict;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.capacity.RateModel;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.report.drawing.Upright;
import org.wiseember.trial.kind.FromLabel;

/** Energy against load over several drains, as a chart. */
public final class RatePicture {
  private static final int STEPS = 60;

  private RatePicture() {}

  /** The load the label's capacity is judged at; the middle of the drains where it says nothing. */
  public static double wantedLoad(Judgement judgement) {
    double wanted =
        judgement
            .unit()
            .label()
            .claim(Subject.CAPACITY)
            .map(c -> FromLabel.judgedAt(c, judgement.unit().label()))
            .orElse(Double.NaN);
    if (!Double.isNaN(wanted)) {
      return wanted;
    }
    List<RateModel.Drained> drains =
        judgement.together().rate().map(RateModel::drains).orElse(List.of());
    return drains.isEmpty()
        ? 100
        : Math.sqrt(drains.get(0).watts() * drains.get(drains.size() - 1).watts());
  }

  public static CurveDrawing of(Judgement judgement, RateModel rate) {
    List<CurveDrawing.Point> points = new ArrayList<>();
    double rated = judgement.unit().label().ratedWattHours().orElse(Double.NaN);
    double most = Double.isNaN(rated) ? 0 : rated;
    for (RateModel.Drained d : rate.drains()) {
      points.add(new CurveDrawing.Point(d.watts(), d.energy().value(), d.energy().u95()));
      most = Math.max(most, d.energy().high());
    }
    double from = rate.drains().get(0).watts() / 2;
    double to = rate.drains().get(rate.drains().size() - 1).watts() * 1.25;
    List<CurveDrawing.Point> curve = new ArrayList<>();
    double least = most;
    for (int i = 0; i <= STEPS; i++) {
      double load = from + (to - from) * i / STEPS;
      Figure e = rate.at(load).energy();
      curve.add(new CurveDrawing.Point(load, e.value(), e.u95()));
      least = Math.min(least, e.low());
      most = Math.max(most, e.high());
    }
    double wanted = wantedLoad(judgement);
    Claim claim = judgement.unit().label().claim(Subject.CAPACITY).orElse(null);
    return new CurveDrawing(
        "load, W",
        "energy delivered, Wh",
        points,
        curve,
        rated,
        claim == null ? "" : "label, " + Figures.plain(rated) + " Wh",
        wanted <= to
            ? List.of(new Upright(wanted, "judged at " + Figures.fixed(wanted, 0) + " W"))
            : List.of(),
        Math.max(0, least - 0.15 * (most - least)),
        most + 0.15 * (most - least));
  }
}

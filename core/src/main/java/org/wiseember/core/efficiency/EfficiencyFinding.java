package org.wiseember.core.efficiency;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Finding;
import org.wiseember.core.figure.Warning;

/**
 * What a ladder says. A figure that could not be had is empty, and a warning says why.
 *
 * @param points one a load, from light to heavy; loads above 0 only
 * @param noLoad the draw with the output on and nothing plugged in, W
 * @param fit the loss curve through all of them
 * @param peakEfficiency of the curve, %
 * @param peakLoad where it is, W
 * @param weighted European and Californian, %
 * @param goodFrom lightest load within two points of the peak, W; NaN without a peak
 * @param goodTo heaviest load within two points of the peak, up to the heaviest measured, W
 * @param droop volts lost from no load to the rating, or to the heaviest load where no rating is
 *     known, %
 */
public record EfficiencyFinding(
    List<LoadPoint> points,
    Optional<Figure> noLoad,
    Optional<LossFit> fit,
    Optional<Figure> peakEfficiency,
    Optional<Figure> peakLoad,
    Map<Weighting, Figure> weighted,
    double goodFrom,
    double goodTo,
    Optional<Droop> droop,
    List<Warning> warnings)
    implements Finding {
  public EfficiencyFinding {
    points = List.copyOf(points);
    weighted = Map.copyOf(weighted);
    warnings = List.copyOf(warnings);
  }

  @Override
  public List<Figure> figures() {
    List<Figure> all = new ArrayList<>();
    best().ifPresent(all::add);
    peakLoad.ifPresent(all::add);
    for (Weighting w : Weighting.values()) {
      weighted(w).ifPresent(all::add);
    }
    noLoad.ifPresent(all::add);
    droop.map(Droop::percent).ifPresent(all::add);
    points.forEach(p -> all.add(p.efficiency()));
    fit.ifPresent(f -> all.addAll(EfficiencyFigures.terms(f, points)));
    return all;
  }

  /** The peak of the curve, else the best of the loads; empty without either. */
  public Optional<Figure> best() {
    return peakEfficiency.or(() -> EfficiencyFigures.best(points));
  }

  public Optional<Figure> weighted(Weighting weighting) {
    return Optional.ofNullable(weighted.get(weighting));
  }

  /** The efficiency at any load by the curve, %; empty without a curve. */
  public Optional<Figure> at(double watts) {
    return fit.map(f -> EfficiencyFigures.at(watts, f, points));
  }
}

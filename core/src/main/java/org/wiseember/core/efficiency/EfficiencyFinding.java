package org.wiseember.core.efficiency;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.because.Because;
import org.wiseember.core.because.Warning;
import org.wiseember.core.uncertainty.Estimate;

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
 * @param because of the peak, or of the heaviest load where there is none
 */
public record EfficiencyFinding(
    List<LoadPoint> points,
    Optional<Estimate> noLoad,
    Optional<LossFit> fit,
    Optional<Estimate> peakEfficiency,
    Optional<Estimate> peakLoad,
    Map<Weighting, Estimate> weighted,
    double goodFrom,
    double goodTo,
    Optional<Droop> droop,
    Optional<Because> because,
    List<Warning> warnings) {
  public EfficiencyFinding {
    points = List.copyOf(points);
    weighted = Map.copyOf(weighted);
    warnings = List.copyOf(warnings);
  }

  /** Whether a warning was given. */
  public boolean warns(String code) {
    return warnings.stream().anyMatch(w -> w.code().equals(code));
  }
}

package org.wiseember.core.efficiency;

import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.regression.SimpleRegression;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * How the output volts fall with load: a straight line through the volts of the steps.
 *
 * @param noLoadVolts where the line meets no load, V
 * @param voltsPerKilowatt lost for every kW; above 0 where volts fall
 * @param percent lost from no load to {@code atWatts}, % of the volts without load
 * @param atWatts the load it is given for
 */
public record Droop(double noLoadVolts, double voltsPerKilowatt, Figure percent, double atWatts) {

  /** By how much a voltmeter may be off otherwise at another load, %; common practice. */
  private static final double ANOTHER_LOAD = 0.1;

  /**
   * Fits the line.
   *
   * @param steps with volts; two different loads at least, else empty
   * @param atWatts the load the loss is given for, above 0
   */
  static Optional<Droop> of(List<LoadStep> steps, double atWatts) {
    SimpleRegression line = new SimpleRegression();
    for (LoadStep step : steps) {
      step.acVolts().ifPresent(v -> line.addData(step.acWatts() / 1000, v));
    }
    double slope = line.getSlope();
    double volts = line.getIntercept();
    if (line.getN() < 2 || !Double.isFinite(slope) || !(volts > 0)) {
      return Optional.empty();
    }
    double factor = -100 * atWatts / 1000 / volts;
    double scatter = line.getN() > 2 ? line.getSlopeConfidenceInterval() : 0;
    return Optional.of(
        new Droop(
            volts,
            -slope,
            EfficiencyFigures.droop(
                slope * factor,
                atWatts,
                Budget.of(
                    Contribution.of95(
                        "Volts about the line",
                        Double.isFinite(scatter) ? Math.abs(scatter * factor) : 0),
                    Contribution.rectangular("Voltmeter from one load to another", ANOTHER_LOAD)),
                volts),
            atWatts));
  }
}

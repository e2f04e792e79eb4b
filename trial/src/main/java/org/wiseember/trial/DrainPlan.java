package org.wiseember.trial;

import java.util.Optional;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;

/**
 * With what load a unit's AC drain is made, and why.
 *
 * @param watts the load
 * @param volts nominal volts of the outlet
 * @param reason one sentence
 */
public record DrainPlan(double watts, double volts, String reason) {
  /** Nominal volts taken where the label prints none. */
  static final double USUAL_VOLTS = 230;

  /** What people drain with when the label prints no rating, W. */
  static final double USUAL_WATTS = 200;

  /**
   * Half the rating, unless the label names the load its capacity holds at.
   *
   * @return empty when the label has no capacity to test
   */
  public static Optional<DrainPlan> of(Label label) {
    if (label.ratedWattHours().isEmpty()) {
      return Optional.empty();
    }
    double volts = label.claim(Subject.OUTPUT_VOLTAGE).map(Claim::figure).orElse(USUAL_VOLTS);
    Optional<Double> named =
        label
            .claim(Subject.CAPACITY)
            .flatMap(c -> c.condition(Condition.Kind.AT_LOAD).stream().boxed().findFirst());
    if (named.isPresent()) {
      return Optional.of(
          new DrainPlan(
              named.get(),
              volts,
              Figures.plain(named.get()) + " W, the load the label names for its capacity."));
    }
    return Optional.of(
        label
            .ratedWatts()
            .map(
                rated ->
                    new DrainPlan(
                        rated / 2,
                        volts,
                        "Half of the "
                            + Figures.plain(rated)
                            + " W rating, since the label names no load for its capacity."))
            .orElseGet(
                () ->
                    new DrainPlan(
                        USUAL_WATTS,
                        volts,
                        "200 W, since the label prints neither load nor" + " rating.")));
  }

  /** {@code AC drain at 600 W}. */
  public String title() {
    return "AC drain at " + Figures.plain(watts) + " W";
  }
}

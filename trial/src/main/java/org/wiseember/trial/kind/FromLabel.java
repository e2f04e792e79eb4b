package org.wiseember.trial.kind;

import java.util.Optional;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;

/** What tests take from a label, and what they take where it is silent. */
public final class FromLabel {
  /** Nominal volts taken where the label prints none. */
  public static final double USUAL_VOLTS = 230;

  /** What people drain with when the label prints no rating, W. */
  public static final double USUAL_WATTS = 200;

  /** Of a 12 V port. */
  public static final double PORT_VOLTS = 12;

  /** What a 12 V port carries where the label does not say, A. */
  private static final double PORT_AMPS = 10;

  private FromLabel() {}

  /** Nominal at the outlet. */
  public static double volts(Label label) {
    return label.claim(Subject.OUTPUT_VOLTAGE).map(Claim::figure).orElse(USUAL_VOLTS);
  }

  /** What the 12 V port carries. */
  public static double portAmps(Label label) {
    return label.claim(Subject.DC_PORT_CURRENT).map(Claim::figure).orElse(PORT_AMPS);
  }

  /** The load a claim names, W. */
  public static Optional<Double> namedLoad(Claim claim) {
    return claim.condition(Condition.Kind.AT_LOAD).stream().boxed().findFirst();
  }

  /** The load a claim is judged at: the one it names, else half the rating; NaN for neither. */
  public static double judgedAt(Claim claim, Label label) {
    return namedLoad(claim).orElse(label.ratedWatts().map(w -> w / 2).orElse(Double.NaN));
  }
}

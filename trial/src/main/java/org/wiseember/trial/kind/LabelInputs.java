package org.wiseember.trial.kind;

import java.util.Optional;
import org.wiseember.core.charge.KnownInputs;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.solar.Port;

/** What a label says of the inputs of its unit. */
public final class LabelInputs {
  /** Where only the upper end of a window is printed, its lower end, V. */
  private static final double LOWER_END = 0;

  private LabelInputs() {}

  /** The solar or DC port, with no limit where none is printed; empty without a volt window. */
  public static Optional<Port> port(Label label) {
    return label
        .claim(Subject.SOLAR_VOLTAGE)
        .filter(c -> c.high() > (Double.isNaN(c.low()) ? LOWER_END : c.low()))
        .map(
            window ->
                new Port(
                    Double.isNaN(window.low()) ? LOWER_END : window.low(),
                    window.high(),
                    figure(label, Subject.SOLAR_CURRENT),
                    figure(label, Subject.SOLAR_POWER)));
  }

  private static double figure(Label label, Subject subject) {
    return label.claim(subject).map(Claim::figure).orElse(Double.POSITIVE_INFINITY);
  }

  /** All of them. */
  public static KnownInputs of(Label label) {
    return new KnownInputs(
        port(label),
        label.claim(Subject.MAINS_POWER).map(Claim::figure).orElse(Double.NaN),
        Double.NaN);
  }
}

package org.wiseember.core.charge;

import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/** Round trip: energy out over energy in between the same two states, %. Source: definition. */
public final class RoundTrip {
  /** A display that shows no more has nothing left to give, %. */
  private static final double EMPTY = 5;

  private RoundTrip() {}

  /**
   * Of a drain and the charge after it.
   *
   * @param out delivered by a complete drain, Wh
   * @param drainRun number of the run it was delivered in
   * @param charge from that drain's cut-off
   * @param startCharge what the display showed when the charge began, %; empty where nobody read
   *     it: then less may have gone in than a whole charge takes, and the share is at most that
   * @return empty where the charge was not seen to end, or did not begin empty
   */
  public static Optional<Figure> of(
      Figure out, long drainRun, ChargeFinding charge, OptionalDouble startCharge) {
    boolean partial = startCharge.orElse(0) > EMPTY;
    if (charge.energyIn().isEmpty() || charge.timeToFull().isEmpty() || partial) {
      return Optional.empty();
    }
    Figure in = charge.energyIn().get();
    double percent = 100 * out.value() / in.value();
    Budget budget =
        out.budget()
            .scaled(percent / out.value())
            .called("Out")
            .with(in.budget().scaled(percent / in.value()).called("In"));
    Figure share =
        Figure.of(
            "round_trip",
            "Round trip",
            percent,
            Unit.PERCENT,
            Because.of(
                    budget,
                    Figures.rounded(out.value(), out.u95())
                        + " Wh out ÷ "
                        + Figures.rounded(in.value(), in.u95())
                        + " Wh in = "
                        + Figures.rounded(percent, budget.u95())
                        + " %")
                .summed("what the last AC drain gave over what this charge took in")
                .from(in)
                .from(out, drainRun)
                .watching(
                    "It holds where this charge began at that drain's cut-off and ended full."));
    return Optional.of(startCharge.isPresent() ? share : share.bounded(Bound.AT_MOST));
  }
}

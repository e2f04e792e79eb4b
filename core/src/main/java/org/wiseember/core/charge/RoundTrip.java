package org.wiseember.core.charge;

import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/** Round trip: energy out over energy in between the same two states, %. Source: definition. */
public final class RoundTrip {
  private RoundTrip() {}

  /**
   * Of a drain and the charge after it.
   *
   * @param out delivered by a complete drain, Wh
   * @param drainRun number of the run it was delivered in
   * @param charge from that drain's cut-off
   * @return empty where the charge was not seen to end
   */
  public static Optional<Figure> of(Figure out, long drainRun, ChargeFinding charge) {
    if (charge.energyIn().isEmpty() || charge.timeToFull().isEmpty()) {
      return Optional.empty();
    }
    Figure in = charge.energyIn().get();
    double percent = 100 * out.value() / in.value();
    Budget budget =
        out.budget()
            .scaled(percent / out.value())
            .called("Out")
            .with(in.budget().scaled(percent / in.value()).called("In"));
    return Optional.of(
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
                    "It holds where this charge began at that drain's cut-off and ended full.")));
  }
}

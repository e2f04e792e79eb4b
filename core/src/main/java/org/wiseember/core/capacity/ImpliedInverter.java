package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/**
 * The inverter efficiency that an AC and a DC drain of the same unit imply, E_ac ÷ E_dc.
 *
 * <p>Common practice, no published source. It holds only where both began full and ended at the
 * same cut-off; a pack gives less at a higher rate, and that then looks like a loss of the
 * inverter.
 *
 * @param efficiency in %
 */
public record ImpliedInverter(Figure efficiency) {
  /** Rates further apart than this make a pack give noticeably different energy. */
  private static final double RATES_APART = 1.5;

  /**
   * From two drains.
   *
   * @param ac a drain at the outlet
   * @param dc a drain on the DC side
   * @return empty where one of them has no energy
   */
  public static Optional<ImpliedInverter> of(CapacityFinding ac, CapacityFinding dc) {
    if (ac.deliveredEnergy().isEmpty() || dc.deliveredEnergy().isEmpty()) {
      return Optional.empty();
    }
    Figure out = ac.deliveredEnergy().get();
    Figure in = dc.deliveredEnergy().get();
    if (!(in.value() > 0)) {
      return Optional.empty();
    }
    double percent = 100 * out.value() / in.value();
    Budget budget =
        out.budget()
            .scaled(percent / out.value())
            .called("AC")
            .with(in.budget().scaled(percent / in.value()).called("DC"));
    List<String> watch = new ArrayList<>();
    watch.add(
        "Implied by two drains, not measured at one moment. What the pack gives at one load and not"
            + " at the other counts as a loss of the inverter here.");
    watch.add(
        "Where the DC energy was taken at a port behind a converter, that converter's losses are"
            + " missing from it, and the inverter looks better than it is.");
    double rates = watts(ac) / watts(dc);
    if (rates > RATES_APART || rates < 1 / RATES_APART) {
      watch.add(
          "The drains were at "
              + Figures.fixed(watts(ac), 0)
              + " W and "
              + Figures.fixed(watts(dc), 0)
              + " W: the rates differ, so the inverter alone is likely better than this.");
    }
    ends(ac, dc).ifPresent(watch::add);
    if (percent > 100) {
      watch.add("More than 100 %: the drains did not begin or end alike.");
    }
    Because because =
        Because.of(
                budget,
                Figures.rounded(out.value(), out.u95())
                    + " Wh AC ÷ "
                    + Figures.rounded(in.value(), in.u95())
                    + " Wh DC = "
                    + Figures.rounded(percent, budget.u95())
                    + " %")
            .summed("from an AC and a DC drain")
            .from(out, in)
            .watching(watch)
            .otherwise(
                "Volts and amps at the inverter's terminals, read together with the AC watts, give"
                    + " the conversion efficiency itself. Where the terminals cannot be reached, this"
                    + " is all there is.");
    return Optional.of(
        new ImpliedInverter(
            Figure.of(
                "implied_inverter",
                "Implied inverter efficiency",
                percent,
                Unit.PERCENT,
                because)));
  }

  private static double watts(CapacityFinding drain) {
    return drain.meanPower().map(Figure::value).orElse(1.0);
  }

  /** Drains that ended at different charge do not compare. */
  private static Optional<String> ends(CapacityFinding ac, CapacityFinding dc) {
    if (ac.displayAtEnd().isEmpty() || dc.displayAtEnd().isEmpty()) {
      return Optional.empty();
    }
    double apart = Math.abs(ac.displayAtEnd().get() - dc.displayAtEnd().get());
    return apart < 2
        ? Optional.empty()
        : Optional.of(
            "The display stood at "
                + Figures.plain(ac.displayAtEnd().get())
                + " % when the AC drain cut off and at "
                + Figures.plain(dc.displayAtEnd().get())
                + " % after the DC drain: they did not end alike.");
  }
}

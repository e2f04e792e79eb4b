package org.wiseember.core.cost;

import java.util.List;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/**
 * The same bought in parts: cells, inverter, charger, and what a box has that parts have not.
 *
 * @param parts each with its price, as a range where it is one
 */
public record Parts(List<Part> parts) {
  /**
   * One of them.
   *
   * @param low price, the lower end
   * @param high price, the upper end; the lower where it is one price; NaN for one without a price
   */
  public record Part(String name, double low, double high) {
    public Part {
      if (!Double.isNaN(low) && !(low >= 0 && high >= low)) {
        throw new IllegalArgumentException("a part costs nothing or more");
      }
    }

    /** Whether somebody found a price for it. */
    public boolean priced() {
      return !Double.isNaN(low);
    }
  }

  public Parts {
    parts = List.copyOf(parts);
  }

  /** What all with a price come to; what has none is missing from it. */
  public Figure total(String currency) {
    List<Part> priced = parts.stream().filter(Part::priced).toList();
    double sum = priced.stream().mapToDouble(p -> (p.low() + p.high()) / 2).sum();
    Budget budget = Budget.of();
    for (Part p : priced) {
      if (p.high() > p.low()) {
        // A range of offers moves as one: parts are dear or cheap at one time and place together.
        budget =
            budget.with(
                Contribution.wholeWidth(p.name(), (p.high() - p.low()) / 2).sharing("offers"));
      }
    }
    List<String> missing = missing();
    return Figure.of(
        "parts",
        currency.isEmpty() ? "In parts" : "In parts, " + currency,
        sum,
        Unit.ONE,
        Because.of(
                budget,
                priced.stream()
                    .map(
                        p ->
                            p.name()
                                + " "
                                + Figures.plain(p.low())
                                + (p.high() > p.low() ? " to " + Figures.plain(p.high()) : ""))
                    .toList())
            .summed(
                missing.isEmpty()
                    ? "nothing is missing"
                    : "without " + String.join(", ", missing)));
  }

  /** Parts nobody found a price for. */
  public List<String> missing() {
    return parts.stream().filter(p -> !p.priced()).map(Part::name).toList();
  }
}

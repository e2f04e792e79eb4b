package org.wiseember.core.port;

import java.util.List;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/** Ports that are used at the same time, held against what each gives alone. */
public final class SharedPorts {
  private SharedPorts() {}

  /**
   * What they give together, of the sum of what each gives alone.
   *
   * @param alone W of each by itself
   * @param together W of each at the same time, in the same order
   */
  public static Figure share(List<Figure> alone, List<Figure> together) {
    double apart = alone.stream().mapToDouble(Figure::value).sum();
    double joint = together.stream().mapToDouble(Figure::value).sum();
    double share = 100 * joint / apart;
    Budget budget = Budget.of();
    for (Figure f : alone) {
      budget = budget.with(f.budget().called(f.name()).scaled(-share / apart));
    }
    for (Figure f : together) {
      budget = budget.with(f.budget().called(f.name()).scaled(share / joint));
    }
    Because because =
        Because.of(
                budget,
                sum(together)
                    + " together ÷ "
                    + sum(alone)
                    + " one at a time = "
                    + Figures.fixed(share, 1)
                    + " %")
            .summed("ports at the same time against each alone")
            .watching(
                "A port that takes less together may have been asked for less: the loads must be"
                    + " the same both times.");
    for (Figure f : alone) {
      because = because.from(f);
    }
    for (Figure f : together) {
      because = because.from(f);
    }
    return Figure.of(
        "ports_together", "Together, of what each gives alone", share, Unit.PERCENT, because);
  }

  private static String sum(List<Figure> figures) {
    return Figures.withUnit(
        Figures.fixed(figures.stream().mapToDouble(Figure::value).sum(), 1), Unit.WATT);
  }
}

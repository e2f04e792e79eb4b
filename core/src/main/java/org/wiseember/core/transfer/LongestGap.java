package org.wiseember.core.transfer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;

/** The longest of several switch-over gaps, ms: what a load has to withstand. */
public final class LongestGap {
  private static final int ENOUGH = 3;

  private LongestGap() {}

  /**
   * Of every gap that was measured.
   *
   * @param words what else is to be known, such as who feeds the load while the mains are there
   * @return empty for none
   */
  public static Optional<Figure> of(List<TransferGap> gaps, List<String> words) {
    return gaps.stream()
        .max(Comparator.comparingDouble(TransferGap::seconds))
        .map(longest -> figure(longest, gaps, words));
  }

  /**
   * How often a switch-over may still last longer where every one of several was inside: up to 1 −
   * 0.05^(1/n) of them, at 95 % confidence (the exact binomial bound for no failure in n).
   */
  public static String mayStillFail(int n) {
    double share = 100 * (1 - Math.pow(0.05, 1.0 / n));
    return "All "
        + n
        + " were inside; up to "
        + Figures.fixed(share, 0)
        + " % of switch-overs may still last longer.";
  }

  private static Figure figure(TransferGap longest, List<TransferGap> gaps, List<String> words) {
    List<String> watch = new ArrayList<>(words);
    if (gaps.size() < ENOUGH) {
      watch.add("Pull it more often: the gap depends on where in the wave it goes.");
    }
    return Figure.of(
        "longest_gap",
        "Switch-over, longest of " + gaps.size(),
        1000 * longest.seconds(),
        Unit.MILLISECOND,
        Because.of(
                Budget.of(
                    Contribution.wholeWidth(
                        "Where the waves leave and join", 1000 * longest.u95())),
                sum(longest, gaps))
            .summed("from the mains' last volt to the inverter's first")
            .watching(watch)
            .otherwise(
                "Some give the time the RMS is low, which adds up to a cycle to every gap."));
  }

  private static List<String> sum(TransferGap longest, List<TransferGap> gaps) {
    List<String> sum = new ArrayList<>();
    for (TransferGap g : gaps) {
      sum.add(
          Figures.withUncertainty(1000 * g.seconds(), 1000 * g.u95())
              + " ms, gone at "
              + Figures.fixed(g.phaseDegrees(), 0)
              + "°, back "
              + Figures.fixed(g.jumpDegrees(), 0)
              + "° ahead");
    }
    double below = gaps.stream().mapToDouble(TransferGap::belowSeconds).max().orElse(0);
    sum.add("One-cycle RMS below 90 % for " + Figures.fixed(1000 * below, 0) + " ms at most");
    sum.add(
        "ITI curve: nothing for up to "
            + Figures.fixed(1000 * ItiCurve.NOTHING_SECONDS, 0)
            + " ms is withstood: "
            + (longest.ridesThrough() ? "inside" : "outside"));
    return sum;
  }
}

package org.wiseember.core.figure;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeanScatter;

/**
 * How well a test repeats on the same unit. No two runs of one test agree to the last digit,
 * however good the meter; so a single run has a floor, n of them the n-th root of it, and where
 * they spread by more than the floor explains (χ², 5 %) their own scatter counts, by Student's t.
 *
 * <p>The floors are common practice, no published source; the mean and its scatter are GUM 4.2.
 */
public final class Repeats {
  /** Of drains, charges, idle draw and efficiency: a share of the value, at 95 %. */
  public static final double WHOLE_TEST = 0.005;

  /** Of the time to a trip: a share of the time, at 95 %. */
  public static final double TRIP = 0.02;

  private static final String LINE = "Repeating it";
  private static final double SURE = 0.95;

  /** More runs than this nobody makes to settle one line. */
  private static final int MOST = 12;

  private Repeats() {}

  /**
   * A figure of one run and the run it rests on.
   *
   * @param runId its number; {@link Because#SAME_RUN} where all are of one run
   */
  public record Repeat(Figure figure, long runId) {}

  /** What one run leaves open, for its budget. */
  public static Contribution once(double value, double floor) {
    return Contribution.of95(LINE, floor * Math.abs(value));
  }

  /**
   * The mean of repeats under like conditions. What the meter leaves open is shared by all of them
   * and is not lessened; that of the least sure counts.
   *
   * @param repeats exact figures of one kind and unit, at least one, oldest first
   * @param floor of one repeat, as a share of the value at 95 %
   */
  public static Figure mean(List<Repeat> repeats, double floor) {
    if (repeats.size() == 1) {
      return repeats.get(0).figure();
    }
    double[] values = repeats.stream().mapToDouble(r -> r.figure().value()).toArray();
    double mean = java.util.Arrays.stream(values).average().orElseThrow();
    Budget budget = new Budget(List.of());
    for (Repeat r : repeats) {
      double as = r.figure().value() == 0 ? 1 : mean / r.figure().value();
      Budget own = withoutRepeating(r.figure().budget()).scaled(as);
      budget = own.u95() > budget.u95() ? own : budget;
    }
    budget = budget.with(of(values, mean, floor));
    Figure newest = repeats.get(repeats.size() - 1).figure();
    List<String> sum = new ArrayList<>();
    for (Repeat r : repeats) {
      sum.add(r.figure().words());
    }
    sum.add(
        "Mean of "
            + values.length
            + " = "
            + Figures.withUncertainty(mean, budget.u95(), newest.unit()));
    Because because =
        new Because(
            "mean of " + values.length + " runs",
            sum,
            budget,
            List.of(),
            newest.because().watchOut(),
            newest.because().otherReading());
    for (Repeat r : repeats) {
      because = because.from(r.figure(), r.runId());
    }
    return Figure.of(newest.key(), newest.name(), mean, newest.unit(), because);
  }

  private static Contribution of(double[] values, double mean, double floor) {
    int n = values.length;
    double scatter = MeanScatter.deviation(values);
    double expected = once(mean, floor).standard();
    double square = (n - 1) * scatter * scatter / (expected * expected);
    double most = new ChiSquaredDistribution(n - 1.0).inverseCumulativeProbability(SURE);
    return expected > 0 && square <= most
        ? Contribution.of95(LINE, floor * Math.abs(mean) / Math.sqrt(n))
        : Contribution.typeA(LINE + ", by its scatter", scatter / Math.sqrt(n), n);
  }

  /** What one run leaves open by itself: its meters and its samples. */
  public static Budget withoutRepeating(Budget budget) {
    return new Budget(
        budget.contributions().stream().filter(c -> !c.name().startsWith(LINE)).toList());
  }

  /**
   * How many more runs would bring U below a margin.
   *
   * @return empty where repeating is not what stands in the way
   */
  public static OptionalInt toReach(Figure figure, double margin) {
    List<Contribution> repeating =
        figure.budget().contributions().stream().filter(c -> c.name().startsWith(LINE)).toList();
    Budget rest = withoutRepeating(figure.budget());
    if (repeating.isEmpty() || rest.u95() >= margin) {
      return OptionalInt.empty();
    }
    int made =
        Math.max(1, (int) figure.because().madeFrom().stream().filter(f -> f.runId() != 0).count());
    for (int more = 1; more <= MOST; more++) {
      double less = Math.sqrt((double) made / (made + more));
      Budget then = rest.with(new Budget(repeating).scaled(less));
      if (then.u95() < margin) {
        return OptionalInt.of(more);
      }
    }
    return OptionalInt.empty();
  }
}

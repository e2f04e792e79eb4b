package org.wiseember.core.plan;

import java.util.Comparator;
import java.util.List;

/**
 * What comes when.
 *
 * @param steps in order of time
 * @param proven whether no shorter one exists, with no fewer charges
 */
public record Plan(List<Step> steps, boolean proven) {
  /** A charge put in between, with no test; no test can be called so. */
  public static final String CHARGE = "\u0001charge";

  /** Run down on purpose. */
  public static final String DISCHARGE = "\u0001discharge";

  /**
   * A test, a charge or a run-down.
   *
   * @param from minutes
   * @param to minutes
   * @param chargeFrom tenths of a percent
   * @param chargeTo tenths of a percent
   */
  public record Step(String unit, String id, int from, int to, int chargeFrom, int chargeTo) {
    /** Whether it is a test, and nothing put in between. */
    public boolean test() {
      return !id.equals(CHARGE) && !id.equals(DISCHARGE);
    }

    /** As files and people spell it: {@code charge}, {@code ac-drain}. */
    public String words() {
      return test() ? id : id.substring(1);
    }
  }

  public Plan {
    steps =
        steps.stream()
            .sorted(
                Comparator.comparingInt(Step::from)
                    .thenComparing(Step::unit)
                    .thenComparingInt(Step::to))
            .toList();
  }

  /** Until the last step is over, min. */
  public int minutes() {
    return steps.stream().mapToInt(Step::to).max().orElse(0);
  }

  /** Charges put in. */
  public int charges() {
    return (int) steps.stream().filter(s -> s.id().equals(CHARGE)).count();
  }

  /** The sum of the starts of all tests, min. */
  public long starts() {
    return steps.stream().filter(Step::test).mapToLong(Step::from).sum();
  }

  /** Whether this is better than another: shorter, then fewer charges, then earlier. */
  boolean betterThan(Plan other) {
    return Comparator.comparingInt(Plan::minutes)
            .thenComparingInt(Plan::charges)
            .thenComparingLong(Plan::starts)
            .compare(this, other)
        < 0;
  }

  /** The same, said to be proven. */
  Plan asProven() {
    return new Plan(steps, true);
  }
}

package org.wiseember.core.uncertainty;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * An uncertainty budget: contributions combined by the law of propagation of uncertainty (GUM
 * 5.1.2, and 5.2.2 for those that share a cause), expanded with Student's t at the effective
 * degrees of freedom (Welch–Satterthwaite, GUM G.4).
 */
public record Budget(List<Contribution> contributions) {
  public Budget {
    contributions = List.copyOf(contributions);
  }

  public static Budget of(Contribution... contributions) {
    return new Budget(List.of(contributions));
  }

  /**
   * This budget with a meter's stated limits, each part a line of its own since its causes are
   * apart: its scale, its range, its last digits, and the rounding of its display.
   *
   * @param name of the meter, as it begins the lines
   * @param reading what it showed, in its own unit
   * @param sensitivity by how much the result changes for a change of the reading by one
   */
  public Budget with(String name, MeterClass meter, double reading, double sensitivity) {
    List<Contribution> more = new ArrayList<>(contributions);
    more.addAll(meter.contributions(name, reading, sensitivity));
    return new Budget(more);
  }

  /** This budget with one more line. */
  public Budget with(Contribution contribution) {
    List<Contribution> more = new ArrayList<>(contributions);
    more.add(contribution);
    return new Budget(more);
  }

  /** This budget with the lines of another, in the same unit. */
  public Budget with(Budget other) {
    List<Contribution> more = new ArrayList<>(contributions);
    more.addAll(other.contributions);
    return new Budget(more);
  }

  /** Every line {@code sensitivity} times as large, for a result that is made of this one. */
  public Budget scaled(double sensitivity) {
    return new Budget(contributions.stream().map(c -> c.scaled(sensitivity)).toList());
  }

  /** Every line named as part of something, {@code Out: meter}. */
  public Budget called(String part) {
    return new Budget(contributions.stream().map(c -> c.called(part)).toList());
  }

  /** Combined standard uncertainty u_c, in the unit of the result. */
  public double combined() {
    return Math.sqrt(groups().stream().mapToDouble(g -> g.standard() * g.standard()).sum());
  }

  /** ν_eff; infinite when every contribution is taken as certain, or when there is none. */
  public double effectiveDegreesOfFreedom() {
    double fourth = Math.pow(combined(), 4);
    double sum =
        groups().stream().mapToDouble(g -> Math.pow(g.standard(), 4) / g.degreesOfFreedom()).sum();
    return sum > 0 ? fourth / sum : Double.POSITIVE_INFINITY;
  }

  /**
   * Expanded uncertainty U as the GUM has it: Student's t at ν_eff times u_c. Right where no single
   * pair of limits outweighs the rest.
   *
   * @param confidence level of confidence between 0 and 1, such as 0.95
   */
  public double expanded(double confidence) {
    double u = combined();
    return u == 0 ? 0 : coverageFactor(confidence, effectiveDegreesOfFreedom()) * u;
  }

  /**
   * Half width of the interval that holds 95 % of all possible values. It comes from the spread of
   * the contributions themselves, since a meter's limits outweigh all else in most figures here;
   * where they do not, it is {@link #expanded} to within a few percent.
   */
  public double u95() {
    return Coverage.halfWidth(groups(), 0.95);
  }

  /**
   * Two-sided coverage factor: Student's t with ν truncated to a whole number as GUM G.4.1 advises,
   * the normal distribution from 1 000 degrees of freedom up.
   */
  static double coverageFactor(double confidence, double degreesOfFreedom) {
    double upper = 0.5 + confidence / 2;
    if (degreesOfFreedom >= 1000) {
      return new NormalDistribution().inverseCumulativeProbability(upper);
    }
    double whole = Math.max(1, Math.floor(degreesOfFreedom));
    return new TDistribution(whole).inverseCumulativeProbability(upper);
  }

  /** Independent lines: those with a shared cause added up into one. */
  private List<Contribution> groups() {
    List<Contribution> independent = new ArrayList<>();
    Map<String, Contribution> shared = new LinkedHashMap<>();
    for (Contribution c : contributions) {
      if (c.sharedCause().isEmpty()) {
        independent.add(c);
      } else {
        shared.merge(
            c.sharedCause(),
            c,
            (a, b) ->
                new Contribution(
                    a.sharedCause(),
                    a.standard() + b.standard(),
                    Math.min(a.degreesOfFreedom(), b.degreesOfFreedom()),
                    a.sharedCause(),
                    a.shape()));
      }
    }
    independent.addAll(shared.values());
    return independent;
  }
}

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

  /** This budget with one more line. */
  public Budget with(Contribution contribution) {
    List<Contribution> more = new ArrayList<>(contributions);
    more.add(contribution);
    return new Budget(more);
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
   * Expanded uncertainty U.
   *
   * @param confidence level of confidence between 0 and 1, such as 0.95
   */
  public double expanded(double confidence) {
    double u = combined();
    return u == 0 ? 0 : coverageFactor(confidence, effectiveDegreesOfFreedom()) * u;
  }

  /** Expanded uncertainty at 95 %. */
  public double u95() {
    return expanded(0.95);
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
                    a.sharedCause()));
      }
    }
    independent.addAll(shared.values());
    return independent;
  }
}

package org.wiseember.core.uncertainty;

import java.util.Locale;
import java.util.Objects;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * One line of an uncertainty budget, already multiplied by its sensitivity, so that it is in the
 * unit of the result.
 *
 * @param name what it is, in the tester's words
 * @param standard standard uncertainty in the unit of the result; the sign matters only between
 *     contributions that share a cause
 * @param degreesOfFreedom how well the standard uncertainty itself is known; {@link
 *     Double#POSITIVE_INFINITY} where it is taken as certain
 * @param sharedCause contributions with the same non-empty cause are fully correlated (a shared
 *     meter) and add before squaring; empty for an independent contribution
 * @param shape how its values are spread
 */
public record Contribution(
    String name, double standard, double degreesOfFreedom, String sharedCause, Shape shape) {
  private static final double BELL_95 =
      new NormalDistribution().inverseCumulativeProbability(0.975);

  /** How the possible values of a contribution are spread. */
  public enum Shape {
    /** Bell-shaped, as the scatter of readings; Student's t where few degrees of freedom say so. */
    NORMAL,
    /** Every value between two limits equally likely, none beyond. */
    RECTANGULAR
  }

  public Contribution {
    Objects.requireNonNull(name);
    Objects.requireNonNull(sharedCause);
    Objects.requireNonNull(shape);
    if (!Double.isFinite(standard) || !(degreesOfFreedom > 0)) {
      throw new IllegalArgumentException(name + ": " + standard + ", ν = " + degreesOfFreedom);
    }
  }

  /** A bell-shaped contribution. */
  public Contribution(String name, double standard, double degreesOfFreedom, String sharedCause) {
    this(name, standard, degreesOfFreedom, sharedCause, Shape.NORMAL);
  }

  /** Type A: the scatter of repeated readings, as the standard deviation of their mean. */
  public static Contribution typeA(String name, double standard, int repeats) {
    return new Contribution(name, standard, Math.max(1, repeats - 1), "");
  }

  /** Bell-shaped, its standard uncertainty taken as certain. */
  public static Contribution normal(String name, double standard) {
    return new Contribution(name, standard, Double.POSITIVE_INFINITY, "");
  }

  /**
   * Type B: known only as limits ± {@code halfWidth}, every value between them equally likely, so
   * the standard uncertainty is halfWidth ÷ √3 (GUM 4.3.7).
   */
  public static Contribution rectangular(String name, double halfWidth) {
    return new Contribution(
        name, halfWidth / Math.sqrt(3), Double.POSITIVE_INFINITY, "", Shape.RECTANGULAR);
  }

  /**
   * Known only as limits, all of which count and not just 95 % of them: moments between two
   * readings, which often fall on one of the two.
   */
  public static Contribution wholeWidth(String name, double halfWidth) {
    return rectangular(name, halfWidth / 0.95);
  }

  /**
   * A figure with its own 95 % half width, taken as bell-shaped.
   *
   * @param u95 in the unit of the result
   */
  public static Contribution of95(String name, double u95) {
    return normal(name, u95 / BELL_95);
  }

  /**
   * A figure with its own 95 % half width whose budget is not at hand. In most figures here a
   * meter's limits outweigh the rest, so it is taken as limits of which 95 % are that half width.
   *
   * @param u95 in the unit of the result
   */
  public static Contribution mostlyLimits(String name, double u95) {
    return rectangular(name, u95 / 0.95);
  }

  /** {@code sensitivity} times as large. */
  Contribution scaled(double sensitivity) {
    return new Contribution(name, standard * sensitivity, degreesOfFreedom, sharedCause, shape);
  }

  /** This contribution named as part of something. */
  Contribution called(String part) {
    String own = name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    return new Contribution(part + ": " + own, standard, degreesOfFreedom, sharedCause, shape);
  }

  /** This contribution tied to others by a cause they share. */
  public Contribution sharing(String cause) {
    return new Contribution(name, standard, degreesOfFreedom, cause, shape);
  }

  /** The half width this line alone would give at 95 %, for showing beside its name. */
  public double alone95() {
    return Budget.of(this).u95();
  }
}

package org.wiseember.core.figure;

import java.util.Objects;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Estimate;

/**
 * A number somebody may ask "why?" of. Its uncertainty is that of its own budget, so that what is
 * said of it and what is shown behind it cannot part.
 *
 * @param key short and stable, for scripts and files: {@code delivered_energy}
 * @param name what it is called on screen
 * @param estimate the value and its 95 % half width, in the unit
 * @param bound whether it is the thing itself or a bound of it
 * @param because how it came about
 */
public record Figure(
    String key, String name, Estimate estimate, Unit unit, Bound bound, Because because) {
  public Figure {
    Objects.requireNonNull(key);
    Objects.requireNonNull(name);
    Objects.requireNonNull(unit);
    Objects.requireNonNull(bound);
    Objects.requireNonNull(because);
  }

  /**
   * An exact figure; its uncertainty is what its budget comes to.
   *
   * @param value finite, in the unit
   */
  public static Figure of(String key, String name, double value, Unit unit, Because because) {
    return new Figure(
        key, name, new Estimate(value, because.budget().u95()), unit, Bound.EXACT, because);
  }

  public double value() {
    return estimate.value();
  }

  public double u95() {
    return estimate.u95();
  }

  public double low() {
    return estimate.low();
  }

  public double high() {
    return estimate.high();
  }

  /** How sure it is, line by line, in its unit. */
  public Budget budget() {
    return because.budget();
  }

  /** The same as a bound of the thing. */
  public Figure bounded(Bound other) {
    return new Figure(key, name, estimate, unit, other, because);
  }

  /** The same under another name. */
  public Figure named(String other) {
    return new Figure(key, other, estimate, unit, bound, because);
  }

  /** The same under another key and name, as part of several of its kind. */
  public Figure as(String otherKey, String otherName) {
    return new Figure(otherKey, otherName, estimate, unit, bound, because);
  }

  /** The same with another explanation of the same budget. */
  public Figure because(Because other) {
    return new Figure(key, name, estimate, unit, bound, other);
  }

  /**
   * The same in another unit of the same quantity.
   *
   * @throws IllegalArgumentException for a unit of another quantity
   */
  public Figure in(Unit other) {
    if (other == unit) {
      return this;
    }
    double factor = unit.in(other);
    return new Figure(key, name, estimate.scaled(factor), other, bound, because.scaled(factor));
  }

  /** {@code 921 ± 9 Wh}, {@code ≥ 2 356 ± 47 W}; a count, which is sure, stands without the ±. */
  public String words() {
    if (u95() == 0) {
      return bound.sign() + Figures.plain(value(), unit);
    }
    return bound.sign() + Figures.withUncertainty(value(), u95(), unit);
  }

  /** {@code 921 ± 9}, without the unit. */
  public String bare() {
    return bound.sign() + Figures.withUncertainty(value(), u95());
  }
}

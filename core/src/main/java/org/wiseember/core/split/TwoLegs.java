package org.wiseember.core.split;

import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * Two units joined for a 240 V load, each giving one leg.
 *
 * <p>Source: definition; imbalance is how far the legs are from their mean, ± % of it, so that 0 is
 * even and 100 is all on one leg.
 *
 * @param legA W, everything on the first unit
 * @param legB W, everything on the second
 * @param base W on both together before the load came on, such as the house; 0 for none
 */
public record TwoLegs(double legA, double legB, double base) {
  public TwoLegs {
    if (!(legA >= 0) || !(legB >= 0) || !(base >= 0) || base > legA + legB) {
      throw new IllegalArgumentException(
          "the base load is part of what the two legs carry together");
    }
  }

  public double total() {
    return legA + legB;
  }

  /** What the load itself takes: all less what was on before, W. */
  public double load() {
    return total() - base;
  }

  /** 0 even, 100 all on one leg. */
  public double imbalancePercent() {
    return total() > 0 ? 100 * Math.abs(legA - legB) / total() : 0;
  }

  /** The heavier leg, W: what a unit must bear. */
  public double heavier() {
    return Math.max(legA, legB);
  }

  /**
   * What a load between both legs asks of each unit, W: half of it and half of the current's VA.
   */
  public static double perUnit(double loadWatts) {
    return loadWatts / 2;
  }

  /** {@code 3 000 W in all less 300 W before: a load of 2 700 W}. */
  public String words() {
    return Figures.plain(total(), Unit.WATT)
        + " in all"
        + (base > 0 ? " less " + Figures.plain(base, Unit.WATT) + " before" : "")
        + ": a load of "
        + Figures.plain(load(), Unit.WATT)
        + ", "
        + Figures.plain(perUnit(load()), Unit.WATT)
        + " from each unit; legs "
        + Figures.fixed(imbalancePercent(), 0)
        + " % apart.";
  }
}

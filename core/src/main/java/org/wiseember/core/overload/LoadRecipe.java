package org.wiseember.core.overload;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * Which heaters to plug in, in which order, to reach a load, and what they will really draw: a
 * heater's power goes with the square of the volts.
 *
 * @param base heaters that are on first, each with its plate watts
 * @param added heaters added on top, in order
 * @param volts what the unit gives under such loads, V
 * @param plateVolts at which the plate watts hold, V
 */
public record LoadRecipe(List<Double> base, List<Double> added, double volts, double plateVolts) {
  /** More would make too many ways to combine them. */
  public static final int MOST_LOADS = 12;

  private static final double TOO_MUCH = 1.2;

  /** A base load is looked for at this share of the rating. */
  private static final double BASE_SHARE = 0.5;

  public LoadRecipe {
    base = List.copyOf(base);
    added = List.copyOf(added);
    if (!(volts > 0) || !(plateVolts > 0)) {
      throw new IllegalArgumentException("a heater needs volts");
    }
  }

  /** What a heater draws at other volts than those on its plate, W: P = P_plate·(U ÷ U_plate)². */
  public static double drawn(double plateWatts, double volts, double plateVolts) {
    double ratio = volts / plateVolts;
    return plateWatts * ratio * ratio;
  }

  /**
   * Chooses heaters for a load.
   *
   * @param onHand plate watts of every heater, 1 to 12 of them
   * @param watts wanted in all, at {@code volts}
   * @param ratedWatts of the unit
   */
  public static LoadRecipe of(
      List<Double> onHand, double watts, double ratedWatts, double volts, double plateVolts) {
    if (onHand.isEmpty() || onHand.size() > MOST_LOADS || onHand.stream().anyMatch(w -> !(w > 0))) {
      throw new IllegalArgumentException("name between one and twelve loads, in watts above 0");
    }
    int best = 0;
    for (int set = 1; set < 1 << onHand.size(); set++) {
      if (best == 0
          || nearer(
              sum(onHand, set, volts, plateVolts), sum(onHand, best, volts, plateVolts), watts)) {
        best = set;
      }
    }
    List<Double> chosen = new ArrayList<>();
    for (int i = 0; i < onHand.size(); i++) {
      if ((best >> i & 1) == 1) {
        chosen.add(onHand.get(i));
      }
    }
    return ordered(chosen, ratedWatts, volts, plateVolts);
  }

  /**
   * Chooses heaters that draw at least so much, where no more than {@value #TOO_MUCH} times as much
   * comes of it; else the nearest.
   */
  public static LoadRecipe reaching(
      List<Double> onHand, double watts, double ratedWatts, double volts, double plateVolts) {
    double least = Double.POSITIVE_INFINITY;
    for (int set = 1; set < 1 << Math.min(MOST_LOADS, onHand.size()); set++) {
      double sum = sum(onHand, set, volts, plateVolts);
      least = sum >= watts && sum < least ? sum : least;
    }
    return of(onHand, least <= TOO_MUCH * watts ? least : watts, ratedWatts, volts, plateVolts);
  }

  /** A base load of about half the rating first, the rest on top: heaviest last. */
  private static LoadRecipe ordered(
      List<Double> chosen, double ratedWatts, double volts, double plateVolts) {
    int best = 0;
    double wanted = BASE_SHARE * ratedWatts;
    for (int set = 1; set < (1 << chosen.size()) - 1; set++) {
      double sum = sum(chosen, set, volts, plateVolts);
      if (sum < ratedWatts
          && (best == 0 || nearer(sum, sum(chosen, best, volts, plateVolts), wanted))) {
        best = set;
      }
    }
    List<Double> base = new ArrayList<>();
    List<Double> added = new ArrayList<>();
    for (int i = 0; i < chosen.size(); i++) {
      ((best >> i & 1) == 1 ? base : added).add(chosen.get(i));
    }
    base.sort(null);
    added.sort(Comparator.naturalOrder());
    return new LoadRecipe(base, added, volts, plateVolts);
  }

  private static boolean nearer(double sum, double than, double wanted) {
    return Math.abs(sum - wanted) < Math.abs(than - wanted);
  }

  private static double sum(List<Double> watts, int set, double volts, double plateVolts) {
    double sum = 0;
    for (int i = 0; i < watts.size(); i++) {
      sum += (set >> i & 1) * drawn(watts.get(i), volts, plateVolts);
    }
    return sum;
  }

  /** Plate watts of all of it, W. */
  public double plateWatts() {
    return base.stream().mapToDouble(Double::doubleValue).sum()
        + added.stream().mapToDouble(Double::doubleValue).sum();
  }

  /** What the base load draws, W. */
  public double baseWatts() {
    return base.stream().mapToDouble(w -> drawn(w, volts, plateVolts)).sum();
  }

  /** What all of it draws, W. */
  public double watts() {
    return baseWatts() + added.stream().mapToDouble(w -> drawn(w, volts, plateVolts)).sum();
  }

  /** {@code 500 W on first, then 1 000 W: 1 462 W at 227 V}. */
  public String words() {
    String first = base.isEmpty() ? "" : list(base) + " on first, then ";
    return first
        + list(added)
        + ": "
        + Figures.fixed(watts(), 0)
        + " W at "
        + Figures.plain(volts, Unit.VOLT);
  }

  private static String list(List<Double> watts) {
    return String.join(" + ", watts.stream().map(w -> Figures.plain(w, Unit.WATT)).toList());
  }
}

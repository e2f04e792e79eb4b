package org.wiseember.core.runtime;

/**
 * What a whole drain at one load gave.
 *
 * @param watts mean load, W
 * @param wattHours delivered from full to empty, Wh
 * @param u95 of the energy, Wh; NaN where nobody knows it
 */
public record Usable(double watts, double wattHours, double u95) {
  public Usable {
    if (!(watts > 0) || !(wattHours > 0)) {
      throw new IllegalArgumentException("a drain gives energy at a load, both above 0");
    }
  }

  /** The share of a full unit that an hour at this load takes. */
  double shareAnHour() {
    return watts / wattHours;
  }

  /** The same from a unit so many times as large. */
  Usable times(double factor) {
    return new Usable(watts, wattHours * factor, u95 * factor);
  }

  /** The same with more or less energy, for how much a figure depends on it. */
  Usable with(double energy) {
    return new Usable(watts, energy, u95);
  }
}

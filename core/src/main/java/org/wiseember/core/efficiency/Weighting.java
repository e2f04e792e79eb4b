package org.wiseember.core.efficiency;

import java.util.List;
import java.util.Locale;
import java.util.function.DoubleUnaryOperator;

/** How efficiencies at several shares of the rating make one weighted figure. */
public enum Weighting {
  /** EN 50530 (recalled from memory). */
  EUROPEAN("European"),

  /** CEC inverter test protocol (recalled from memory). */
  CALIFORNIAN("Californian");

  /**
   * One load of a weighting.
   *
   * @param percent of the rating
   * @param weight of the efficiency there
   */
  public record Share(double percent, double weight) {}

  private final String words;

  Weighting(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Of the figure, {@code european}. */
  public String key() {
    return words.toLowerCase(Locale.ROOT);
  }

  /** The loads and their weights, which add up to 1. */
  public List<Share> shares() {
    return switch (this) {
      case EUROPEAN ->
          List.of(
              new Share(5, 0.03),
              new Share(10, 0.06),
              new Share(20, 0.13),
              new Share(30, 0.10),
              new Share(50, 0.48),
              new Share(100, 0.20));
      case CALIFORNIAN ->
          List.of(
              new Share(10, 0.04),
              new Share(20, 0.05),
              new Share(30, 0.12),
              new Share(50, 0.21),
              new Share(75, 0.53),
              new Share(100, 0.05));
    };
  }

  /**
   * The weighted efficiency.
   *
   * @param efficiency by load in W, 0 to 1
   * @param ratedWatts the rating, W, above 0
   */
  public double of(DoubleUnaryOperator efficiency, double ratedWatts) {
    return shares().stream()
        .mapToDouble(s -> s.weight() * efficiency.applyAsDouble(s.percent() / 100 * ratedWatts))
        .sum();
  }
}

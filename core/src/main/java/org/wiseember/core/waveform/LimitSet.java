package org.wiseember.core.waveform;

import java.util.OptionalDouble;

/**
 * Caps for harmonics of a public supply, as lines to hold a stand-alone unit against. No law asks
 * them of such a unit.
 */
public enum LimitSet {
  /** EN 50160, 95 % of a week, total to order 40; recalled from memory. */
  EN_50160("EN 50160", 8),
  /** IEEE 519-2014 and -2022 up to 1 kV; recalled from memory. */
  IEEE_519("IEEE 519", 8);

  private static final double IEEE_EACH = 5;

  /** By order, from the 2nd; 0 where the standard names none. */
  private static final double[] EN_CAPS = {
    2, 5, 1, 6, 0.5, 5, 0.5, 1.5, 0.5, 3.5, 0.5, 3, 0.5, 0.5, 0.5, 2, 0.5, 1.5, 0.5, 0.5, 0.5, 1.5,
    0.5, 1.5
  };

  private final String words;
  private final double total;

  LimitSet(String words, double total) {
    this.words = words;
    this.total = total;
  }

  public String words() {
    return words;
  }

  /** The most the distortion may be, % of the fundamental. */
  public double total() {
    return total;
  }

  /**
   * The most one harmonic may be, % of the fundamental.
   *
   * @param order from 2
   * @return empty where the standard names none
   */
  public OptionalDouble cap(int order) {
    if (order < 2) {
      return OptionalDouble.empty();
    }
    return switch (this) {
      case IEEE_519 -> order <= 50 ? OptionalDouble.of(IEEE_EACH) : OptionalDouble.empty();
      case EN_50160 ->
          order - 2 < EN_CAPS.length
              ? OptionalDouble.of(EN_CAPS[order - 2])
              : OptionalDouble.empty();
    };
  }
}

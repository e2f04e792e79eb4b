package org.wiseember.core.waveform;

import java.util.Arrays;

/** The least and the most of a figure over the windows of a long capture. */
public record Spread(double least, double most) {
  static Spread of(double[] values) {
    return new Spread(
        Arrays.stream(values).min().orElse(Double.NaN),
        Arrays.stream(values).max().orElse(Double.NaN));
  }

  /** Half of what lies between. */
  public double half() {
    return (most - least) / 2;
  }
}

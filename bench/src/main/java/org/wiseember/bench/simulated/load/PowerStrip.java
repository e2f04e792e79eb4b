package org.wiseember.bench.simulated.load;

import java.util.List;

/** Several loads on one outlet. */
public record PowerStrip(List<Load> loads) implements Load {
  public PowerStrip {
    loads = List.copyOf(loads);
  }

  /** These loads together. */
  public static PowerStrip of(Load... loads) {
    return new PowerStrip(List.of(loads));
  }

  @Override
  public LoadDraw at(double volts, WaveShape shape) {
    LoadDraw sum = LoadDraw.NONE;
    for (Load load : loads) {
      sum = sum.plus(load.at(volts, shape));
    }
    return sum;
  }

  @Override
  public void pass(double volts, double seconds) {
    for (Load load : loads) {
      load.pass(volts, seconds);
    }
  }

  @Override
  public double longestStep() {
    return loads.stream().mapToDouble(Load::longestStep).min().orElse(0.25);
  }
}

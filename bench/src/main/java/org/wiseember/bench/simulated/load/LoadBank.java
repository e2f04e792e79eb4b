package org.wiseember.bench.simulated.load;

import java.util.ArrayList;
import java.util.List;

/** The loads on hand, of which some are plugged in at a time. */
public final class LoadBank implements Load {
  /** More would make too many ways to combine them. */
  private static final int MOST = 12;

  private final List<Load> loads;
  private final List<Double> watts;
  private PowerStrip plugged = PowerStrip.of();
  private double wanted = Double.NaN;

  /**
   * Loads to choose from.
   *
   * @param watts what each of them draws warm, in the order of the loads
   */
  public LoadBank(List<Load> loads, List<Double> watts) {
    if (loads.size() != watts.size() || loads.size() > MOST) {
      throw new IllegalArgumentException("up to 12 loads, each with its watts");
    }
    this.loads = List.copyOf(loads);
    this.watts = List.copyOf(watts);
  }

  /** A single load, which is on for any watts above 0. */
  public static LoadBank of(Load load) {
    return new LoadBank(List.of(load), List.of(1.0));
  }

  /** Plugs in those whose watts together come nearest; none for 0, all for infinitely many. */
  public void plug(double sum) {
    if (sum == wanted) {
      return;
    }
    wanted = sum;
    plugged = new PowerStrip(sum <= 0 ? List.of() : chosen(sum));
  }

  private List<Load> chosen(double sum) {
    if (Double.isInfinite(sum)) {
      return loads;
    }
    int best = (1 << loads.size()) - 1;
    for (int set = 1; set < 1 << loads.size(); set++) {
      if (Math.abs(sum(set) - sum) < Math.abs(sum(best) - sum)) {
        best = set;
      }
    }
    List<Load> out = new ArrayList<>();
    for (int i = 0; i < loads.size(); i++) {
      if ((best >> i & 1) == 1) {
        out.add(loads.get(i));
      }
    }
    return out;
  }

  private double sum(int set) {
    double sum = 0;
    for (int i = 0; i < watts.size(); i++) {
      sum += (set >> i & 1) * watts.get(i);
    }
    return sum;
  }

  @Override
  public LoadDraw at(double volts, WaveShape shape) {
    return plugged.at(volts, shape);
  }

  @Override
  public void pass(double volts, double seconds) {
    for (Load load : loads) {
      load.pass(plugged.loads().contains(load) ? volts : 0, seconds);
    }
  }

  @Override
  public double longestStep() {
    return plugged.longestStep();
  }
}

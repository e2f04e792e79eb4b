package org.wiseember.report.plot;

import java.util.Map;

/**
 * An axis.
 *
 * @param name with its unit; empty for none
 * @param least at its beginning
 * @param most at its end
 * @param step between its figures; NaN where it has names in their place
 * @param names written at their places; empty for none, and without a step the axis is not seen
 */
public record Axis(
    String name, double least, double most, double step, Map<Double, String> names, Ink ink) {
  public Axis {
    names = Map.copyOf(names);
  }

  /** With round steps, at most so many. */
  public static Axis round(String name, double least, double most, int steps, Ink ink) {
    return every(name, least, most, step(most - least, steps), ink);
  }

  /** With a figure at every so many. */
  public static Axis every(String name, double least, double most, double step, Ink ink) {
    return new Axis(name, least, most, step, Map.of(), ink);
  }

  /** With names at their places. */
  public static Axis named(
      String name, double least, double most, Map<Double, String> names, Ink ink) {
    return new Axis(name, least, most, Double.NaN, names, ink);
  }

  /** That only says where things stand. */
  public static Axis unseen(double least, double most) {
    return new Axis("", least, most, Double.NaN, Map.of(), palette -> palette.quiet());
  }

  /** Whether anything is written at it. */
  public boolean seen() {
    return !Double.isNaN(step) || !names.isEmpty();
  }

  /** A round step, of which at most so many lie in a range. */
  public static double step(double range, int most) {
    double rough = range / most;
    double power = Math.pow(10, Math.floor(Math.log10(rough)));
    for (double m : new double[] {1, 2, 5}) {
      if (m * power >= rough) {
        return m * power;
      }
    }
    return 10 * power;
  }
}

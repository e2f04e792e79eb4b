package org.wiseember.core.waveform;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * One unit's wave at several loads.
 *
 * @param points by load
 */
public record LoadSweep(List<Point> points) {
  /**
   * The wave at one load.
   *
   * @param watts on the outlet, 0 for none
   */
  public record Point(double watts, WaveformFinding finding) {}

  public LoadSweep {
    points = points.stream().sorted(Comparator.comparingDouble(Point::watts)).toList();
  }

  /** The worst distortion of all. */
  public Point worst() {
    return points.stream()
        .max(Comparator.comparingDouble(p -> p.finding().thdF().value()))
        .orElseThrow();
  }

  /** What load does to distortion, volts and frequency; a sentence each, none for one point. */
  public List<String> words() {
    if (points.size() < 2) {
      return List.of();
    }
    Point light = points.get(0);
    Point heavy = points.get(points.size() - 1);
    List<String> words = new ArrayList<>();
    double a = light.finding().thdF().value();
    double b = heavy.finding().thdF().value();
    double sure = Math.hypot(light.finding().thdF().u95(), heavy.finding().thdF().u95());
    String figures =
        Figures.fixed(a, 1)
            + " % "
            + load(light)
            + ", "
            + Figures.fixed(b, 1)
            + " % "
            + load(heavy)
            + ".";
    if (Math.abs(a - b) <= sure) {
      words.add("Much the same with load as without: " + figures);
    } else {
      words.add(
          (b < a ? "Cleaner as it works harder: " : "Rougher as it works harder: ") + figures);
    }
    Point worst = worst();
    if (!worst.equals(light) && !worst.equals(heavy)) {
      words.add(
          "Worst between: "
              + Figures.fixed(worst.finding().thdF().value(), 1)
              + " % "
              + load(worst)
              + ".");
    }
    double droop = 100 * (1 - heavy.finding().rms().value() / light.finding().rms().value());
    double moved =
        Math.abs(light.finding().frequency().value() - heavy.finding().frequency().value());
    words.add(
        "Volts "
            + (droop >= 0 ? "fall" : "rise")
            + " by "
            + Figures.fixed(Math.abs(droop), 1)
            + " % from the lightest load to the heaviest; the frequency "
            + (moved < 0.005 ? "stays." : "moves by " + Figures.fixed(moved, 2) + " Hz."));
    return words;
  }

  private static String load(Point p) {
    return p.watts() <= 0 ? "with no load" : "at " + Figures.plain(Math.rint(p.watts()), Unit.WATT);
  }
}

package org.wiseember.core.display;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * The unit's power display held against a meter, load by load.
 *
 * @param loads from light to heavy
 */
public record PowerDisplay(List<Load> loads) {
  /** Shown below this while there is a load, the display shows nothing, W. */
  private static final double NOTHING = 0.5;

  /**
   * One load.
   *
   * @param measured by the meter, W
   * @param shown on the display, W
   */
  public record Load(double measured, double shown) {
    /** Shown less measured, W. */
    public double error() {
      return shown - measured;
    }

    /** Shown less measured, % of measured. */
    public double errorPercent() {
      return 100 * error() / measured;
    }

    boolean ignored() {
      return shown < NOTHING;
    }
  }

  public PowerDisplay {
    loads = loads.stream().sorted(Comparator.comparingDouble(Load::measured)).toList();
  }

  /** The heaviest load the display did not show at all, W; empty where it showed all. */
  public OptionalDouble floor() {
    return loads.stream().filter(Load::ignored).mapToDouble(Load::measured).max();
  }

  /** Mean error of the loads it showed, % of what was measured; empty where it showed none. */
  public OptionalDouble meanErrorPercent() {
    return loads.stream().filter(l -> !l.ignored()).mapToDouble(Load::errorPercent).average();
  }

  /** What is to be said about it; empty where nothing was read. */
  public List<String> words() {
    List<String> out = new ArrayList<>();
    meanErrorPercent()
        .ifPresent(
            mean -> {
              Load worst =
                  loads.stream()
                      .filter(l -> !l.ignored())
                      .max(Comparator.comparingDouble(l -> Math.abs(l.errorPercent())))
                      .orElseThrow();
              out.add(
                  "The display shows "
                      + Figures.fixed(Math.abs(mean), 1)
                      + " % too "
                      + (mean >= 0 ? "much" : "little")
                      + " on the mean; at worst "
                      + Figures.fixed(worst.shown(), 0)
                      + " for "
                      + Figures.plain(worst.measured(), Unit.WATT)
                      + ".");
            });
    floor()
        .ifPresent(
            floor ->
                out.add(
                    "It shows nothing at "
                        + Figures.plain(floor, Unit.WATT)
                        + (loads.stream().anyMatch(l -> !l.ignored())
                            ? "; the lightest load it showed was "
                                + Figures.plain(
                                    loads.stream()
                                        .filter(l -> !l.ignored())
                                        .mapToDouble(Load::measured)
                                        .min()
                                        .orElseThrow(),
                                    Unit.WATT)
                            : "")
                        + "."));
    return out;
  }

  /** Watts shown and watts told by the charge may differ by this factor: losses, coarse steps. */
  private static final double FACTOR = 1.4;

  /**
   * The watts that a change of the charge display tells of.
   *
   * @param points by which the charge display moved
   * @param usableWattHours of the pack, Wh
   * @param hours of that time, above 0
   */
  public static double wattsByCharge(double points, double usableWattHours, double hours) {
    return Math.abs(points) / 100 * usableWattHours / hours;
  }

  /**
   * Whether the power display can be right: what it shows times the time must be what the pack
   * gained or lost.
   *
   * @param meanShown on the display over that time, W
   * @param points by which the charge display moved, ten or more to tell anything
   * @param usableWattHours of the pack, Wh
   * @param hours of that time, above 0
   * @return one sentence where it cannot be; empty where it can
   */
  public static Optional<String> againstCharge(
      double meanShown, double points, double usableWattHours, double hours) {
    double told = wattsByCharge(points, usableWattHours, hours);
    if (Math.abs(points) < 10 || (meanShown < FACTOR * told && told < FACTOR * meanShown)) {
      return Optional.empty();
    }
    return Optional.of(
        "The display showed "
            + Figures.fixed(meanShown, 0)
            + " W while the charge moved as if by "
            + Figures.fixed(told, 0)
            + " W ("
            + Figures.fixed(Math.abs(points), 0)
            + " % of "
            + Figures.plain(usableWattHours, Unit.WATT_HOUR)
            + " in "
            + Figures.duration(hours * 3600)
            + "): one of the two is frozen or lies.");
  }
}

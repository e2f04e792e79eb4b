package org.wiseember.core.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/**
 * A cable between a battery, a panel or a port and what it feeds.
 *
 * @param amps it carries for hours, A, above 0
 * @param metres one way, m, above 0; the drop counts both conductors
 * @param volts lowest at its source, V, above 0
 * @param gauge of the conductors
 */
public record CableRun(double amps, double metres, double volts, Gauge gauge) {
  /** A fuse is at least so many times the continuous amps; common practice and most codes. */
  public static final double FUSE_FACTOR = 1.25;

  /** Copper under load is taken to be this warm, °C. */
  public static final double WARM = 50;

  /** Sizes fuses are sold in, A. */
  private static final double[] FUSES = {
    1, 2, 3, 5, 7.5, 10, 15, 20, 25, 30, 35, 40, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200,
    225, 250, 300
  };

  public CableRun {
    if (!(amps > 0) || !(metres > 0) || !(volts > 0)) {
      throw new IllegalArgumentException("a cable carries amps over metres at volts");
    }
  }

  /**
   * The amps an inverter draws at worst: I = P ÷ (η · U_lowest).
   *
   * @param acWatts it gives, W
   * @param efficiency 0 to 1
   * @param lowestVolts of the battery under load, V
   */
  public static double batteryAmps(double acWatts, double efficiency, double lowestVolts) {
    if (!(efficiency > 0 && efficiency <= 1) || !(lowestVolts > 0)) {
      throw new IllegalArgumentException("an efficiency is between 0 and 1, volts are above 0");
    }
    return acWatts / (efficiency * lowestVolts);
  }

  /**
   * The thinnest cable that carries a fuse of its own and keeps its drop.
   *
   * @param mostDrop % of the volts
   * @return empty where none of the known gauges does
   */
  public static Optional<CableRun> thinnest(
      double amps, double metres, double volts, double mostDrop) {
    return Gauge.all().stream()
        .map(g -> new CableRun(amps, metres, volts, g))
        .filter(r -> r.fuse().isPresent() && r.dropPercent() <= mostDrop)
        .findFirst();
  }

  /** Both conductors, Ω. */
  public double ohms() {
    return 2 * metres * gauge.ohmsPerMetre(WARM);
  }

  /** Lost on the way, V. */
  public double dropVolts() {
    return amps * ohms();
  }

  /** Lost on the way, % of the volts. */
  public double dropPercent() {
    return 100 * dropVolts() / volts;
  }

  /** Heat of the whole cable, W. */
  public double heatWatts() {
    return amps * amps * ohms();
  }

  /** The fuse next to the battery: at least 1.25 × the amps, at most what the cable carries. */
  public Optional<Double> fuse() {
    for (double size : FUSES) {
      if (size >= FUSE_FACTOR * amps - 1e-9) {
        return size <= gauge.carriesAmps() ? Optional.of(size) : Optional.empty();
      }
    }
    return Optional.empty();
  }

  /** How it came about, with what to look out for. */
  public Explanation explained() {
    List<String> sum = new ArrayList<>();
    sum.add(
        gauge.words()
            + ": "
            + Figures.fixed(gauge.squareMillimetres(), 2)
            + " mm² of copper, "
            + Figures.fixed(1000 * gauge.ohmsPerMetre(WARM), 2)
            + " mΩ a metre at "
            + Figures.plain(WARM)
            + "\u00a0°C");
    sum.add(
        Figures.fixed(amps, 1)
            + " A × 2 × "
            + Figures.plain(metres, Unit.METRE)
            + " × "
            + Figures.fixed(1000 * gauge.ohmsPerMetre(WARM), 2)
            + " mΩ/m = "
            + Figures.fixed(dropVolts(), 2)
            + " V, "
            + Figures.fixed(dropPercent(), 1)
            + " % of "
            + Figures.plain(volts, Unit.VOLT));
    sum.add("Heat: " + Figures.fixed(heatWatts(), 1) + " W along the cable");
    sum.add(
        fuse()
            .map(
                f ->
                    "Fuse next to the battery: "
                        + Figures.plain(f, Unit.AMPERE)
                        + ", which is 1.25 × "
                        + Figures.fixed(amps, 1)
                        + " A or more and no more than the "
                        + Figures.plain(gauge.carriesAmps(), Unit.AMPERE)
                        + " it carries")
            .orElse(
                "No fuse fits: 1.25 × "
                    + Figures.fixed(amps, 1)
                    + " A is more than the "
                    + Figures.plain(gauge.carriesAmps(), Unit.AMPERE)
                    + " it carries"));
    Because because =
        Because.of(Budget.of(), sum)
            .summed("drop, heat and fuse at " + Figures.fixed(amps, 1) + " A")
            .watching(
                "Check your local code; what is fixed to a building is a licensed electrician's"
                    + " work.",
                "Plugs and lugs carry less than the cable: feel them under load, and crimp, do not"
                    + " solder, what moves.",
                "The fuse sits next to the battery, before anything that can be shorted.")
            .otherwise("Some count the drop of one conductor only; current flows through both.");
    return new Explanation(
        "Cable of " + Figures.plain(metres, Unit.METRE), gauge.words(), Unit.VOLT, because);
  }
}

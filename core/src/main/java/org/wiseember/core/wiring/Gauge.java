package org.wiseember.core.wiring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * A copper conductor of a gauge.
 *
 * <p>Sources: American wire gauge, d = 0.127 mm × 92^((36 − n) ÷ 39) (ASTM B258); annealed copper,
 * 1.7241 × 10⁻⁸ Ω·m at 20 °C and 0.00393 a kelvin (IEC 60028); what it carries, copper at 60 °C in
 * a cable in air at 30 °C (NEC table 310.16, and 400.5 for the two thinnest, recalled from memory).
 *
 * @param awg number, 0 for 1/0, −1 for 2/0 and so on
 * @param carriesAmps the most it may carry for hours, A
 */
public record Gauge(int awg, double carriesAmps) {
  /** Ω·m at 20 °C. */
  public static final double COPPER = 1.7241e-8;

  /** Of the resistance, a kelvin, from 20 °C. */
  public static final double PER_KELVIN = 0.00393;

  private static final double REFERENCE_CELSIUS = 20;

  /** Number and amps, thin to thick. */
  private static final int[][] CARRIES = {
    {18, 7}, {16, 10}, {14, 15}, {12, 20}, {10, 30}, {8, 40}, {6, 55}, {4, 70}, {3, 85}, {2, 95},
    {1, 110}, {0, 125}, {-1, 145}, {-2, 165}, {-3, 195}
  };

  /** Metric sizes one buys, mm². */
  private static final double[] METRIC = {0.75, 1, 1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120};

  /** All gauges that are known, thin to thick. */
  public static List<Gauge> all() {
    List<Gauge> all = new ArrayList<>();
    for (int[] c : CARRIES) {
      all.add(new Gauge(c[0], c[1]));
    }
    all.sort(Comparator.comparingInt(g -> -g.awg()));
    return all;
  }

  /** The gauge with a number; empty where it is not known. */
  public static Optional<Gauge> of(int awg) {
    return all().stream().filter(g -> g.awg() == awg).findFirst();
  }

  /** Diameter of the conductor, mm. */
  public double millimetres() {
    return 0.127 * Math.pow(92, (36 - awg) / 39.0);
  }

  /** Cross-section, mm². */
  public double squareMillimetres() {
    double d = millimetres();
    return Math.PI * d * d / 4;
  }

  /** The next metric size that is no thinner, mm². */
  public double metric() {
    for (double size : METRIC) {
      if (size >= squareMillimetres() * 0.999) {
        return size;
      }
    }
    throw new IllegalStateException("no metric size is as thick as " + number() + " AWG");
  }

  /**
   * Resistance of one conductor.
   *
   * @param celsius of the copper, °C
   * @return Ω a metre
   */
  public double ohmsPerMetre(double celsius) {
    double at20 = COPPER / (squareMillimetres() * 1e-6);
    return at20 * (1 + PER_KELVIN * (celsius - REFERENCE_CELSIUS));
  }

  /** By both sizes, {@code 10 AWG or 6 mm²}: the reader's units take their pick. */
  public String words() {
    return number()
        + Figures.NO_BREAK
        + "AWG or "
        + Figures.plain(metric(), Unit.SQUARE_MILLIMETRE);
  }

  /** {@code 10}, {@code 2/0}. */
  public String number() {
    return awg >= 1 ? Integer.toString(awg) : (1 - awg) + "/0";
  }
}

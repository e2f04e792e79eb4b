package org.wiseember.core.waveform;

import java.util.Arrays;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;

/**
 * The lines of one window of whole cycles, as squares of their RMS, and the harmonic subgroups made
 * of them: a harmonic's own line with the one on either side.
 *
 * <p>Source: IEC 61000-4-7 (recalled from memory): 10 cycles at 50 Hz, 12 at 60 Hz, lines 5 Hz
 * apart.
 */
final class Spectrum {
  /** Lines a subgroup has. */
  static final int SUBGROUP = 3;

  private static final int CELLS = 8192;

  /** The uppermost part of what the samples carry, in which folded lines gather. */
  private static final double EDGE = 0.8;

  private final double[] squares;
  private final int cycles;
  private final int orders;
  private final double angle;
  private final double edge;

  private Spectrum(double[] squares, int cycles, int orders, double angle, double edge) {
    this.squares = squares;
    this.cycles = cycles;
    this.orders = orders;
    this.angle = angle;
    this.edge = edge;
  }

  /**
   * Transforms a window.
   *
   * @param from its start, samples
   * @param frequency cycles a sample
   * @param cycles in it
   * @param orders highest harmonic wanted
   * @param steps whether the wave stays as it is from one sample to the next and then jumps: what
   *     its jumps fold back onto a harmonic is then known, and taken off
   */
  static Spectrum of(
      CycleWindow window, double from, double frequency, int cycles, int orders, boolean steps) {
    double length = cycles / frequency;
    double[][] wave = {window.cells(from, length, CELLS), new double[CELLS]};
    FastFourierTransformer.transformInPlace(wave, DftNormalization.STANDARD, TransformType.FORWARD);
    // No harmonic is told above what the samples carry.
    int carried = (int) Math.floor(0.499 / frequency);
    int most = Math.min(orders, carried);
    double[] squares = new double[(most + 1) * cycles];
    for (int k = 0; k < squares.length; k++) {
      squares[k] = square(wave, k, length, steps);
    }
    double edge = 0;
    int lines = carried * cycles;
    for (int k = (int) (EDGE * lines); lines < CELLS / 4 && k <= lines; k++) {
      edge += square(wave, k, length, steps);
    }
    double angle = Math.atan2(wave[1][cycles], wave[0][cycles]);
    return new Spectrum(squares, cycles, most, angle, edge);
  }

  private static double square(double[][] wave, int k, double length, boolean steps) {
    double gain = CycleWindow.gain(k / length, (double) k / CELLS);
    gain /= steps ? CycleWindow.sinc(k / length) : 1;
    double amplitude = Math.hypot(wave[0][k], wave[1][k]) / CELLS / gain;
    return k == 0 ? amplitude * amplitude : 2 * amplitude * amplitude;
  }

  /** The highest harmonic that can be told. */
  int orders() {
    return orders;
  }

  /** Angle of the fundamental at the window's start, rad. */
  double angle() {
    return angle;
  }

  /**
   * Square of the RMS of the uppermost fifth of what the samples carry; 0 where that lies far above
   * the harmonics asked for.
   */
  double edge() {
    return edge;
  }

  /** Square of the RMS of the fundamental's own line. */
  double fundamental() {
    return squares[cycles];
  }

  /** Square of the RMS of a harmonic's subgroup. */
  double subgroup(int order) {
    int middle = order * cycles;
    double sum = squares[middle];
    if (cycles > 2) {
      sum += squares[middle - 1] + (middle + 1 < squares.length ? squares[middle + 1] : 0);
    }
    return sum;
  }

  /** Square of the RMS of one of the lines between the subgroups: what noise puts on a line. */
  double noise() {
    double[] between = new double[squares.length];
    int n = 0;
    for (int k = cycles + 2; k < squares.length; k++) {
      int away = Math.min(k % cycles, cycles - k % cycles);
      if (away >= 2) {
        between[n++] = squares[k];
      }
    }
    if (n < 8) {
      return 0;
    }
    Arrays.sort(between, 0, n);
    // Powers of noise are spread like an exponential: their median is ln 2 of their mean.
    return between[n / 2] / Math.log(2);
  }

  /** Square of the RMS of all lines between the subgroups, up to the highest harmonic. */
  double interharmonics() {
    double sum = 0;
    for (int k = cycles + 2; k < squares.length; k++) {
      int away = Math.min(k % cycles, cycles - k % cycles);
      sum += away >= 2 ? squares[k] : 0;
    }
    return sum;
  }
}

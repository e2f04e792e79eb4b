package org.wiseember.core.waveform;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;

/**
 * The wave that repeats in a piece of a capture: offset, fundamental and harmonics by linear least
 * squares at a frequency, so that it can be carried on beyond the piece.
 */
public final class RepeatingWave {
  private final double hertz;
  private final double[] terms;
  private final double rms;

  private RepeatingWave(double hertz, double[] terms, double rms) {
    this.hertz = hertz;
    this.terms = terms;
    this.rms = rms;
  }

  /**
   * Fits the wave.
   *
   * @param samples of the whole capture
   * @param from first sample of the piece
   * @param to sample after its last, with at least a cycle between
   * @param orders harmonics, 1 or more; fewer are taken where the samples are too few
   */
  public static RepeatingWave fit(
      double[] samples, int from, int to, double perSecond, double hertz, int orders) {
    int most = (int) Math.max(1, Math.min(orders, perSecond / hertz / 4));
    int size = 1 + 2 * most;
    double[][] normal = new double[size][size];
    double[] right = new double[size];
    double[] row = new double[size];
    for (int i = from; i < to; i++) {
      basis(row, hertz, i / perSecond);
      for (int a = 0; a < size; a++) {
        right[a] += row[a] * samples[i];
        for (int b = 0; b <= a; b++) {
          normal[a][b] += row[a] * row[b];
        }
      }
    }
    for (int a = 0; a < size; a++) {
      normal[a][a] *= 1 + 1e-9;
      for (int b = 0; b < a; b++) {
        normal[b][a] = normal[a][b];
      }
    }
    RealMatrix matrix = new Array2DRowRealMatrix(normal, false);
    RealVector found =
        new CholeskyDecomposition(matrix, 1e-6, 1e-14)
            .getSolver()
            .solve(new ArrayRealVector(right));
    double[] terms = found.toArray();
    double sum = 0;
    for (int i = from; i < to; i++) {
      double r = samples[i] - value(terms, hertz, i / perSecond);
      sum += r * r;
    }
    return new RepeatingWave(hertz, terms, Math.sqrt(sum / Math.max(1, to - from - size)));
  }

  /**
   * Fits a sine of unknown frequency.
   *
   * @param guess Hz
   * @param within looked for so many Hz on either side
   */
  public static double frequency(
      double[] samples, int from, int to, double perSecond, double guess, double within) {
    return new BrentOptimizer(1e-7, 1e-9)
        .optimize(
            new UnivariateObjectiveFunction(
                f -> fit(samples, from, to, perSecond, f, 1).residual()),
            GoalType.MINIMIZE,
            new SearchInterval(guess - within, guess + within, guess),
            MaxEval.unlimited())
        .getPoint();
  }

  private static void basis(double[] row, double hertz, double seconds) {
    row[0] = 1;
    double angle = 2 * Math.PI * hertz * seconds;
    for (int k = 1; 2 * k < row.length; k++) {
      row[2 * k - 1] = Math.cos(k * angle);
      row[2 * k] = Math.sin(k * angle);
    }
  }

  private static double value(double[] terms, double hertz, double seconds) {
    double sum = terms[0];
    double angle = 2 * Math.PI * hertz * seconds;
    for (int k = 1; 2 * k < terms.length; k++) {
      sum += terms[2 * k - 1] * Math.cos(k * angle) + terms[2 * k] * Math.sin(k * angle);
    }
    return sum;
  }

  /** The wave at a moment of the capture, s. */
  public double at(double seconds) {
    return value(terms, hertz, seconds);
  }

  public double hertz() {
    return hertz;
  }

  /** RMS of what is left over within the piece. */
  public double residual() {
    return rms;
  }

  /** Peak of the fundamental. */
  public double amplitude() {
    return Math.hypot(terms[1], terms[2]);
  }

  /** Angle of the fundamental at a moment, degrees, 0 at its upward crossing. */
  public double phase(double seconds) {
    double at = 2 * Math.PI * hertz * seconds;
    double sine = terms[1] * Math.cos(at) + terms[2] * Math.sin(at);
    double cosine = -terms[1] * Math.sin(at) + terms[2] * Math.cos(at);
    double degrees = Math.toDegrees(Math.atan2(sine, cosine));
    return degrees < 0 ? degrees + 360 : degrees;
  }
}

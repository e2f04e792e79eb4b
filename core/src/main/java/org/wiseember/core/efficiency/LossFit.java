package org.wiseember.core.efficiency;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;

/**
 * The loss curve through measured loads: weighted least squares for p0, p1, p2 with p0 and p2 kept
 * at 0 or above.
 *
 * <p>Scatter gives the covariance. It is widened by χ² ÷ ν where the points lie further from the
 * curve than their scatter explains. What the meters themselves may be off by is shared by all
 * points and does not scatter: for each such cause the curve is fitted anew with the meters off by
 * that much, and the difference is a line of the budget.
 */
public final class LossFit {
  /** Loads needed: as many as there are unknowns. */
  public static final int LEAST_LOADS = 3;

  private static final int TERMS = 3;

  private final LossCurve curve;
  private final double[][] covariance;
  private final double degreesOfFreedom;
  private final double chiSquare;
  private final List<Shifted> shifted;
  private final List<Shifted> bent;

  /**
   * One measured load.
   *
   * @param acWatts out
   * @param loss P_dc − P_ac, W
   * @param scatter standard uncertainty of the loss from scatter alone, W, above 0
   */
  public record Point(double acWatts, double loss, double scatter) {
    public Point {
      if (!(acWatts >= 0) || !Double.isFinite(loss) || !(scatter > 0)) {
        throw new IllegalArgumentException("not a measured load: " + acWatts + " W, " + loss);
      }
    }
  }

  /**
   * The points as they would be if a meter were off as far as it may.
   *
   * @param name of the cause, as a line of the budget
   * @param points in the same order
   */
  public record Shift(String name, List<Point> points) {}

  private record Shifted(String name, LossCurve curve) {}

  private LossFit(
      LossCurve curve,
      double[][] covariance,
      double degreesOfFreedom,
      double chiSquare,
      List<Shifted> shifted,
      List<Shifted> bent) {
    this.curve = curve;
    this.covariance = covariance;
    this.degreesOfFreedom = degreesOfFreedom;
    this.chiSquare = chiSquare;
    this.shifted = shifted;
    this.bent = bent;
  }

  /**
   * Fits the curve.
   *
   * @param points at three or more different loads, no load being one
   * @param shifts what the meters may be off by; may be empty
   * @throws IllegalArgumentException for fewer than three different loads
   */
  public static LossFit through(List<Point> points, List<Shift> shifts) {
    return through(points, shifts, List.of());
  }

  /**
   * Fits the curve, for figures that also rest on its bend.
   *
   * @param bends what the meters may be off by at one load and not at the others; may be empty
   */
  public static LossFit through(List<Point> points, List<Shift> shifts, List<Shift> bends) {
    if (points.stream().mapToDouble(Point::acWatts).distinct().count() < LEAST_LOADS) {
      throw new IllegalArgumentException("a loss curve needs three different loads");
    }
    double scale = points.stream().mapToDouble(Point::acWatts).max().orElse(1);
    RealMatrix design = design(points, scale, new boolean[] {true, true, true});
    RealMatrix normal = design.transpose().multiply(design);
    RealMatrix spread = new LUDecomposition(normal).getSolver().getInverse();
    LossCurve curve = bounded(points, scale);
    double chi = chiSquare(points, curve);
    int free = points.size() - TERMS;
    double birge = free > 0 ? Math.max(1, chi / free) : 1;
    RealMatrix unscaled = unscaled(spread.scalarMultiply(birge), scale);
    List<Shifted> shifted = fitted(shifts, scale);
    List<Shifted> bent = fitted(bends, scale);
    return new LossFit(
        curve,
        unscaled.getData(),
        free > 0 && birge > 1 ? free : Double.POSITIVE_INFINITY,
        chi,
        shifted,
        bent);
  }

  private static List<Shifted> fitted(List<Shift> shifts, double scale) {
    List<Shifted> fitted = new ArrayList<>();
    for (Shift shift : shifts) {
      fitted.add(new Shifted(shift.name(), bounded(shift.points(), scale)));
    }
    return fitted;
  }

  /** The least-squares curve among those with p0, p2 ≥ 0: the best of all sets of bounds. */
  private static LossCurve bounded(List<Point> points, double scale) {
    LossCurve best = null;
    double least = Double.POSITIVE_INFINITY;
    for (boolean withP0 : new boolean[] {true, false}) {
      for (boolean withP2 : new boolean[] {true, false}) {
        LossCurve candidate = solve(points, scale, new boolean[] {withP0, true, withP2});
        double chi = chiSquare(points, candidate);
        if (candidate.p0() >= 0 && candidate.p2() >= 0 && chi < least) {
          best = candidate;
          least = chi;
        }
      }
    }
    return best == null ? new LossCurve(0, 0, 0) : best;
  }

  private static LossCurve solve(List<Point> points, double scale, boolean[] terms) {
    RealMatrix design = design(points, scale, terms);
    RealVector right = new ArrayRealVector(points.size());
    for (int i = 0; i < points.size(); i++) {
      right.setEntry(i, points.get(i).loss() / points.get(i).scatter());
    }
    RealVector found = new QRDecomposition(design, 1e-13).getSolver().solve(right);
    double[] p = new double[TERMS];
    int k = 0;
    for (int term = 0; term < TERMS; term++) {
      p[term] = terms[term] ? found.getEntry(k++) / Math.pow(scale, term) : 0;
    }
    return new LossCurve(p[0], p[1], p[2]);
  }

  private static RealMatrix design(List<Point> points, double scale, boolean[] terms) {
    int columns = 0;
    for (boolean term : terms) {
      columns += term ? 1 : 0;
    }
    RealMatrix design = new Array2DRowRealMatrix(points.size(), columns);
    for (int i = 0; i < points.size(); i++) {
      Point point = points.get(i);
      int k = 0;
      for (int term = 0; term < TERMS; term++) {
        if (terms[term]) {
          design.setEntry(i, k++, Math.pow(point.acWatts() / scale, term) / point.scatter());
        }
      }
    }
    return design;
  }

  private static RealMatrix unscaled(RealMatrix spread, double scale) {
    RealMatrix out = spread.copy();
    for (int i = 0; i < TERMS; i++) {
      for (int j = 0; j < TERMS; j++) {
        out.setEntry(i, j, spread.getEntry(i, j) / Math.pow(scale, i + j));
      }
    }
    return out;
  }

  private static double chiSquare(List<Point> points, LossCurve curve) {
    double sum = 0;
    for (Point p : points) {
      double residual = (p.loss() - (curve.dcWatts(p.acWatts()) - p.acWatts())) / p.scatter();
      sum += residual * residual;
    }
    return sum;
  }

  public LossCurve curve() {
    return curve;
  }

  /** Covariance of p0, p1, p2 by scatter, in W, 1 and 1/W. */
  public double[][] covariance() {
    return Arrays.stream(covariance).map(double[]::clone).toArray(double[][]::new);
  }

  /** Σ (residual ÷ scatter)². */
  public double chiSquare() {
    return chiSquare;
  }

  /**
   * A figure read off the curve, with its uncertainty.
   *
   * @param figure of a curve; its value here must be finite
   */
  public Estimate estimate(ToDoubleFunction<LossCurve> figure) {
    return new Estimate(figure.applyAsDouble(curve), budget(figure).u95());
  }

  /** What is lost of every further watt by the converter, p₁, beside what it draws by itself. */
  public Figure lossShare() {
    return Figure.of(
        "loss_share",
        "Lost of every watt",
        curve.p1(),
        Unit.ONE,
        Because.of(budget(LossCurve::p1), "p1 of P_dc − P_ac = p0 + p1·P + p2·P²")
            .summed("by the fit through the loads"));
  }

  /** How sure a figure read off the curve is. */
  public Budget budget(ToDoubleFunction<LossCurve> figure) {
    double here = figure.applyAsDouble(curve);
    List<Contribution> lines = new ArrayList<>();
    lines.add(new Contribution("Scatter of the readings", scatter(figure), degreesOfFreedom, ""));
    for (Shifted other : shifted) {
      double apart = figure.applyAsDouble(other.curve()) - here;
      if (Double.isFinite(apart) && apart != 0) {
        lines.add(Contribution.rectangular(other.name(), apart));
      }
    }
    return new Budget(lines);
  }

  /**
   * How sure a figure is that rests on how the curve bends, such as where its top lies: a meter may
   * be off one way at light and another way at heavy loads and still keep its class.
   */
  public Budget bendingBudget(ToDoubleFunction<LossCurve> figure) {
    double here = figure.applyAsDouble(curve);
    double square = 0;
    for (Shifted other : bent) {
      double apart = figure.applyAsDouble(other.curve()) - here;
      square += Double.isFinite(apart) ? apart * apart : 0;
    }
    return budget(figure)
        .with(
            Contribution.normal(
                "Meters off otherwise at each load, within their class", Math.sqrt(square / 3)));
  }

  /**
   * Propagates the covariance by moving along each column of its square root, a standard
   * uncertainty at a time, which stays fair where a figure is bent, as a peak is.
   */
  private double scatter(ToDoubleFunction<LossCurve> figure) {
    double here = figure.applyAsDouble(curve);
    double sum = 0;
    double[][] root = squareRoot(covariance());
    for (int k = 0; k < TERMS; k++) {
      double up = figure.applyAsDouble(moved(root, k, 1));
      double down = figure.applyAsDouble(moved(root, k, -1));
      double half =
          Double.isFinite(up) && Double.isFinite(down)
              ? (up - down) / 2
              : Double.isFinite(up) ? up - here : Double.isFinite(down) ? here - down : 0;
      sum += half * half;
    }
    return Math.sqrt(sum);
  }

  private LossCurve moved(double[][] root, int column, double by) {
    return new LossCurve(
        curve.p0() + by * root[0][column],
        curve.p1() + by * root[1][column],
        curve.p2() + by * root[2][column]);
  }

  /** Lower triangle L with L·Lᵀ the matrix; the units of the terms differ by many powers of ten. */
  private static double[][] squareRoot(double[][] matrix) {
    double[][] lower = new double[TERMS][TERMS];
    for (int i = 0; i < TERMS; i++) {
      for (int j = 0; j <= i; j++) {
        double sum = matrix[i][j];
        for (int k = 0; k < j; k++) {
          sum -= lower[i][k] * lower[j][k];
        }
        if (i == j) {
          lower[i][i] = Math.sqrt(Math.max(0, sum));
        } else {
          lower[i][j] = lower[j][j] > 0 ? sum / lower[j][j] : 0;
        }
      }
    }
    return lower;
  }
}

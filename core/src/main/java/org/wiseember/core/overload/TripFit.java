package org.wiseember.core.overload;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.optim.univariate.UnivariatePointValuePair;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * The trip curve through the tries of a unit: least squares on the logarithm of the trip times, the
 * heat of earlier tries taken into account, and tries that held counted where the curve would have
 * them trip.
 */
public final class TripFit {
  /** Loads that tripped are different ones when they are this far apart. */
  static final double APART = 0.04;

  /**
   * Two tries of one inverter seldom agree better than this share; common practice, no published
   * source.
   */
  private static final double REPEATABILITY = 0.02;

  private static final double SHORTEST_CONSTANT = 0.2;
  private static final double LONGEST_CONSTANT = 50_000;
  private static final int GRID = 90;
  private static final int TERMS = 2;

  /** Stands for a time without end where its logarithm is needed, s. */
  private static final double FOR_EVER = 1e8;

  private static final double AT_ONCE = 1e-4;

  private final List<TripTry> tries;
  private final MeterClass meter;
  private final TripCurve curve;
  private final double[][] covariance;
  private final double degreesOfFreedom;

  /**
   * A time with its 95 % interval, which is not symmetric: on a trip curve times scatter by a
   * factor.
   *
   * @param low s
   * @param value s
   * @param high s; infinite where the load may be held for ever
   */
  public record Band(double low, double value, double high) {
    /** The wider side, for where one figure has to do. */
    public double halfWidth() {
      return Math.max(value - low, high - value);
    }
  }

  private TripFit(
      List<TripTry> tries,
      MeterClass meter,
      TripCurve curve,
      double[][] covariance,
      double degreesOfFreedom) {
    this.tries = tries;
    this.meter = meter;
    this.curve = curve;
    this.covariance = covariance;
    this.degreesOfFreedom = degreesOfFreedom;
  }

  /**
   * Fits a curve.
   *
   * @param tries any number
   * @param meter behind the watts
   * @return empty where fewer than two different loads tripped
   */
  static Optional<TripFit> through(List<TripTry> tries, MeterClass meter) {
    double[] tripped =
        tries.stream().filter(TripTry::tripped).mapToDouble(TripTry::watts).sorted().toArray();
    if (tripped.length < 2 || tripped[tripped.length - 1] < tripped[0] * (1 + APART)) {
      return Optional.empty();
    }
    Search search = new Search(tries, tripped[0]);
    double best = search.bestConstant();
    TripCurve curve = new TripCurve(search.pickUp(best), Math.exp(best));
    int free = tripped.length - TERMS;
    double chi = chiSquare(tries, images(tries, curve.seconds()), curve);
    double birge = free > 0 ? Math.max(1, chi / free) : 1;
    double[][] covariance = inverse(information(tries, curve), birge);
    return Optional.of(
        new TripFit(
            List.copyOf(tries),
            meter,
            curve,
            covariance,
            birge > 1 ? free : Double.POSITIVE_INFINITY));
  }

  public TripCurve curve() {
    return curve;
  }

  /** The curve with its numbers, as a line of a sum. */
  String words() {
    return "t = τ·ln((P² − P₀²) ÷ (P² − Pₖ²)) with τ = "
        + Figures.plain(Math.rint(curve.seconds() * 10) / 10, Unit.SECOND)
        + " and Pₖ = "
        + Figures.plain(Math.rint(curve.pickUp()), Unit.WATT);
  }

  /** How many tries tripped. */
  public int trips() {
    return (int) tries.stream().filter(TripTry::tripped).count();
  }

  /**
   * The trip time at a load from balance at another, by the curve.
   *
   * @return empty where the curve holds it for ever
   */
  public Optional<Band> seconds(double watts, double before) {
    double here = curve.tripSeconds(watts, before);
    if (!(here > 0) || !Double.isFinite(here)) {
      return Optional.empty();
    }
    double u = budget(watts, before).u95();
    double high = here * Math.exp(u);
    return Optional.of(
        new Band(
            here * Math.exp(-u), here, high > FOR_EVER / 10 ? Double.POSITIVE_INFINITY : high));
  }

  /** How sure the logarithm of a trip time is. */
  public Budget budget(double watts, double before) {
    DoubleUnaryOperator byConstant = a -> log(moved(a, 0).tripSeconds(watts, before));
    DoubleUnaryOperator byPickUp = b -> log(moved(0, b).tripSeconds(watts, before));
    double ua = Math.sqrt(covariance[0][0]);
    double ub = Math.sqrt(covariance[1][1]);
    double da = slope(byConstant, ua);
    double db = slope(byPickUp, ub);
    double variance =
        da * da * covariance[0][0] + db * db * covariance[1][1] + 2 * da * db * covariance[0][1];
    List<Contribution> lines = new ArrayList<>();
    lines.add(
        new Contribution(
            "Scatter of the tries", Math.sqrt(Math.max(0, variance)), degreesOfFreedom, ""));
    double off = meter.halfWidth(watts) / watts;
    double apart =
        log(curve.tripSeconds(watts * (1 + off), before))
            - log(curve.tripSeconds(watts * (1 - off), before));
    lines.add(Contribution.rectangular("Meter, " + meter.words(), Math.abs(apart) / 2));
    return new Budget(lines);
  }

  private TripCurve moved(double logConstant, double logPickUp) {
    return new TripCurve(
        curve.pickUp() * Math.exp(logPickUp), curve.seconds() * Math.exp(logConstant));
  }

  private static double slope(DoubleUnaryOperator f, double by) {
    double step = Math.max(1e-6, Math.min(0.05, by));
    return (f.applyAsDouble(step) - f.applyAsDouble(-step)) / (2 * step);
  }

  private static double log(double seconds) {
    return Math.log(Math.max(AT_ONCE, Math.min(FOR_EVER, seconds)));
  }

  private static double residual(TripTry t, TripCurve curve) {
    return residual(t, t.history().image(curve.seconds()), curve);
  }

  private static double residual(TripTry t, double image, TripCurve curve) {
    double predicted = curve.fromImage(t.watts(), image);
    if (!t.tripped() && predicted >= t.seconds()) {
      return 0;
    }
    double timing = t.halfWidth() / Math.sqrt(3) / t.seconds();
    double limit = curve.pickUp() * curve.pickUp();
    double square = t.watts() * t.watts();
    double byWatts = 2 * limit / Math.max(0.02 * square, square - limit) * t.scatter() / t.watts();
    double sigma = Math.hypot(Math.hypot(timing, REPEATABILITY), byWatts);
    return (log(predicted) - log(t.seconds())) / sigma;
  }

  /** What heated each try before, for a time constant; the slow part of a fit. */
  private static double[] images(List<TripTry> tries, double constant) {
    return tries.stream().mapToDouble(t -> t.history().image(constant)).toArray();
  }

  private static double chiSquare(List<TripTry> tries, double[] images, TripCurve curve) {
    double sum = 0;
    for (int i = 0; i < images.length; i++) {
      double r = residual(tries.get(i), images[i], curve);
      sum += r * r;
    }
    return sum;
  }

  private static double[][] information(List<TripTry> tries, TripCurve curve) {
    double[][] sum = new double[TERMS][TERMS];
    double step = 1e-4;
    for (TripTry t : tries) {
      double up = residual(t, new TripCurve(curve.pickUp(), curve.seconds() * Math.exp(step)));
      double down = residual(t, new TripCurve(curve.pickUp(), curve.seconds() * Math.exp(-step)));
      double more = residual(t, new TripCurve(curve.pickUp() * Math.exp(step), curve.seconds()));
      double less = residual(t, new TripCurve(curve.pickUp() * Math.exp(-step), curve.seconds()));
      double[] g = {(up - down) / (2 * step), (more - less) / (2 * step)};
      for (int i = 0; i < TERMS; i++) {
        for (int j = 0; j < TERMS; j++) {
          sum[i][j] += g[i] * g[j];
        }
      }
    }
    return sum;
  }

  private static double[][] inverse(double[][] m, double factor) {
    double det = m[0][0] * m[1][1] - m[0][1] * m[1][0];
    double f = factor / Math.max(det, 1e-12);
    return new double[][] {{m[1][1] * f, -m[0][1] * f}, {-m[1][0] * f, m[0][0] * f}};
  }

  /** Looks for the best curve: over a grid of time constants, for each the best pick-up. */
  private record Search(List<TripTry> tries, double leastTripped) {

    double bestConstant() {
      double from = Math.log(SHORTEST_CONSTANT);
      double step = (Math.log(LONGEST_CONSTANT) - from) / GRID;
      double best = from;
      double least = Double.POSITIVE_INFINITY;
      for (int i = 0; i <= GRID; i++) {
        double chi = chi(from + i * step);
        if (chi < least) {
          least = chi;
          best = from + i * step;
        }
      }
      return minimum(this::chi, best - step, best + step);
    }

    private double chi(double logConstant) {
      double constant = Math.exp(logConstant);
      double[] images = images(tries, constant);
      double pickUp = pickUp(constant, images);
      return chiSquare(tries, images, new TripCurve(pickUp, constant));
    }

    /** The best pick-up for a time constant: below the lightest load that tripped. */
    double pickUp(double logConstant) {
      double constant = Math.exp(logConstant);
      return pickUp(constant, images(tries, constant));
    }

    private double pickUp(double constant, double[] images) {
      return minimum(
          k -> chiSquare(tries, images, new TripCurve(k, constant)),
          0.2 * leastTripped,
          leastTripped * (1 - 1e-9));
    }

    private static double minimum(DoubleUnaryOperator f, double low, double high) {
      UnivariatePointValuePair found =
          new BrentOptimizer(1e-9, 1e-12)
              .optimize(
                  new UnivariateObjectiveFunction(f::applyAsDouble),
                  GoalType.MINIMIZE,
                  new SearchInterval(low, high),
                  MaxEval.unlimited());
      return found.getPoint();
    }
  }
}

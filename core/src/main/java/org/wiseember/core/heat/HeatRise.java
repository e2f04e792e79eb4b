package org.wiseember.core.heat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.stat.regression.SimpleRegression;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Finding;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Series;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * How far a case rises above the room under a steady load, and where an unfinished rise is heading:
 * ΔT(t) = ΔT_∞ − (ΔT_∞ − ΔT_0)·exp(−t ÷ τ), by least squares.
 *
 * <p>Source: Newton's law of cooling with one heat capacity.
 *
 * @param reached rise at the end of the readings, K
 * @param heading final rise by the curve, K; empty where the readings are too short to tell
 * @param timeConstant τ, s; empty where the readings are too short to tell
 * @param from when the load came on, s on the trace's clock
 * @param last how long after that {@code reached} was reached, s
 */
public record HeatRise(
    Figure reached,
    Optional<Figure> heading,
    Optional<Figure> timeConstant,
    double from,
    double last,
    List<Warning> warnings)
    implements Finding {
  /** Fewer readings make no curve. */
  private static final int LEAST_READINGS = 12;

  /**
   * The readings have to go on for so many time constants before the end can be told. A case and
   * what is in it warm at two paces; the first bend alone says nothing of where the second ends.
   */
  private static final double LEAST_SPAN = 2;

  /** The last part of the readings, by which it is told how fast it still warms. */
  private static final double LAST_PART = 1.0 / 3;

  /**
   * So many times what the readings lie off the curve its end may be off; tried on two warmings.
   */
  private static final double MISFIT = 9;

  /** From here on the rise is as good as finished. */
  private static final double FINISHED = 3;

  private static final String SCHOOLS =
      "Connectors run hotter than the case, and shiny spots fool a thermal camera; matt black tape"
          + " reads true.";

  private static final double SHORTEST = 20;
  private static final int BLOCKS = 40;

  public HeatRise {
    warnings = List.copyOf(warnings);
  }

  @Override
  public List<Figure> figures() {
    return Stream.of(heading, Optional.of(reached), timeConstant)
        .flatMap(Optional::stream)
        .toList();
  }

  /**
   * What was reached where a person felt and read now and then: the last readings of a load, too
   * few for a curve.
   *
   * @return empty where case or room were not read under the load
   */
  public static Optional<HeatRise> readByHand(
      Series warm, Series room, double from, double to, MeterClass probe) {
    Optional<HeatRise> whole = of(warm, room, from, to, probe);
    List<Point> points = room.size() == 0 ? List.of() : points(warm, room, from, to);
    if (whole.isPresent() || points.isEmpty()) {
      return whole;
    }
    Point last = points.get(points.size() - 1);
    Budget budget = new Budget(probe.contributions("Probes", 0, Math.sqrt(2)));
    Warning few =
        new Warning(
            "few_readings",
            "Read "
                + (points.size() == 1 ? "once" : points.size() + " times")
                + " under this load: how warm it would get in the end cannot be told.");
    Figure reached = reached(last.rise(), last.seconds(), budget, false);
    return Optional.of(
        new HeatRise(
            reached,
            Optional.empty(),
            Optional.empty(),
            from,
            from + last.seconds(),
            List.of(few)));
  }

  /** Rise above the room at a moment. */
  private record Point(double seconds, double rise) {}

  /**
   * Works a rise out.
   *
   * @param warm temperatures of the case, °C
   * @param room temperatures of the room, °C; empty to take the case at the start for it
   * @param from when the load came on, s
   * @param to when it went off, s
   * @param probe accuracy of the probes, each
   * @return empty where there are too few readings
   */
  public static Optional<HeatRise> of(
      Series warm, Series room, double from, double to, MeterClass probe) {
    List<Point> points = points(warm, room, from, to);
    if (points.size() < LEAST_READINGS) {
      return Optional.empty();
    }
    return Optional.of(work(blocks(points), room.size() > 0, from, probe));
  }

  private static List<Point> points(Series warm, Series room, double from, double to) {
    List<Point> points = new ArrayList<>();
    double start = Double.NaN;
    for (int i = warm.from(from); i < warm.size() && warm.seconds(i) <= to; i++) {
      start = Double.isNaN(start) ? warm.value(i) : start;
      double around = room.size() == 0 ? start : room.at(warm.seconds(i), 600);
      if (!Double.isNaN(around)) {
        points.add(new Point(warm.seconds(i) - from, warm.value(i) - around));
      }
    }
    return points;
  }

  /** Readings a second apart are not independent; means of blocks nearly are. */
  private static List<Point> blocks(List<Point> points) {
    if (points.size() <= BLOCKS) {
      return points;
    }
    List<Point> blocks = new ArrayList<>();
    for (int b = 0; b < BLOCKS; b++) {
      List<Point> part =
          points.subList(b * points.size() / BLOCKS, (b + 1) * points.size() / BLOCKS);
      blocks.add(
          new Point(
              part.stream().mapToDouble(Point::seconds).average().orElseThrow(),
              part.stream().mapToDouble(Point::rise).average().orElseThrow()));
    }
    return blocks;
  }

  /** The best line for a time constant: rise = end + swing·exp(−t ÷ τ). */
  private record Line(double end, double swing, double squares) {
    static Line of(List<Point> points, double constant) {
      double n = points.size();
      double x = 0;
      double y = 0;
      double xx = 0;
      double xy = 0;
      for (Point p : points) {
        double e = Math.exp(-p.seconds() / constant);
        x += e;
        y += p.rise();
        xx += e * e;
        xy += e * p.rise();
      }
      double det = n * xx - x * x;
      double swing = Math.abs(det) < 1e-12 ? 0 : (n * xy - x * y) / det;
      double end = (y - swing * x) / n;
      double squares = 0;
      for (Point p : points) {
        double r = p.rise() - end - swing * Math.exp(-p.seconds() / constant);
        squares += r * r;
      }
      return new Line(end, swing, squares);
    }

    double at(double seconds, double constant) {
      return end + swing * Math.exp(-seconds / constant);
    }
  }

  private static HeatRise work(
      List<Point> points, boolean roomRead, double from, MeterClass probe) {
    List<Warning> warnings = new ArrayList<>();
    double last = points.get(points.size() - 1).seconds();
    DoubleUnaryOperator squares = a -> Line.of(points, Math.exp(a)).squares();
    double best =
        new BrentOptimizer(1e-8, 1e-10)
            .optimize(
                new UnivariateObjectiveFunction(squares::applyAsDouble),
                GoalType.MINIMIZE,
                new SearchInterval(Math.log(SHORTEST), Math.log(20 * last + SHORTEST)),
                MaxEval.unlimited())
            .getPoint();
    double constant = Math.exp(best);
    Line line = Line.of(points, constant);
    double rise = line.at(last, constant);
    List<Contribution> probes = new ArrayList<>(probe.contributions("Probes", 0, Math.sqrt(2)));
    if (!roomRead) {
      warnings.add(
          new Warning(
              "no_room",
              "The room was not read; the case before the load is taken for it, so a room that warmed"
                  + " up counts as the unit's."));
    }
    double each = Math.sqrt(line.squares() / Math.max(1, points.size() - 3));
    Budget reached =
        new Budget(probes)
            .with(Contribution.normal("Scatter", each / Math.sqrt(points.size() / 8.0)));
    boolean tells = last >= LEAST_SPAN * constant && line.swing() < 0;
    Optional<Figure> heading = Optional.empty();
    Optional<Figure> tau = Optional.empty();
    Figure now = reached(rise, last, reached, last >= FINISHED * constant && tells);
    if (tells) {
      double[] u = doubts(points, constant, line, Math.max(each, probe.resolution() / 4));
      Budget budget =
          new Budget(probes)
              .with(
                  new Contribution(
                      "Curve through the readings", u[0], Math.max(1, points.size() - 3), ""))
              .with(
                  Contribution.wholeWidth(
                      "Something slower behind it",
                      Math.abs(stillComing(points, last) - (line.end() - rise))))
              .with(Contribution.wholeWidth("One curve does not fit it all", MISFIT * each));
      if (last < FINISHED * constant) {
        warnings.add(
            new Warning(
                "unfinished_rise",
                "It was still warming: "
                    + Figures.fixed(rise, 1)
                    + "\u00a0K after "
                    + Figures.duration(last)
                    + ", heading for "
                    + Figures.withUncertainty(line.end(), budget.u95())
                    + "\u00a0K."));
      }
      tau = Optional.of(timeConstant(constant, 2 * u[1]));
      heading = Optional.of(heading(line, budget, now, tau.get(), warnings));
    } else {
      warnings.add(
          new Warning(
              "too_short_rise",
              "It had not bent enough to tell where it is heading; keep the load on longer."));
    }
    return new HeatRise(now, heading, tau, from, last, warnings);
  }

  /**
   * What is still to come where something behind the case warms as slowly as the case was watched:
   * the pace at the end times that time, K.
   */
  private static double stillComing(List<Point> points, double last) {
    SimpleRegression line = new SimpleRegression();
    points.stream()
        .filter(p -> p.seconds() >= last * (1 - LAST_PART))
        .forEach(p -> line.addData(p.seconds(), p.rise()));
    double slope = line.getSlope();
    return Double.isFinite(slope) ? Math.max(0, slope) * last : 0;
  }

  private static Figure reached(double rise, double last, Budget budget, boolean finished) {
    Figure now =
        Figure.of(
            "rise_reached",
            "Warmed by",
            rise,
            Unit.KELVIN,
            Because.of(
                    budget,
                    "Case less room = "
                        + Figures.rounded(rise, budget.u95())
                        + "\u00a0K after "
                        + Figures.duration(last))
                .summed("as far as it went")
                .otherwise(SCHOOLS));
    return finished ? now : now.bounded(Bound.AT_LEAST);
  }

  private static Figure heading(
      Line line, Budget budget, Figure now, Figure constant, List<Warning> warnings) {
    return Figure.of(
        "rise_heading",
        "Rise above the room",
        line.end(),
        Unit.KELVIN,
        Because.of(
                budget,
                "ΔT = "
                    + Figures.rounded(line.end(), budget.u95())
                    + "\u00a0K − "
                    + Figures.fixed(-line.swing(), 1)
                    + "\u00a0K · exp(−t ÷ "
                    + Figures.fixed(constant.value() / 60, 1)
                    + " min)")
            .summed("where it is heading")
            .from(now, constant)
            .watching(warnings.stream().map(Warning::message).toList())
            .otherwise(SCHOOLS));
  }

  private static Figure timeConstant(double seconds, double u95) {
    return Figure.of(
        "time_constant",
        "Time constant",
        seconds,
        Unit.SECOND,
        Because.of(
                Budget.of(Contribution.of95("Curve through the readings", u95)),
                "τ of the curve = " + Figures.duration(seconds))
            .summed("in which it comes 63 % of the way"));
  }

  /** Standard uncertainty of the end, K, and of τ, s, by the curvature of the squares. */
  private static double[] doubts(List<Point> points, double constant, Line line, double each) {
    double h = 0.02;
    double up = Line.of(points, constant * (1 + h)).squares();
    double down = Line.of(points, constant * (1 - h)).squares();
    double curvature = (up - 2 * line.squares() + down) / (h * h * constant * constant);
    // Blocks that follow each other share what the room and the fans do: twice the scatter.
    double sigma = 2 * each;
    double tau = curvature > 0 ? sigma * Math.sqrt(2 / curvature) : constant;
    tau = Math.min(tau, constant);
    double endUp = Line.of(points, constant + tau).end();
    double endDown = Line.of(points, Math.max(constant / 10, constant - tau)).end();
    double end = Math.hypot((endUp - endDown) / 2, sigma / Math.sqrt(points.size()));
    return new double[] {Math.abs(end), tau};
  }
}

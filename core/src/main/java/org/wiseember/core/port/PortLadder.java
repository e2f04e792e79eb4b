package org.wiseember.core.port;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.stat.regression.SimpleRegression;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Levels;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeanScatter;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * A DC port under rising current: whether it holds its volts, by how much it sags, what it carries
 * and where it switches off. Loss in the leads is taken out first: U_port = U_meter + I·R_leads.
 *
 * <p>Source: Ohm's law.
 */
public final class PortLadder {
  private static final double STEP = 0.015;
  private static final double STEP_AMPS = 0.05;
  private static final double NO_CURRENT = 0.03;

  /** A port without volts has switched off. */
  private static final double DEAD_VOLTS = 1;

  /** One that lost so much of them folds back: it limits its amps and carries no more. */
  private static final double FOLDED = 0.75;

  /** A level counts after so many seconds. */
  private static final double SETTLE = 3;

  /** A port that loses less than this share up to its most is called regulated. */
  private static final double REGULATED = 0.02;

  private static final String LEADS_BLAMED =
      "Some read the watts at the far end of the leads, which blames the unit for the leads.";

  private final Trace trace;
  private final MeterClass volts;
  private final MeterClass amps;
  private final double leadOhms;
  private final List<Double> asked;

  /** Readings this far apart are of several loads, a factor. */
  private static final double RAISED = 1.03;

  /** Volts written this near to amps belong to them, s. */
  private static final double BESIDE_SECONDS = 10;

  private final List<Warning> warnings = new ArrayList<>();

  private PortLadder(
      Trace trace, MeterClass volts, MeterClass amps, double leadOhms, List<Double> asked) {
    this.trace = trace;
    this.volts = volts;
    this.amps = amps;
    this.leadOhms = leadOhms;
    this.asked = List.copyOf(asked);
  }

  /**
   * Works out one run.
   *
   * @param volts accuracy of the voltmeter
   * @param amps accuracy of the ammeter
   * @param treatment what was left out, and the leads between the port and the voltmeter
   * @param asked currents the load was set to, A, light to heavy; empty where nobody kept them
   */
  public static PortFinding of(
      Trace trace, MeterClass volts, MeterClass amps, Treatment treatment, List<Double> asked) {
    return new PortLadder(treatment.of(trace), volts, amps, treatment.leadOhms(), asked).find();
  }

  /**
   * Works out one run that was made by hand: each step from the press that the load is on to the
   * press that it was read or went off, with the volts and amps that were read in between.
   *
   * @param typed what was read off, as a trace
   * @param presses what was said, in order of time
   */
  public static PortFinding byHand(
      Trace typed,
      List<TimedOperatorEvent> presses,
      MeterClass volts,
      MeterClass amps,
      Treatment treatment) {
    return new PortLadder(treatment.of(typed), volts, amps, treatment.leadOhms(), List.of())
        .findByHand(presses);
  }

  /** Whether more and more was drawn between two presses, so that no mean tells of any load. */
  private static boolean raised(double[] amps) {
    double least = Arrays.stream(amps).min().orElse(0);
    double most = Arrays.stream(amps).max().orElse(0);
    return least > 0 && most > RAISED * least;
  }

  /** Each reading with the volts beside it. */
  private List<PortPoint> each(Series current, Series voltage, double from, double to) {
    List<PortPoint> points = new ArrayList<>();
    for (int k = current.from(from); k < current.size() && current.seconds(k) < to; k++) {
      double volts = voltage.nearest(current.seconds(k), BESIDE_SECONDS);
      if (volts > DEAD_VOLTS) {
        points.add(new PortPoint(current.value(k), volts + current.value(k) * leadOhms, 0));
      }
    }
    return points;
  }

  private PortFinding findByHand(List<TimedOperatorEvent> presses) {
    Series current = trace.series(Channel.DC_CURRENT);
    Series voltage = trace.series(Channel.DC_VOLTAGE);
    List<PortPoint> carried = new ArrayList<>();
    OptionalDouble trippedAt = OptionalDouble.empty();
    List<TimedOperatorEvent> on =
        presses.stream().filter(p -> p.is(OperatorEvent.LOAD_ON)).toList();
    for (int k = 0; k < on.size(); k++) {
      double next = k + 1 < on.size() ? on.get(k + 1).seconds() : Double.POSITIVE_INFINITY;
      Optional<TimedOperatorEvent> off =
          TimedOperatorEvent.first(
              presses,
              on.get(k).seconds(),
              next,
              OperatorEvent.WENT_OFF,
              OperatorEvent.TRIPPED,
              OperatorEvent.DROPPED_OUT);
      // What was read is often written down a moment after the key.
      double from = Math.nextUp(on.get(k).seconds());
      double[] i = between(current, from, next);
      double[] u = between(voltage, from, next);
      boolean read = i.length > 0 && u.length > 0 && mean(i) > 0;
      boolean raised = raised(i);
      if (read && raised) {
        carried.addAll(each(current, voltage, from, next));
      } else if (read && mean(u) > DEAD_VOLTS) {
        carried.add(new PortPoint(mean(i), mean(u) + mean(i) * leadOhms, MeanScatter.of(u)));
      }
      if (off.isPresent() && trippedAt.isEmpty()) {
        double drawn = raised ? i[i.length - 1] : i.length > 0 ? mean(i) : on.get(k).subject();
        trippedAt = Double.isNaN(drawn) ? trippedAt : OptionalDouble.of(drawn);
        noteWentOff(i.length > 0, on.get(k).subject());
      } else if (off.isEmpty() && !read) {
        warnings.add(
            new Warning(
                "step_not_read",
                "At "
                    + Figures.plain(on.get(k).subject(), Unit.AMPERE)
                    + " volts and amps were not both read, so nothing is said of that step."));
      }
    }
    List<PortPoint> points = grouped(carried);
    if (points.isEmpty()) {
      warnings.add(
          new Warning("no_dc", "No step of this run has both volts and amps that were read."));
      return PortFinding.none(warnings);
    }
    double most = points.get(points.size() - 1).amps();
    // What it carried it carried, whatever the load was set to when it gave up.
    return figures(
        points,
        trippedAt.isPresent()
            ? OptionalDouble.of(Math.max(most, trippedAt.getAsDouble()))
            : trippedAt);
  }

  private void noteWentOff(boolean read, double set) {
    if (!read && !Double.isNaN(set)) {
      warnings.add(
          new Warning(
              "amps_not_read",
              "It went off with the load set to "
                  + Figures.plain(set, Unit.AMPERE)
                  + "; the amps at that moment were not read, so the set current is taken."));
    }
  }

  private PortFinding find() {
    Series current = trace.series(Channel.DC_CURRENT);
    Series voltage = trace.series(Channel.DC_VOLTAGE);
    if (current.size() == 0 || voltage.size() == 0) {
      warnings.add(
          new Warning("no_dc", "A port needs DC volts and DC amps; this run has not both."));
      return PortFinding.none(warnings);
    }
    List<PortPoint> all = new ArrayList<>();
    OptionalDouble trippedAt = OptionalDouble.empty();
    double carried = 0;
    double highest = 0;
    for (Levels.Level level : Levels.of(current, STEP, STEP_AMPS)) {
      PortPoint point = point(current, voltage, level);
      highest = Math.max(highest, point.volts());
      boolean dead = point.volts() < Math.max(DEAD_VOLTS, FOLDED * highest);
      if (dead && carried > NO_CURRENT && trippedAt.isEmpty()) {
        double drawn = Math.max(carried, point.amps());
        trippedAt = OptionalDouble.of(Math.max(drawn, lastAsked(current, level, carried)));
      }
      if (!dead) {
        all.add(point);
        carried = Math.max(carried, point.amps());
      }
    }
    List<PortPoint> points = grouped(all);
    if (points.isEmpty()) {
      warnings.add(new Warning("no_volts", "There were no volts at the port in this run."));
      return PortFinding.none(warnings);
    }
    return figures(points, trippedAt);
  }

  /**
   * The current that was asked for when it switched off, as far as that is known: the one after the
   * set-point that was carried. An ammeter may read a little less than was set, so that is the
   * nearest one.
   */
  private double lastAsked(Series current, Levels.Level dead, double carried) {
    int before = dead.first() - 1;
    double seen = before < 0 ? carried : Math.max(carried, current.value(before));
    double set =
        asked.stream()
            .min(Comparator.comparingDouble(a -> Math.abs(a - seen)))
            .orElse(Double.POSITIVE_INFINITY);
    return Math.max(
        seen,
        asked.stream().mapToDouble(Double::doubleValue).filter(a -> a > set).min().orElse(seen));
  }

  private PortPoint point(Series current, Series voltage, Levels.Level level) {
    double from = current.seconds(level.first());
    double to = current.seconds(level.last());
    double settled = to - from > 2 * SETTLE ? from + SETTLE : from;
    double[] i = between(current, settled, to);
    double[] u = between(voltage, settled, to);
    double a = mean(i);
    return new PortPoint(a, mean(u) + a * leadOhms, MeanScatter.of(u));
  }

  private static double[] between(Series s, double from, double to) {
    int a = s.from(from);
    int b = s.from(Math.nextUp(to));
    double[] values = new double[Math.max(0, b - a)];
    for (int k = 0; k < values.length; k++) {
      values[k] = s.value(a + k);
    }
    return values;
  }

  private static double mean(double[] values) {
    return Arrays.stream(values).average().orElse(0);
  }

  /** One point a current, from light to heavy. */
  private static List<PortPoint> grouped(List<PortPoint> all) {
    List<PortPoint> sorted = new ArrayList<>(all);
    sorted.sort(Comparator.comparingDouble(PortPoint::amps));
    List<PortPoint> out = new ArrayList<>();
    for (PortPoint p : sorted) {
      PortPoint last = out.isEmpty() ? null : out.get(out.size() - 1);
      if (last != null && p.amps() - last.amps() < Math.max(STEP_AMPS, STEP * p.amps())) {
        out.set(
            out.size() - 1,
            new PortPoint(
                (last.amps() + p.amps()) / 2,
                (last.volts() + p.volts()) / 2,
                Math.max(last.scatter(), p.scatter())));
      } else {
        out.add(p);
      }
    }
    return out;
  }

  private PortFinding figures(List<PortPoint> points, OptionalDouble trippedAt) {
    PortPoint most = points.get(points.size() - 1);
    double[] line = line(points);
    boolean several = points.size() >= 2 && most.amps() > points.get(0).amps() + STEP_AMPS;
    Optional<Figure> ohms = several ? Optional.of(ohms(points, -line[1])) : Optional.empty();
    PortPoint least = points.get(0);
    boolean regulated = several && line[0] - most.volts() < REGULATED * line[0];
    Budget ampsBudget = Budget.of().with("Ammeter", amps, most.amps(), 1);
    Optional<Figure> trip = Optional.empty();
    if (trippedAt.isPresent()) {
      trip = Optional.of(tripAmps(most.amps(), trippedAt.getAsDouble()));
    } else {
      warnings.add(
          new Warning(
              "port_held",
              "The port was on at every current that was read; where it switches off was not"
                  + " reached."));
    }
    if (leadOhms == 0) {
      warnings.add(
          new Warning(
              "leads_in",
              "No leads are taken out of the volts. Measure at the unit's terminals with two leads of"
                  + " their own, or type the leads' ohms; 0.15 Ω lose 1.5 V at 10 A."));
    }
    List<String> sum = sum(points, line, regulated);
    List<String> watch = warnings.stream().map(Warning::message).toList();
    return new PortFinding(
        points,
        Optional.of(openVolts(line[0], least, sum)),
        ohms,
        Optional.of(
            carried(
                Figure.of(
                    "most_amps",
                    "12 V port, most amps",
                    most.amps(),
                    Unit.AMPERE,
                    Because.of(ampsBudget, sum)
                        .summed("the most it carried" + (regulated ? ", volts regulated" : ""))
                        .watching(watch)
                        .otherwise(LEADS_BLAMED)))),
        Optional.of(carried(watts(most, watch))),
        trip,
        regulated,
        leadOhms > 0 ? OptionalDouble.of(leadOhms) : OptionalDouble.empty(),
        Optional.of(loadedVolts(most, sum, watch)),
        points.stream().map(p -> loadedVolts(p, sum, watch)).toList(),
        trip.map(t -> tripWatts(t, most.volts())),
        warnings);
  }

  /** What a port carried is the least it can; where it gives up is another figure. */
  private static Figure carried(Figure most) {
    return most.bounded(Bound.AT_LEAST);
  }

  private Figure watts(PortPoint most, List<String> watch) {
    Budget budget =
        Budget.of()
            .with("Voltmeter", volts, most.volts(), most.amps())
            .with("Ammeter", amps, most.amps(), most.volts());
    return Figure.of(
        "most_watts",
        "12 V port, most watts",
        most.watts(),
        Unit.WATT,
        Because.of(
                budget,
                Figures.fixed(most.volts(), 2)
                    + " V × "
                    + Figures.fixed(most.amps(), 2)
                    + " A = "
                    + Figures.rounded(most.watts(), budget.u95())
                    + " W")
            .summed("at the most it carried")
            .watching(watch)
            .otherwise(LEADS_BLAMED));
  }

  private Figure openVolts(double open, PortPoint least, List<String> sum) {
    return Figure.of(
        "open_volts",
        "12 V port without load",
        open,
        Unit.VOLT,
        Because.of(
                Budget.of(Contribution.normal("Scatter", least.scatter()))
                    .with("Voltmeter", volts, open, 1),
                sum)
            .summed("the line through the points at no current"));
  }

  private Figure loadedVolts(PortPoint most, List<String> sum, List<String> watch) {
    return Figure.of(
        "loaded_volts",
        "12 V port under load",
        most.volts(),
        Unit.VOLT,
        Because.of(
                Budget.of(Contribution.normal("Scatter", most.scatter()))
                    .with("Voltmeter", volts, most.volts(), 1),
                sum)
            .summed("at " + Figures.fixed(most.amps(), 1) + " A")
            .watching(watch)
            .otherwise(LEADS_BLAMED));
  }

  private Figure tripAmps(double carried, double asked) {
    double middle = (asked + carried) / 2;
    Budget budget =
        Budget.of(
                Contribution.wholeWidth(
                    "Between what was carried and what was not", (asked - carried) / 2))
            .with("Ammeter", amps, middle, 1);
    return Figure.of(
        "trip_amps",
        "12 V port switches off at",
        middle,
        Unit.AMPERE,
        Because.of(
                budget,
                "Carried "
                    + Figures.fixed(carried, 2)
                    + " A, not "
                    + Figures.fixed(asked, 2)
                    + " A: in the middle "
                    + Figures.rounded(middle, budget.u95())
                    + " A")
            .summed("between two steps of the load"));
  }

  private Figure tripWatts(Figure trip, double loaded) {
    Budget budget = trip.budget().scaled(loaded).with("Voltmeter", volts, loaded, trip.value());
    return Figure.of(
        "trip_watts",
        "12 V port gives up at",
        trip.value() * loaded,
        Unit.WATT,
        Because.of(
                budget,
                Figures.rounded(trip.value(), trip.u95())
                    + " A × "
                    + Figures.fixed(loaded, 2)
                    + " V = "
                    + Figures.rounded(trip.value() * loaded, budget.u95())
                    + " W")
            .summed("where it switches off, at the volts of the last step it carried")
            .from(trip));
  }

  /** Volts at no current and their slope, by least squares. */
  private static double[] line(List<PortPoint> points) {
    SimpleRegression line = regression(points);
    double slope = line.getSlope();
    // One current alone has no slope.
    return Double.isNaN(slope)
        ? new double[] {points.stream().mapToDouble(PortPoint::volts).average().orElse(0), 0}
        : new double[] {line.getIntercept(), slope};
  }

  private static SimpleRegression regression(List<PortPoint> points) {
    SimpleRegression line = new SimpleRegression();
    points.forEach(p -> line.addData(p.amps(), p.volts()));
    return line;
  }

  private Figure ohms(List<PortPoint> points, double ohms) {
    SimpleRegression line = regression(points);
    int free = points.size() - 2;
    double most = points.get(points.size() - 1).amps();
    double scatter = points.stream().mapToDouble(PortPoint::scatter).max().orElse(0);
    double rounding = volts.resolution() / Math.sqrt(12);
    double each =
        Math.max(
            Math.hypot(scatter, rounding), free > 0 ? Math.sqrt(line.getMeanSquareError()) : 0);
    Budget budget =
        Budget.of(
            free > 0
                ? new Contribution("Line", each / Math.sqrt(line.getXSumSquares()), free, "")
                : Contribution.normal("Line", each / Math.sqrt(line.getXSumSquares())),
            Contribution.rectangular("Ammeter", Math.abs(ohms) * amps.halfWidth(most) / most));
    return Figure.of(
        "port_ohms",
        "12 V port, loss an ampere",
        ohms,
        Unit.OHM,
        Because.of(
                budget,
                "Slope of the line through "
                    + points.size()
                    + " currents = "
                    + Figures.rounded(1000 * ohms, 1000 * budget.u95())
                    + " mΩ")
            .summed("by how much it sags"));
  }

  /** The points, the line through them, and what the leads took. */
  private List<String> sum(List<PortPoint> points, double[] line, boolean regulated) {
    List<String> sum = new ArrayList<>();
    for (PortPoint p : points) {
      sum.add(
          Figures.fixed(p.amps(), 2)
              + " A: "
              + Figures.fixed(p.volts(), 2)
              + " V, "
              + Figures.fixed(p.watts(), 1)
              + " W");
    }
    sum.add(
        "U = "
            + Figures.fixed(line[0], 2)
            + " V − "
            + Figures.fixed(1000 * -line[1], 0)
            + " mΩ × I: "
            + (regulated ? "regulated" : "it sags"));
    if (leadOhms > 0) {
      PortPoint p = points.get(points.size() - 1);
      sum.add(
          "Leads: "
              + Figures.fixed(p.amps(), 1)
              + " A × "
              + Figures.plain(leadOhms)
              + " Ω = "
              + Figures.fixed(p.amps() * leadOhms, 2)
              + " V, "
              + Figures.fixed(p.amps() * p.amps() * leadOhms, 0)
              + " W lost in them");
    }
    return sum;
  }
}

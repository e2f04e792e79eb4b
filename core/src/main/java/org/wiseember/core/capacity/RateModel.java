package org.wiseember.core.capacity;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.regression.SimpleRegression;
import org.wiseember.core.efficiency.LossFit;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;

/**
 * Energy against load, fitted over several drains, so that the yield at any load can be read off.
 *
 * <p>A pack is emptied the faster the more is drawn: 1 ÷ hours = a + b·P + c·P². a is what the unit
 * draws by itself, b the share that reaches the load, c what resistance takes more at higher rates;
 * none of them can be below 0. So E(P) = P ÷ (a + b·P + c·P²), which falls at heavy loads and,
 * where the idle draw matters, at very light ones too. Our own model from the physics of a pack and
 * an inverter; no published source.
 */
public final class RateModel {
  /** A drain repeated comes out within so much; common practice, no published source. */
  private static final double REPEATABILITY = 0.005;

  /** Loads closer than this are one load. */
  private static final double SAME_LOAD = 1.08;

  /** Read off within this factor of the measured loads, a figure is not extrapolated. */
  private static final double REACH = 1.2;

  /** Where nobody measured it, the draw without load as a share of the heaviest load. */
  private static final double USUAL_IDLE = 0.01;

  private final List<Drained> drains;
  private final LossFit fit;
  private final boolean idleKnown;

  /**
   * One complete drain.
   *
   * @param watts mean load, above 0
   * @param energy delivered, Wh
   */
  public record Drained(double watts, Estimate energy) {
    public Drained {
      if (!(watts > 0) || !(energy.value() > 0)) {
        throw new IllegalArgumentException("a drain delivers energy at some load");
      }
    }
  }

  /**
   * Energy read off at a load.
   *
   * @param extrapolated whether no drain was near enough
   */
  public record ReadOff(double watts, Figure energy, boolean extrapolated) {}

  private RateModel(List<Drained> drains, LossFit fit, boolean idleKnown) {
    this.drains = drains;
    this.fit = fit;
    this.idleKnown = idleKnown;
  }

  /**
   * Fits the model.
   *
   * @param all complete drains of one unit on one side
   * @param idleHours until empty with nothing plugged in, where it was measured
   * @return empty for drains at fewer than two different loads
   */
  public static Optional<RateModel> of(List<Drained> all, Optional<Estimate> idleHours) {
    List<Drained> drains = all.stream().sorted(Comparator.comparingDouble(Drained::watts)).toList();
    if (drains.isEmpty()
        || drains.get(drains.size() - 1).watts() < SAME_LOAD * drains.get(0).watts()) {
      return Optional.empty();
    }
    List<LossFit.Point> points = new ArrayList<>();
    List<LossFit.Point> shifted = new ArrayList<>();
    for (Drained d : drains) {
      points.add(point(d.watts(), d.energy().value()));
      shifted.add(point(d.watts(), d.energy().value() + d.energy().u95()));
    }
    LossFit.Point idle = idle(drains, idleHours);
    points.add(idle);
    shifted.add(idle);
    LossFit fit =
        LossFit.through(points, List.of(new LossFit.Shift("Energy of the drains", shifted)));
    return Optional.of(new RateModel(drains, fit, idleHours.isPresent()));
  }

  private static LossFit.Point point(double watts, double energy) {
    double perHour = watts / energy;
    return new LossFit.Point(watts, perHour, REPEATABILITY * perHour);
  }

  private static LossFit.Point idle(List<Drained> drains, Optional<Estimate> idleHours) {
    if (idleHours.isPresent()) {
      Estimate h = idleHours.get();
      double share = Math.max(0.01, h.u95() / 2 / h.value());
      return new LossFit.Point(0, 1 / h.value(), share / h.value());
    }
    double perHour =
        USUAL_IDLE * drains.get(drains.size() - 1).watts() / drains.get(0).energy().value();
    return new LossFit.Point(0, perHour, perHour);
  }

  /** The drains it rests on, from light to heavy. */
  public List<Drained> drains() {
    return drains;
  }

  /**
   * Energy at a load.
   *
   * @param watts above 0
   */
  public ReadOff at(double watts) {
    double least = drains.get(0).watts() / REACH;
    double most = drains.get(drains.size() - 1).watts() * REACH;
    boolean beyond = watts < least || watts > most;
    return new ReadOff(watts, energy(watts, beyond), beyond);
  }

  /**
   * How many drains at other loads there are beyond the two that any curve passes through; with
   * none to spare nothing tells one curve from another.
   */
  private int spare() {
    int loads = 1;
    double last = drains.get(0).watts();
    for (Drained d : drains) {
      if (d.watts() > SAME_LOAD * last) {
        loads++;
        last = d.watts();
      }
    }
    return Math.max(0, loads - 2);
  }

  /**
   * What the other usual law reads off: the energy falls with a power of the rate, as Peukert found
   * for lead (1897, recalled from memory), by least squares on the logarithms.
   */
  private double byPowerOfTheRate(double watts) {
    SimpleRegression line = new SimpleRegression();
    drains.forEach(d -> line.addData(Math.log(d.watts()), Math.log(d.energy().value())));
    return Math.exp(line.predict(Math.log(watts)));
  }

  private Figure energy(double watts, boolean beyond) {
    double wattHours = watts / (fit.curve().dcWatts(watts) - watts);
    Budget budget =
        fit.budget(c -> watts / (c.dcWatts(watts) - watts))
            .with(
                Contribution.wholeWidth(
                    "Another curve through the same drains",
                    Math.abs(byPowerOfTheRate(watts) - wattHours) / (1 + spare())));
    List<String> sum = new ArrayList<>();
    for (Drained d : drains) {
      sum.add(
          Figures.withUncertainty(d.energy().value(), d.energy().u95())
              + " Wh at "
              + Figures.fixed(d.watts(), 0)
              + " W");
    }
    sum.add("1 ÷ h = a + b·P + c·P² through them");
    sum.add(
        "a = "
            + Figures.plain(fit.curve().p0())
            + ", b = "
            + Figures.plain(fit.curve().p1() * 1000)
            + " ÷ 1000, c = "
            + Figures.plain(fit.curve().p2() * 1e6)
            + " ÷ 10⁶");
    sum.add(
        "At "
            + Figures.fixed(watts, 0)
            + " W: "
            + Figures.rounded(wattHours, budget.u95())
            + " Wh");
    List<String> watch = new ArrayList<>();
    watch.add("Read off between drains, not drained at this load.");
    if (beyond) {
      watch.add("No drain is near this load: it is read off beyond the measured ones.");
    }
    if (!idleKnown) {
      watch.add(
          "The idle draw was not measured; 1 % of the heaviest load is taken, which matters at very"
              + " light loads only.");
    }
    return Figure.of(
        "energy@" + Math.round(watts),
        "Energy at " + Figures.fixed(watts, 0) + " W",
        wattHours,
        Unit.WATT_HOUR,
        Because.of(budget, sum)
            .summed("read off over " + drains.size() + " drains")
            .watching(watch)
            .otherwise(
                "Some judge a label at 0.2 C on the DC side, some at half and some at full AC"
                    + " rating. The curve shows what each of them would find."));
  }
}

package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.capacity.EnergyLeft;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.runtime.feed.Feed;

/**
 * A unit and what is asked of it.
 *
 * @param charge at the start, %
 * @param reserve at which it counts as empty, %
 * @param feed what charges it meanwhile, or hands the mains through
 * @param celsius of its pack, °C; empty where nobody says, for a room
 */
public record RunTimeCase(
    UnitSupply unit,
    DayPlan plan,
    double charge,
    double reserve,
    Optional<Feed.Root> feed,
    OptionalDouble celsius) {
  /**
   * Of what an hour at the rating takes, the part that grows with the square of the load: about so
   * much in the units at hand; common practice, no published source.
   */
  private static final double GROWS = 0.15;

  public RunTimeCase {
    check(charge, reserve, feed);
  }

  /** One in a room. */
  public RunTimeCase(
      UnitSupply unit, DayPlan plan, double charge, double reserve, Optional<Feed.Root> feed) {
    this(unit, plan, charge, reserve, feed, OptionalDouble.empty());
  }

  /** Refuses a charge that is none and a feed that nothing limits. */
  static void check(double charge, double reserve, Optional<Feed.Root> feed) {
    if (!(charge >= 0 && charge <= 100) || !(reserve >= 0 && reserve <= 100)) {
      throw new IllegalArgumentException("charge and reserve lie between 0 and 100 %");
    }
    if (feed.filter(f -> !ChargeOverDay.limited(f)).isPresent()) {
      throw new IllegalArgumentException(
          "nothing limits what the feed gives; give its source va or watts, or a link amps or watts");
    }
  }

  /** What loads take of a full unit, in its pack's cold. */
  public EnergyCurve curve() {
    return EnergyCurve.of(unit).giving(Cold.share(celsius));
  }

  /** How it goes. */
  public ChargeCurve course() {
    return ChargeOverDay.of(this);
  }

  /** What runs on the unit at an hour, W on average. */
  public double wattsAt(double hour) {
    return plan.appliances().stream()
        .filter(a -> a.due().stream().anyMatch(s -> s.holds(hour)))
        .mapToDouble(a -> a.draw().meanWatts())
        .sum();
  }

  /** The same with nothing brought in. */
  public RunTimeCase withoutFeed() {
    return new RunTimeCase(unit, plan, charge, reserve, Optional.empty(), celsius);
  }

  /**
   * What the label alone would have one believe: all its watt-hours at any load, nothing lost,
   * nothing idle, nothing kept back, nothing brought in. Empty where it prints none.
   */
  public Optional<RunTimeCase> byLabel() {
    return unit.labelWattHours() > 0
        ? Optional.of(new RunTimeCase(unit.promised(), plan, charge, 0, Optional.empty()))
        : Optional.empty();
  }

  /** The same with another plan. */
  public RunTimeCase planning(DayPlan other) {
    return new RunTimeCase(unit, other, charge, reserve, feed, celsius);
  }

  /** The same on another unit. */
  public RunTimeCase on(UnitSupply other) {
    return new RunTimeCase(other, plan, charge, reserve, feed, celsius);
  }

  /**
   * The same with one of the things it rests on at an end of what it may be.
   *
   * @param name of that thing
   * @param limits whether it is known only as limits
   */
  record Varied(String name, boolean limits, RunTimeCase more, RunTimeCase less) {}

  /** Each thing that is not sure, by itself. */
  List<Varied> varied() {
    List<Varied> all = new ArrayList<>();
    for (int i = 0; i < unit.usable().size(); i++) {
      all.addAll(varied(i, false));
    }
    for (int i = 0; i < unit.directUsable().size(); i++) {
      all.addAll(varied(i, true));
    }
    if (unit.usable().size() == 1) {
      all.add(new Varied("One drain: how losses grow", true, on(unit.bent(2 * GROWS)), this));
    }
    if (plan.appliances().stream().anyMatch(a -> a.draw().share95() > 0)) {
      // One meter and one pair of eyes read them all: they are off together.
      all.add(new Varied("Watts of the appliances", false, drawing(1), drawing(-1)));
    }
    if (Cycling.in(plan)) {
      all.add(
          new Varied(
              "When what cycles happens to run",
              true,
              planning(Cycling.resting(plan)),
              planning(Cycling.running(plan))));
    }
    if (Cycling.in(plan) && !unit.guessed()) {
      RunTimeCase growing = unit.usable().size() == 1 ? on(unit.bent(GROWS)) : this;
      // It only ever costs more: counted twice on one side, its half is all of it.
      all.add(
          new Varied(
              "What cycles loses at its running watts, not at its mean",
              true,
              growing,
              growing.planning(plan.uneven(2))));
    }
    if (unit.guessed()) {
      double part = EnergyLeft.USUAL_YIELD_HALF_WIDTH / EnergyLeft.USUAL_YIELD;
      all.add(
          new Varied(
              "Nothing was drained: 75 to 95 % of the label",
              true,
              on(unit.labelled(unit.labelWattHours() * (1 + part))),
              on(unit.labelled(unit.labelWattHours() * (1 - part)))));
    }
    if (Cold.halfWidth(celsius) > 0) {
      double part = Cold.halfWidth(celsius) / Cold.share(celsius);
      all.add(
          new Varied(
              "What the cold takes, half of it either way",
              true,
              holding(1 + part),
              holding(1 - part)));
    }
    return all;
  }

  private RunTimeCase drawing(int sign) {
    return new RunTimeCase(
        unit,
        plan.with(
            plan.appliances().stream().map(a -> a.times(1 + sign * a.draw().share95())).toList()),
        charge,
        reserve,
        feed,
        celsius);
  }

  private RunTimeCase holding(double factor) {
    return on(unit.holding(factor));
  }

  private List<Varied> varied(int place, boolean direct) {
    Usable point = (direct ? unit.directUsable() : unit.usable()).get(place);
    if (!(point.u95() > 0)) {
      return List.of();
    }
    return List.of(
        new Varied(
            (direct ? "DC" : "AC") + " drain at " + Figures.fixed(point.watts(), 0) + " W",
            false,
            on(unit.with(place, direct, point.with(point.wattHours() + point.u95()))),
            on(unit.with(place, direct, point.with(point.wattHours() - point.u95())))));
  }
}

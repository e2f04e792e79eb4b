package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.feed.Leg;

/**
 * Two units joined: in parallel, or as the two legs of a split-phase outlet. What hangs on one leg
 * is drawn from its unit, what lies across both is drawn half from each. Both outputs are on while
 * anything hangs on either, and when the first of them is empty the pair goes off.
 *
 * @param legs how it goes on each, the first unit first
 * @param runsOut h after the start, of the pair; empty where it lasts
 */
public record Joined(List<OnLeg> legs, OptionalDouble runsOut) {
  /**
   * One of the two.
   *
   * @param course of its own, as if it went on when the other is empty
   * @param chargeAtEnd when the pair goes off, else at the end of the plan, %
   * @param asks its hardest starts and the most that runs on it
   */
  public record OnLeg(ChargeCurve course, double chargeAtEnd, List<AskedOfUnit> asks) {
    public OnLeg {
      asks = List.copyOf(asks);
    }

    /** The worst that is asked of it: what trips it, else what is open. */
    public Optional<AskedOfUnit> worst() {
      return asks.stream()
          .filter(a -> a.answer().call() != Endured.Call.HOLDS)
          .min(Comparator.comparing((AskedOfUnit a) -> a.answer().call()));
    }
  }

  /**
   * A unit with what it was seen to hold and to start.
   *
   * @param endured nothing where nobody tried
   */
  public record Half(UnitSupply unit, Endured endured) {}

  public Joined {
    legs = List.copyOf(legs);
  }

  /** Of a day on two units that both begin at its charge; none is fed. */
  public static Joined of(Day day, Half first, Half second) {
    List<RunTimeCase> cases =
        List.of(alone(day, Leg.FIRST, first.unit()), alone(day, Leg.SECOND, second.unit()));
    List<ChargeCurve> courses = cases.stream().map(RunTimeCase::course).toList();
    OptionalDouble end = courses.stream().flatMapToDouble(c -> c.runsOut().stream()).min();
    List<OnLeg> legs = new ArrayList<>();
    for (int i = 0; i < courses.size(); i++) {
      Endured endured = (i == 0 ? first : second).endured();
      legs.add(
          new OnLeg(
              courses.get(i),
              courses.get(i).chargeAt(end.orElse(day.plan().hours())),
              AskedOfUnit.of(cases.get(i).plan(), endured)));
    }
    return new Joined(legs, end);
  }

  private static RunTimeCase alone(Day day, Leg leg, UnitSupply unit) {
    List<Appliance> mine = new ArrayList<>();
    // Nothing by itself: it keeps this output on while anything hangs on either.
    mine.add(
        new Appliance(
            "",
            new ApplianceDraw(ApplianceDraw.Use.STEADY, 0, Double.NaN, Double.NaN, Double.NaN),
            Side.AC,
            HourSpan.joined(
                day.appliances().stream()
                    .filter(a -> a.side() == Side.AC)
                    .flatMap(a -> a.due().stream())
                    .toList()),
            List.of()));
    for (Appliance a : day.appliances()) {
      if (a.leg() == leg) {
        mine.add(a);
      } else if (a.leg() == Leg.BOTH) {
        mine.add(a.halved());
      }
    }
    return day.fed(Optional.empty()).with(mine).on(unit);
  }
}

package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Units that run a day one after the other: the next is plugged in full when the one before has run
 * out.
 *
 * @param ends when each runs out, h after the start of the day, as far as they do
 */
public record InTurn(List<Double> ends, OptionalDouble runsOut) {
  public InTurn {
    ends = List.copyOf(ends);
  }

  private static final double FULL = 100;

  /**
   * Of a day on these units, in this order; none of them is fed meanwhile. The first begins at the
   * charge of the day, the others full.
   */
  public static InTurn of(Day day, List<UnitSupply> units) {
    List<Double> ends = new ArrayList<>();
    double hour = 0;
    double charge = day.charge();
    for (UnitSupply unit : units) {
      Optional<DayPlan> rest = day.plan().after(hour);
      if (rest.isEmpty()) {
        break;
      }
      OptionalDouble end =
          new RunTimeCase(unit, rest.get(), charge, day.reserve(), Optional.empty(), day.celsius())
              .course()
              .runsOut();
      charge = FULL;
      if (end.isEmpty()) {
        return new InTurn(ends, OptionalDouble.empty());
      }
      hour += end.getAsDouble();
      ends.add(hour);
    }
    return new InTurn(ends, ends.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(hour));
  }
}

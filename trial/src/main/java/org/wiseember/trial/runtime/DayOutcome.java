package org.wiseember.trial.runtime;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.GoesLeft;
import org.wiseember.core.runtime.InTurn;
import org.wiseember.core.runtime.Joined;
import org.wiseember.core.runtime.Sheds;
import org.wiseember.core.runtime.SmallestUnit;
import org.wiseember.trial.verdict.Judgement;

/**
 * What a day comes to on the units it is laid out for.
 *
 * @param first the unit that is asked about; empty where nothing tells its energy
 * @param units all of which that is known, the one asked about before the others
 * @param silent names of units of which neither a drain nor the label tells the energy
 * @param sheds what has to stay off so that the first unit lasts
 * @param goes how often the first unit does what is used by the go
 * @param smallest how small a unit would do; empty where nothing is on
 * @param inTurn how long they last one after the other; empty for a single one
 * @param joined how the first two go together; empty for a single one
 */
public record DayOutcome(
    Day day,
    Optional<DayOnUnit> first,
    List<DayOnUnit> units,
    List<String> silent,
    List<Sheds.Shed> sheds,
    List<GoesLeft> goes,
    Optional<SmallestUnit> smallest,
    Optional<InTurn> inTurn,
    Optional<Joined> joined) {
  public DayOutcome {
    units = List.copyOf(units);
    silent = List.copyOf(silent);
    sheds = List.copyOf(sheds);
    goes = List.copyOf(goes);
  }

  /**
   * Works it out.
   *
   * @param judged at least one, the unit that is asked about before those beside it
   */
  public static DayOutcome of(Day day, List<Judgement> judged) {
    List<DayOnUnit> units = new ArrayList<>();
    List<String> silent = new ArrayList<>();
    for (Judgement each : judged) {
      DayOnUnit.of(day, each.unit().id(), each.unit().name(), each)
          .ifPresentOrElse(units::add, () -> silent.add(each.unit().name()));
    }
    Optional<DayOnUnit> asked =
        units.stream().filter(u -> u.unitId() == judged.get(0).unit().id()).findFirst();
    if (asked.isEmpty()) {
      return new DayOutcome(
          day,
          asked,
          units,
          silent,
          List.of(),
          List.of(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty());
    }
    DayOnUnit first = asked.get();
    boolean anything = first.found().course().delivered() > 0;
    return new DayOutcome(
        day,
        asked,
        units,
        silent,
        Sheds.of(first.asked()),
        day.appliances().stream()
            .filter(a -> a.draw().goWattHours() > 0)
            .map(a -> GoesLeft.of(first.asked(), first.found().course(), a))
            .toList(),
        anything ? Optional.of(SmallestUnit.of(first.asked())) : Optional.empty(),
        units.size() > 1
            ? Optional.of(InTurn.of(day, units.stream().map(u -> u.measured().supply()).toList()))
            : Optional.empty(),
        units.size() > 1
            ? Optional.of(Joined.of(day, half(units.get(0)), half(units.get(1))))
            : Optional.empty());
  }

  private static Joined.Half half(DayOnUnit unit) {
    return new Joined.Half(unit.measured().supply(), unit.measured().endured());
  }
}

package org.wiseember.trial.verdict;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.capacity.ImpliedInverter;
import org.wiseember.core.capacity.RateModel;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.kind.found.EnergyByLoad;

/**
 * What the runs of a unit say together.
 *
 * @param rate energy against load at the outlet; empty for fewer than two different loads
 * @param implied inverter efficiency from an AC and a DC drain
 */
public record Together(Optional<RateModel> rate, Optional<ImpliedInverter> implied) {
  /** Nothing to say. */
  public static final Together NOTHING = new Together(Optional.empty(), Optional.empty());

  static Together of(UnitFindings unit) {
    List<Drained> complete = unit.of(Drained.class).filter(Drained::complete).toList();
    Optional<Drained> ac =
        complete.stream()
            .filter(d -> !d.direct())
            .min(Comparator.comparingDouble(Drained::meanWatts));
    Optional<Drained> dc =
        complete.stream().filter(Drained::direct).reduce((first, second) -> second);
    Optional<ImpliedInverter> implied =
        ac.flatMap(a -> dc.flatMap(d -> ImpliedInverter.of(a.finding(), d.finding())));
    return new Together(EnergyByLoad.of(unit), implied);
  }
}

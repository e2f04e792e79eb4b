package org.wiseember.trial.lineup;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.capacity.RateModel;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.trial.kind.LikeRuns;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.kind.found.EnergyByLoad;

/**
 * What units give at one load for all: yields taken at unlike loads say nothing of the units. A
 * unit's energy is its own drain there, or read off its own curve between its drains; beyond them
 * it is not known.
 */
public final class AtLoad {
  /** Loads nearer than this are one load. */
  private static final double SAME = 0.02;

  private AtLoad() {}

  /**
   * Loads a unit was drained at.
   *
   * @param least W
   * @param most W
   */
  public record Range(double least, double most) {
    /** Whether a load is inside, or as good as. */
    boolean holds(double watts) {
      return watts >= least * (1 - SAME) && watts <= most * (1 + SAME);
    }
  }

  private static List<Drained> drains(UnitFindings unit) {
    return unit.of(Drained.class)
        .filter(d -> d.complete() && !d.direct() && d.meanWatts() > 0)
        .filter(d -> d.finding().deliveredEnergy().isPresent())
        .toList();
  }

  /** Where a unit was measured; empty for one without a whole AC drain. */
  public static Optional<Range> range(UnitFindings unit) {
    List<Drained> drains = drains(unit);
    return drains.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Range(
                drains.stream().mapToDouble(Drained::meanWatts).min().orElseThrow(),
                drains.stream().mapToDouble(Drained::meanWatts).max().orElseThrow()));
  }

  /**
   * The highest load inside the range of every unit that was drained; empty where they share none.
   */
  public static OptionalDouble shared(List<? extends UnitFindings> units) {
    List<Range> ranges = units.stream().flatMap(u -> range(u).stream()).toList();
    double most = ranges.stream().mapToDouble(Range::most).min().orElse(Double.NaN);
    return ranges.stream().allMatch(r -> r.holds(most)) && most > 0
        ? OptionalDouble.of(most)
        : OptionalDouble.empty();
  }

  /** Energy a unit delivers at a load, Wh; empty outside of what it was measured at. */
  public static Optional<Figure> delivered(UnitFindings unit, double watts) {
    if (range(unit).filter(r -> r.holds(watts)).isEmpty()) {
      return Optional.empty();
    }
    List<Drained> drains = drains(unit);
    List<Drained> there =
        drains.stream().filter(d -> Math.abs(d.meanWatts() / watts - 1) <= SAME).toList();
    Optional<Figure> found =
        there.isEmpty()
            ? EnergyByLoad.of(unit).map((RateModel m) -> EnergyByLoad.at(m, watts, unit))
            : LikeRuns.of(
                    there.get(0),
                    there,
                    Drained::meanWatts,
                    d -> d.finding().deliveredEnergy(),
                    Repeats.WHOLE_TEST)
                .map(LikeRuns::figure);
    return found.map(
        f -> f.as("delivered", "Delivered at " + Figures.plain(Math.rint(watts), Unit.WATT)));
  }

  /** Of its rated capacity, what it delivers, %. */
  public static Optional<Figure> ofRated(UnitFindings unit, Figure delivered) {
    return unit.label()
        .ratedWattHours()
        .map(
            rated ->
                Figure.of(
                    "yield",
                    "Yield",
                    100 * delivered.value() / rated,
                    Unit.PERCENT,
                    Because.of(
                            delivered.budget().scaled(100 / rated),
                            delivered.words() + " ÷ " + Figures.plain(rated) + " Wh printed")
                        .from(delivered)));
  }
}

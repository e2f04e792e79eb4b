package org.wiseember.trial.plan;

import java.util.Optional;
import java.util.Set;
import java.util.stream.DoubleStream;
import org.wiseember.core.capacity.EnergyLeft;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Charged;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.need.UnitTimes;

/** How long a unit takes to fill and to empty, from its own runs first, then from its label. */
public final class KnownTimes {
  /** Where a label prints neither energy nor watts; a choice. */
  private static final double USUAL_WATT_HOURS = 1000;

  private static final double USUAL_FILL_HOURS = 6;

  /** The end of a charge is slow: common practice, no published source. */
  private static final double TAPER = 1.15;

  /** Of what goes in, so much stays: common practice, no published source. */
  private static final double KEPT = 0.9;

  private KnownTimes() {}

  /** From what is known of a unit. */
  public static UnitTimes of(UnitFindings unit) {
    Label label = unit.label();
    DoubleStream drains =
        unit.of(Drained.class)
            .filter(d -> d.complete() && !d.direct())
            .flatMap(d -> d.finding().deliveredEnergy().stream())
            .mapToDouble(Figure::value);
    double measured = drains.average().orElse(Double.NaN);
    double rated = label.ratedWattHours().orElse(USUAL_WATT_HOURS);
    double gives = measured > 0 ? measured : EnergyLeft.USUAL_YIELD * rated;
    Optional<Figure> filled =
        unit.of(Charged.class)
            .filter(r -> r.setting().sources().equals(Set.of(ChargeSource.WALL)) && r.fromEmpty())
            .flatMap(r -> r.finding().timeToFull().stream())
            .reduce((first, second) -> second)
            .map(t -> t.in(Unit.HOUR));
    double fill = filled.map(Figure::value).orElseGet(() -> printedFill(label, rated));
    return new UnitTimes(
        gives,
        fill,
        label.ratedWatts().orElse(rated / 2) / 2,
        (measured > 0 ? "Energy as its drains gave it, " : "Energy guessed from its label, ")
            + Figures.plain(Math.rint(gives), Unit.WATT_HOUR)
            + (filled.isPresent() ? "; time to full as measured, " : "; time to full expected, ")
            + Figures.fixed(fill, 1)
            + " h.");
  }

  private static double printedFill(Label label, double rated) {
    Optional<Double> time = label.claim(Subject.CHARGE_TIME).map(Claim::figure);
    Optional<Double> watts = label.claim(Subject.MAINS_POWER).map(Claim::figure);
    return time.orElseGet(
        () -> watts.map(w -> TAPER * rated / (KEPT * w)).orElse(USUAL_FILL_HOURS));
  }
}

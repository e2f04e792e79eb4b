package org.wiseember.trial.runtime;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.solar.Port;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Charged;

/**
 * An inlet of a unit as what a feed ends in: by what was measured of it, else by its label.
 *
 * @param port without sources
 * @param restsOn one sentence, where its limits come from
 */
public record MeasuredPort(Feed.Port port, String restsOn) {
  private static final double ANY = Double.POSITIVE_INFINITY;

  /** The usual port of a small unit, where nothing is known of this one. */
  private static final Port USUAL = new Port(12, 28, 8, 100);

  /** Its DC input: volts as printed, amps as the port was seen to draw where they bound it. */
  public static MeasuredPort direct(UnitFindings unit) {
    Optional<Port> printed = LabelInputs.port(unit.label());
    Port port = printed.orElse(USUAL);
    Optional<Figure> amps =
        unit.of(Charged.class)
            .flatMap(r -> r.figures().stream())
            .filter(f -> f.key().equals("most_amps") && f.bound() == Bound.EXACT)
            .reduce((first, second) -> second);
    double most = amps.map(Figure::value).orElse(port.amps());
    return new MeasuredPort(
        new Feed.Port(port.leastVolts(), port.mostVolts(), most, port.watts(), List.of()),
        amps.map(a -> "Amps of the port measured: " + a.words() + "; its volts as printed.")
            .orElse(
                printed.isPresent()
                    ? "The port as printed on the label."
                    : "The label prints no window: these are usual figures, type its own."));
  }

  /** Its charger from the wall: the watts it was seen to take, else those printed. */
  public static MeasuredPort wall(UnitFindings unit) {
    Optional<Figure> seen =
        unit.of(Charged.class)
            .filter(r -> r.setting().sources().equals(Set.of(ChargeSource.WALL)))
            .flatMap(r -> r.finding().peakPower().stream())
            .reduce((first, second) -> second);
    OptionalDouble printed =
        unit.label().claim(Subject.MAINS_POWER).map(Claim::figure).stream()
            .mapToDouble(Double::doubleValue)
            .findFirst();
    double watts = seen.map(Figure::value).orElse(printed.orElse(300));
    return new MeasuredPort(
        new Feed.Port(0, ANY, ANY, Math.rint(watts), List.of()),
        seen.map(w -> "Charging from the wall measured: " + w.words() + " at most.")
            .orElse(
                printed.isPresent()
                    ? "Charging from the wall as printed: "
                        + Figures.plain(printed.getAsDouble(), Unit.WATT)
                        + "."
                    : "Nothing is known of its charging; 300 W are taken, type its own."));
  }
}

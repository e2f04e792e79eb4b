package org.wiseember.trial.lineup;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.Harvest;
import org.wiseember.core.solar.tried.Tried;
import org.wiseember.core.solar.tried.TriedSetup;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Charged;
import org.wiseember.trial.kind.found.PanelsTried;

/**
 * What units took from panels in one light for all: the watts of a bright noon stand beside no
 * others. A unit's watts are those it took in about that light; they are carried to no other.
 */
public final class InLight {
  /** Lights nearer than this share of each other are alike. */
  private static final double NEAR = 0.1;

  /** Two days' light meters, or one at two places: ± % of reading. Common practice, no source. */
  private static final double METER_PERCENT = 5;

  /** Nobody reads light finer, lx. */
  private static final double ROUND = 100;

  private InLight() {}

  /**
   * Watts read with the light of their moment.
   *
   * @param panels they came from, in the tester's words
   */
  private record Lit(double lux, double watts, Budget budget, String panels) {
    boolean near(double light) {
      return Math.abs(lux / light - 1) <= NEAR;
    }

    Figure at(double light) {
      Budget all =
          budget
              .with(Contribution.rectangular("Light meters", watts * METER_PERCENT / 100))
              .with(
                  Contribution.rectangular(
                      "Light not quite the same", watts * Math.abs(lux / light - 1)));
      return Figure.of(
          "sun",
          "Taken from panels at " + Figures.plain(light, Unit.LUX),
          watts,
          Unit.WATT,
          Because.of(
                  all,
                  Figures.plain(watts, Unit.WATT)
                      + " at "
                      + Figures.withUnit(Figures.fixed(lux, 0), Unit.LUX)
                      + ", not carried to another light")
              .summed("from " + panels)
              .watching("Other panels give other watts in the same light: " + panels + "."));
    }
  }

  /** The light in which most of them took watts, the brightest of those; empty without any. */
  public static OptionalDouble shared(List<? extends UnitFindings> units) {
    return units.stream()
        .flatMap(InLight::lit)
        .map(Lit::lux)
        .max(
            Comparator.comparingLong((Double light) -> in(units, light))
                .thenComparingDouble(l -> l))
        .map(light -> Math.rint(light / ROUND) * ROUND)
        .map(OptionalDouble::of)
        .orElse(OptionalDouble.empty());
  }

  private static long in(List<? extends UnitFindings> units, double light) {
    return units.stream().filter(u -> lit(u).anyMatch(l -> l.near(light))).count();
  }

  /** The most a unit took in about that light, W; empty where nobody read it in such. */
  public static Optional<Figure> watts(UnitFindings unit, double light) {
    return lit(unit)
        .filter(l -> l.near(light))
        .max(Comparator.comparingDouble(Lit::watts))
        .map(l -> l.at(light));
  }

  private static Stream<Lit> lit(UnitFindings unit) {
    return Stream.concat(
        unit.of(PanelsTried.class)
            .flatMap(r -> r.trial().tried().stream())
            .filter(t -> t.comparable() && t.setup().into() == TriedSetup.Into.THIS_UNIT)
            .map(InLight::tried),
        unit.of(Charged.class).flatMap(r -> r.harvest().map(h -> charged(h, r)).stream()));
  }

  private static Lit tried(Tried tried) {
    Figure watts = tried.power().orElseThrow();
    return new Lit(tried.lux().orElseThrow(), watts.value(), watts.budget(), tried.setup().words());
  }

  /** Watts of the time in which nothing but the light held a charge back. */
  private static Lit charged(Harvest harvest, Charged run) {
    return new Lit(
        harvest.lux(),
        harvest.watts(),
        Budget.of().with("Power meter", AssumedMeter.of(Unit.WATT), harvest.watts(), 1),
        run.setting()
            .panels()
            .map(p -> p.panels() + " × " + p.panel().name())
            .orElse("panels nobody named"));
  }
}

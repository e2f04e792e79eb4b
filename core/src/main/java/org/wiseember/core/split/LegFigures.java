package org.wiseember.core.split;

import java.util.List;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.MeterClass;

/** The figures of a load on two legs, each with its own because. */
public final class LegFigures {
  /** A plug meter nobody stated a class of; common practice, no published source. */
  public static final MeterClass ASSUMED = AssumedMeter.of(Unit.WATT);

  private LegFigures() {}

  /**
   * The load alone, the heavier leg, and how far the legs are apart.
   *
   * @param meter on each leg
   */
  public static List<Figure> of(TwoLegs legs, MeterClass meter) {
    Budget legA = Budget.of().with("Meter of leg A", meter, legs.legA(), 1);
    Budget legB = Budget.of().with("Meter of leg B", meter, legs.legB(), 1);
    Figure load =
        Figure.of(
            "leg_load",
            "Two units, load on 240 V",
            legs.load(),
            Unit.WATT,
            Because.of(
                    legA.with(legB).with("Meter before the load", meter, legs.base(), 1),
                    "Leg A "
                        + Figures.plain(legs.legA(), Unit.WATT)
                        + " + leg B "
                        + Figures.plain(legs.legB(), Unit.WATT)
                        + " = "
                        + Figures.plain(legs.total(), Unit.WATT),
                    "less "
                        + Figures.plain(legs.base(), Unit.WATT)
                        + " before = "
                        + Figures.plain(legs.load(), Unit.WATT),
                    "from each unit " + Figures.plain(TwoLegs.perUnit(legs.load()), Unit.WATT))
                .summed("the load alone")
                .watching(
                    "The heavier leg reaches its unit's rating first, whatever both could carry"
                        + " together."));
    boolean a = legs.legA() >= legs.legB();
    Figure heavier =
        Figure.of(
            "leg_heavier",
            "Heavier leg",
            legs.heavier(),
            Unit.WATT,
            Because.of(
                    a ? legA : legB,
                    "Leg A "
                        + Figures.plain(legs.legA(), Unit.WATT)
                        + ", leg B "
                        + Figures.plain(legs.legB(), Unit.WATT)
                        + "; legs "
                        + Figures.fixed(legs.imbalancePercent(), 0)
                        + " % apart (0 even, 100 all on one)")
                .summed("what its unit has to carry")
                .from(load));
    return List.of(load, heavier);
  }
}

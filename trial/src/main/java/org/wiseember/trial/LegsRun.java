package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.split.TwoLegs;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.workbook.Run;

/**
 * Two units joined for a 240 V load.
 *
 * @param legs with the load on; empty where both legs were never read
 */
public record LegsRun(Run run, Trace trace, Treatment treatment, Optional<TwoLegs> legs)
    implements TestRun {
  @Override
  public Optional<Because> because() {
    return legs.map(
        l ->
            new Because(
                "Two units, 240 V",
                Figures.plain(l.load(), Unit.WATT),
                "the load alone",
                List.of(
                    "Leg A "
                        + Figures.plain(l.legA(), Unit.WATT)
                        + " + leg B "
                        + Figures.plain(l.legB(), Unit.WATT)
                        + " = "
                        + Figures.plain(l.total(), Unit.WATT),
                    "less "
                        + Figures.plain(l.base(), Unit.WATT)
                        + " before = "
                        + Figures.plain(l.load(), Unit.WATT),
                    "from each unit "
                        + Figures.plain(TwoLegs.perUnit(l.load()), Unit.WATT)
                        + ", the heavier leg carries "
                        + Figures.plain(l.heavier(), Unit.WATT),
                    "legs "
                        + Figures.fixed(l.imbalancePercent(), 0)
                        + " % apart (0 even, 100 all on one)"),
                Unit.WATT,
                new Budget(List.of()),
                List.of(
                    "The heavier leg reaches its unit's rating first, whatever both could carry"
                        + " together."),
                ""));
  }

  @Override
  public List<Warning> warnings() {
    return legs.isEmpty()
        ? List.of(
            new Warning("no_legs", "Watts of both legs are needed, without and with the load."))
        : List.of();
  }
}

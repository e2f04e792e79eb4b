package org.wiseember.trial.kind.legs;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.split.LegFigures;
import org.wiseember.core.split.TwoLegs;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.UnitFindings;

/**
 * Two units joined for a 240 V load.
 *
 * @param legs with the load on; empty where both legs were never read
 * @param meter on each leg
 */
public record LegsRun(StoredRun kept, Optional<TwoLegs> legs, MeterClass meter) implements TestRun {
  @Override
  public List<Figure> figures() {
    return legs.map(l -> LegFigures.of(l, meter)).orElse(List.of());
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<List<String>> rows =
        legs.map(
                l ->
                    List.of(
                        row("Leg A", l.legA()),
                        row("Leg B", l.legB()),
                        row("On before", l.base()),
                        row("The load alone", l.load()),
                        row("Asked of each unit", TwoLegs.perUnit(l.load()))))
            .orElse(List.of());
    return FindingPage.of(figures())
        .table(List.of("Two units", ""), rows)
        .say(legs.map(TwoLegs::words).stream().toList());
  }

  private static List<String> row(String name, double watts) {
    return List.of(name, Figures.plain(watts, Unit.WATT));
  }

  @Override
  public List<Warning> warnings() {
    return legs.isEmpty()
        ? List.of(
            new Warning("no_legs", "Watts of both legs are needed, without and with the load."))
        : List.of();
  }
}

package org.wiseember.trial.kind.solar;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.solar.tried.SolarTrial;
import org.wiseember.core.solar.tried.Tried;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.report.drawing.RowsDrawing;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.PanelsTried;

/**
 * Arrangements that were tried and what comparing them says.
 *
 * @param refused what the port took nothing from, in the tester's words
 */
public record SolarTrialRun(StoredRun kept, SolarTrial trial, List<String> refused)
    implements PanelsTried {
  public SolarTrialRun {
    refused = List.copyOf(refused);
  }

  @Override
  public List<Figure> figures() {
    List<Figure> all = new ArrayList<>(trial.most().stream().toList());
    all.addAll(trial.figures());
    trial.tried().forEach(t -> t.watts().ifPresent(all::add));
    return all;
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<RowsDrawing.Row> rows = new ArrayList<>();
    List<List<String>> table = new ArrayList<>();
    for (Tried t : trial.tried()) {
      t.watts()
          .ifPresent(
              w ->
                  rows.add(
                      new RowsDrawing.Row(
                          t.setup().words(),
                          w.value(),
                          w.u95(),
                          OptionalDouble.empty(),
                          w.words())));
      table.add(
          List.of(
              t.setup().words(),
              t.watts().map(Figure::words).orElse("not read"),
              read(t.lux(), 0, Unit.LUX),
              read(t.volts(), 2, Unit.VOLT),
              read(t.amps(), 2, Unit.AMPERE),
              t.setup().plateWatts().isPresent() && t.watts().isPresent()
                  ? Figures.fixed(
                          100 * t.watts().get().value() / t.setup().plateWatts().getAsDouble(), 0)
                      + " %"
                  : "—"));
    }
    List<Figure> heads = new ArrayList<>(trial.most().stream().toList());
    heads.addAll(trial.figures());
    FindingPage page =
        new FindingPage(heads.stream().limit(4).map(Explanation::of).toList(), List.of());
    if (!rows.isEmpty()) {
      page = page.chart(new RowsDrawing("watts into the port, W", rows));
    }
    return page.table(
            List.of("Arrangement", "Watts", "Light", "Volts", "Amps", "Of the plates"), table)
        .say(trial.words())
        .say(refused.stream().map(r -> "The port refused: " + r + ".").toList());
  }

  private static String read(OptionalDouble value, int decimals, Unit unit) {
    return value.isPresent()
        ? Figures.withUnit(Figures.fixed(value.getAsDouble(), decimals), unit)
        : "—";
  }

  @Override
  public Series watts() {
    return trace().series(Channel.IN_POWER);
  }

  @Override
  public Optional<Explanation> headline() {
    return trial.most().map(Explanation::of);
  }

  @Override
  public String caption() {
    return trial.tried().size() + " arrangements";
  }

  @Override
  public List<Warning> warnings() {
    return trial.words().stream().map(w -> new Warning("solar_trial", w)).toList();
  }
}

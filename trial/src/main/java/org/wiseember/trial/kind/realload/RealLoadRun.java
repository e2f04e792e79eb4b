package org.wiseember.trial.kind.realload;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.realload.Goes;
import org.wiseember.report.drawing.RowsDrawing;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.UnitFindings;

/** Ordinary loads that were done, and what each of them took. */
public record RealLoadRun(StoredRun kept, List<Done> done) implements TestRun {
  /**
   * One of them.
   *
   * @param each Wh for each go
   * @param fromFull how many a full unit gives
   */
  public record Done(Goes goes, Optional<Figure> each, Optional<Figure> fromFull) {}

  public RealLoadRun {
    done = List.copyOf(done);
  }

  @Override
  public List<Figure> figures() {
    List<Figure> all = new ArrayList<>();
    done.forEach(d -> d.each().ifPresent(all::add));
    done.forEach(d -> d.fromFull().ifPresent(all::add));
    return all;
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<RowsDrawing.Row> rows = new ArrayList<>();
    List<List<String>> table = new ArrayList<>();
    for (Done d : done) {
      d.each()
          .ifPresent(
              e ->
                  rows.add(
                      new RowsDrawing.Row(
                          d.goes().name(), e.value(), e.u95(), OptionalDouble.empty(), e.words())));
      OptionalDouble points = d.goes().points();
      table.add(
          List.of(
              d.goes().name(),
              Integer.toString(d.goes().count()),
              d.each().map(Figure::words).orElse("not known"),
              points.isPresent() ? Figures.fixed(points.getAsDouble(), 2) + " %" : "—",
              d.fromFull().map(Figure::words).orElse("—")));
    }
    FindingPage page =
        new FindingPage(figures().stream().limit(4).map(Explanation::of).toList(), List.of());
    if (!rows.isEmpty()) {
      page = page.chart(new RowsDrawing("energy for each, Wh", rows));
    }
    return page.table(List.of("Load", "Done", "Each", "On the display", "From full"), table)
        .say(done.stream().flatMap(d -> d.goes().words().stream()).toList());
  }

  @Override
  public List<Warning> warnings() {
    return done.stream()
        .flatMap(d -> d.goes().words().stream())
        .map(w -> new Warning("real_load", w))
        .toList();
  }
}

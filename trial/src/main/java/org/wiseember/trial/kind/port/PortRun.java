package org.wiseember.trial.kind.port;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.port.PortFinding;
import org.wiseember.core.port.PortPoint;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Series;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.UnitFindings;

/** A DC port under rising current and what it says. */
public record PortRun(StoredRun kept, PortFinding finding) implements TestRun {
  @Override
  public List<Figure> figures() {
    return finding.figures();
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<List<String>> rows = new ArrayList<>();
    for (PortPoint p : finding.points()) {
      rows.add(
          List.of(
              Figures.fixed(p.amps(), 2) + " A",
              Figures.fixed(p.volts(), 2) + " V",
              Figures.fixed(p.watts(), 1) + " W"));
    }
    FindingPage page =
        FindingPage.of(
            Stream.of(
                    finding.tripAmps(),
                    finding.mostAmps(),
                    finding.mostWatts(),
                    finding.loadedVolts(),
                    finding.ohms())
                .flatMap(Optional::stream)
                .toList());
    if (!finding.points().isEmpty()) {
      page = page.chart(PortPicture.of(unit.label(), finding));
    }
    return page.table(List.of("Current", "Volts", "Power"), rows).say(words());
  }

  private List<String> words() {
    List<String> words = new ArrayList<>();
    finding
        .ohms()
        .ifPresent(
            r ->
                words.add(
                    (finding.regulated() ? "Regulated: it loses " : "It sags: it loses ")
                        + Figures.withUncertainty(1000 * r.value(), 1000 * r.u95())
                        + " mV an ampere."));
    finding.tripAmps().ifPresent(t -> words.add("It switched off at " + t.words() + "."));
    return words;
  }

  @Override
  public Series watts() {
    return directWatts();
  }

  @Override
  public boolean throughLeads() {
    return true;
  }

  @Override
  public List<Warning> warnings() {
    return finding.warnings();
  }
}

package org.wiseember.trial.kind.ladder;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.efficiency.Droop;
import org.wiseember.core.efficiency.EfficiencyFinding;
import org.wiseember.core.efficiency.LoadPoint;
import org.wiseember.core.efficiency.LossFit;
import org.wiseember.core.efficiency.Weighting;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Laddered;

/** A ladder of loads and what it says. */
public record LadderRun(StoredRun kept, EfficiencyFinding finding) implements Laddered {
  @Override
  public List<Figure> figures() {
    return finding.figures();
  }

  /** What is lost of every watt tells what a small load costs at the outlet. */
  @Override
  public List<Figure> offered() {
    return finding.fit().map(LossFit::lossShare).stream().toList();
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    FindingPage page =
        FindingPage.of(
            Stream.of(
                    finding.best(),
                    finding.peakLoad(),
                    finding.weighted(Weighting.EUROPEAN),
                    finding.weighted(Weighting.CALIFORNIAN),
                    finding.noLoad(),
                    finding.droop().map(Droop::percent))
                .flatMap(Optional::stream)
                .toList());
    if (finding.points().isEmpty()) {
      return page;
    }
    return page.chart(EfficiencyPicture.of(unit.label(), finding))
        .table(List.of("Out", "In", "Efficiency", "Output", "Display", "Times"), rows())
        .say(words());
  }

  private List<List<String>> rows() {
    return finding.points().stream()
        .map(
            p ->
                List.of(
                    Figures.fixed(p.acWatts(), 1) + " W",
                    Figures.fixed(p.dcWatts(), 1) + " W",
                    p.efficiency().words(),
                    p.acVolts().isPresent()
                        ? Figures.fixed(p.acVolts().getAsDouble(), 1) + " V"
                        : "–",
                    shownWatts(p),
                    Figures.plain(p.repeats())))
        .toList();
  }

  /** What the unit's display showed, and by how much that was off. */
  private static String shownWatts(LoadPoint p) {
    if (p.displayWatts().isEmpty()) {
      return "–";
    }
    double shown = p.displayWatts().getAsDouble();
    double off = shown - p.acWatts();
    return Figures.fixed(shown, 0)
        + " W, "
        + (shown < 0.5 ? "nothing" : (off >= 0 ? "+" : "") + Figures.fixed(off, 0));
  }

  private List<String> words() {
    List<String> words = new ArrayList<>();
    if (finding.goodTo() > finding.goodFrom()) {
      words.add(
          "Within two points of the peak from "
              + Figures.fixed(finding.goodFrom(), 0)
              + " to "
              + Figures.fixed(finding.goodTo(), 0)
              + " W.");
    }
    return words;
  }

  @Override
  public boolean treatable() {
    return true;
  }

  @Override
  public List<Warning> warnings() {
    return finding.warnings();
  }
}

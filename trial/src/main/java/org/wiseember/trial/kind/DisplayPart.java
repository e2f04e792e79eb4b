package org.wiseember.trial.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.wiseember.core.display.DisplayAudit;
import org.wiseember.core.display.DisplayLine;
import org.wiseember.core.display.DisplayVerdict;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.report.page.FindingPage;

/** The part of a run's page that tells how far the unit's own display was right in it. */
final class DisplayPart {
  private static final int MOST_ROWS = 12;

  private DisplayPart() {}

  /** A page with that part; the page as it is where no display was read. */
  static FindingPage on(FindingPage page, TestRun run, UnitFindings unit) {
    DisplayAudit here = run.displays();
    if (here.isEmpty()) {
      return page;
    }
    DisplayVerdict verdict = DisplayVerdict.of(here, drained(unit), rated(unit));
    FindingPage told = page;
    for (DisplayLine line : List.of(verdict.out(), verdict.in())) {
      if (line.scale().isPresent()) {
        told = told.headed(Explanation.of(line.scale().get()));
      }
    }
    List<String> words = new ArrayList<>(verdict.words());
    all(unit, here).ifPresent(words::add);
    return told.table(List.of("Display against meter", "Shown", "Measured"), rows(here)).say(words);
  }

  /** What its newest whole drain gave; the display is held against nothing that is assumed. */
  private static OptionalDouble drained(UnitFindings unit) {
    return Stream.of("usable_dc_energy", "usable_ac_energy")
        .flatMap(key -> unit.offered(key).stream())
        .mapToDouble(o -> o.figure().value())
        .reduce((a, b) -> b);
  }

  private static OptionalDouble rated(UnitFindings unit) {
    return unit.label().ratedWattHours().map(OptionalDouble::of).orElse(OptionalDouble.empty());
  }

  private static List<List<String>> rows(DisplayAudit audit) {
    return Stream.concat(
            audit.out().stream().map(p -> row("Watts out", p)),
            audit.in().stream().map(p -> row("Watts in", p)))
        .limit(MOST_ROWS)
        .toList();
  }

  private static List<String> row(String name, DisplayAudit.Pair pair) {
    return List.of(
        name, Figures.fixed(pair.shown(), 0) + " W", Figures.fixed(pair.measured(), 1) + " W");
  }

  /** Over all runs of the unit, where those tell more than this one. */
  private static Optional<String> all(UnitFindings unit, DisplayAudit here) {
    DisplayAudit all =
        unit.runs().stream()
            .filter(r -> !r.aside())
            .map(TestRun::displays)
            .reduce(DisplayAudit.NOTHING, DisplayAudit::and);
    if (all.out().size() <= here.out().size()) {
      return Optional.empty();
    }
    DisplayLine line = DisplayLine.of("display_out", "Display, watts out", all.out());
    return line.scale()
        .map(
            s ->
                "Over all runs of this unit ("
                    + all.out().size()
                    + " readings) the display shows "
                    + s.words()
                    + " of the watts that are there"
                    + line.offset().map(Figure::words).map(o -> " and " + o + " beside").orElse("")
                    + ".");
  }
}

package org.wiseember.trial.beside;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.supply.SourceTries;
import org.wiseember.report.page.FindingPage;
import org.wiseember.workbook.SourceRuns;

/** What the mains or a generator did by itself, as a page. */
final class SourcePage {
  private static final String CAUTION =
      "An engine runs outdoors, away from windows. No source is put into the wiring of a building"
          + " without an interlock or a transfer switch, set up to local code by a licensed"
          + " electrician.";

  private SourcePage() {}

  static BesideRun of(SourceRuns.Kept kept) {
    SourceTries tries = kept.tries();
    FindingPage page =
        FindingPage.of(tries.figures())
            .table(
                List.of("Load", "volts", "hertz", "distortion", "went"),
                tries.tries().stream().map(SourcePage::row).toList())
            .say(tries.warnings().stream().map(Warning::message).toList())
            .say(List.of(CAUTION));
    return new BesideRun(
        kept.run(), kept.source(), tries.figures(), tries.warnings(), page, Optional.empty());
  }

  private static List<String> row(SourceTries.Try t) {
    return List.of(
        Figures.plain(t.watts(), Unit.WATT),
        read(t.volts(), Unit.VOLT),
        read(t.hertz(), Unit.HERTZ),
        read(t.distortion(), Unit.PERCENT),
        t.went().words());
  }

  private static String read(double value, Unit unit) {
    return Double.isNaN(value) ? "not read" : Figures.plain(value, unit);
  }
}

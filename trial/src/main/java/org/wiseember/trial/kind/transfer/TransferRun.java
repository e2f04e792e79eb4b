package org.wiseember.trial.kind.transfer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.transfer.ItiCurve;
import org.wiseember.core.transfer.LongestGap;
import org.wiseember.core.transfer.PassThrough;
import org.wiseember.core.transfer.TransferGap;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.workbook.StoredCapture;

/**
 * The mains plug pulled several times and what the outlet did.
 *
 * @param pulls captures, with the gap in each or why there is none
 * @param passThrough who feeds the load while the mains are there; empty where it was not read
 */
public record TransferRun(StoredRun kept, List<Pull> pulls, Optional<PassThrough> passThrough)
    implements TestRun {
  /** A capture and the gap in it. */
  public record Pull(StoredCapture kept, TransferGap.Reading reading) {}

  public TransferRun {
    pulls = List.copyOf(pulls);
  }

  /** Every gap that was measured. */
  public List<TransferGap> gaps() {
    return pulls.stream().flatMap(p -> p.reading().gap().stream()).toList();
  }

  /** The longest gap, ms; empty where none was measured. */
  public Optional<Figure> longest() {
    return LongestGap.of(gaps(), passThrough.map(PassThrough::words).stream().toList());
  }

  @Override
  public List<Figure> figures() {
    return longest().stream().toList();
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<List<String>> rows = new ArrayList<>();
    FindingPage page = FindingPage.of(figures());
    int n = 1;
    for (Pull p : pulls) {
      Optional<TransferGap> gap = p.reading().gap();
      page =
          page.chart(
              "Look at",
              p.kept().words().replace("Plug pulled, time", "pull"),
              GapPicture.of(p.kept().capture(), gap));
      rows.add(
          List.of(
              "Pull " + n++,
              gap.map(g -> Figures.withUncertainty(1000 * g.seconds(), 1000 * g.u95()) + " ms")
                  .orElse("–"),
              gap.map(g -> Figures.fixed(g.phaseDegrees(), 0) + "°").orElse("–"),
              gap.map(g -> Figures.fixed(1000 * g.belowSeconds(), 0) + " ms").orElse("–"),
              gap.map(g -> g.ridesThrough() ? "inside" : "outside").orElse("–")));
    }
    List<String> words = new ArrayList<>();
    words.add(
        "The ITI curve has computers withstand nothing at all for "
            + Figures.fixed(1000 * ItiCurve.NOTHING_SECONDS, 0)
            + " ms. It is a reference line, no promise of any load.");
    passThrough.map(PassThrough::words).ifPresent(words::add);
    passThrough.map(p -> p.figures() + ".").ifPresent(words::add);
    return page.table(List.of("Mains plug", "Gap", "Gone at", "RMS under 90 %", "ITI curve"), rows)
        .say(words);
  }

  @Override
  public List<Warning> warnings() {
    List<Warning> warnings = new ArrayList<>();
    passThrough.ifPresent(p -> warnings.add(new Warning("pass_through", p.words())));
    pulls.stream()
        .filter(p -> p.reading().gap().isEmpty())
        .map(p -> new Warning("no_gap", p.kept().words() + ": " + p.reading().trouble()))
        .forEach(warnings::add);
    if (pulls.isEmpty()) {
      warnings.add(
          new Warning(
              "no_capture",
              "No scope caught the switch-over; a meter is far too slow for a gap of milliseconds."));
    }
    return warnings;
  }
}

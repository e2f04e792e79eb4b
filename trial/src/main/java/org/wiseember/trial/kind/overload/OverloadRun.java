package org.wiseember.trial.kind.overload;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.overload.Hold;
import org.wiseember.core.overload.OverloadFinding;
import org.wiseember.core.overload.TripFit;
import org.wiseember.core.quantity.Figures;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Overloaded;

/**
 * A ladder of loads above the rating and what it says.
 *
 * @param recovery how the output came back after the trips, a sentence each
 */
public record OverloadRun(StoredRun kept, OverloadFinding finding, List<String> recovery)
    implements Overloaded {
  private static final double[] SHARES = {1.25, 1.5};

  public OverloadRun {
    recovery = List.copyOf(recovery);
  }

  @Override
  public List<Figure> figures() {
    return finding.figures();
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<List<String>> rows = new ArrayList<>();
    for (Hold h : finding.holds()) {
      rows.add(
          List.of(
              Figures.fixed(h.watts(), 0) + " W",
              Figures.fixed(h.before(), 0) + " W",
              Figures.rounded(h.seconds(), h.halfWidth()) + " s",
              h.end().words()));
    }
    List<String> words = new ArrayList<>();
    double rated = unit.label().ratedWatts().orElse(Double.NaN);
    finding.fit().ifPresent(fit -> words.add(fitted(rated, fit)));
    words.addAll(recovery.stream().distinct().toList());
    words.add("Open marks were held as long as anybody looked; filled ones tripped.");
    return FindingPage.of(finding.figures())
        .chart(EndurancePicture.of(unit.label(), finding))
        .table(List.of("Load", "From", "Held for", "How it ended"), rows)
        .say(words);
  }

  private String fitted(double rated, TripFit fit) {
    double base = finding.trips().stream().mapToDouble(Hold::before).average().orElse(0);
    List<String> parts = new ArrayList<>();
    for (double share : SHARES) {
      fit.seconds(share * rated, base)
          .ifPresent(
              b ->
                  parts.add(
                      Figures.plain(
                              b.value() < 10
                                  ? Math.rint(10 * b.value()) / 10
                                  : Math.rint(b.value()))
                          + " s ("
                          + Figures.plain(Math.rint(b.low()))
                          + " to "
                          + (Double.isInfinite(b.high())
                              ? "for ever"
                              : Figures.plain(Math.rint(b.high())))
                          + ") at "
                          + Figures.plain(share)
                          + " times the rating"));
    }
    return parts.isEmpty()
        ? "The curve through the trips holds 1.25 times the rating for ever."
        : "By the curve it trips after " + String.join(", ", parts) + ".";
  }

  @Override
  public List<Warning> warnings() {
    return finding.warnings();
  }
}

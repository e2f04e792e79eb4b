package org.wiseember.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.transfer.ItiCurve;
import org.wiseember.core.transfer.PassThrough;
import org.wiseember.core.transfer.TransferGap;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.workbook.KeptCapture;
import org.wiseember.workbook.Run;

/**
 * The mains plug pulled several times and what the outlet did.
 *
 * @param pulls captures, with the gap in each or why there is none
 * @param passThrough who feeds the load while the mains are there; empty where it was not read
 */
public record TransferRun(
    Run run, Trace trace, Treatment treatment, List<Pull> pulls, Optional<PassThrough> passThrough)
    implements TestRun {
  /** A capture and the gap in it. */
  public record Pull(KeptCapture kept, TransferGap.Reading reading) {}

  public TransferRun {
    pulls = List.copyOf(pulls);
  }

  /** Every gap that was measured. */
  public List<TransferGap> gaps() {
    return pulls.stream().flatMap(p -> p.reading().gap().stream()).toList();
  }

  /** The longest gap, ms, which is what a load has to bear; empty where none was measured. */
  public Optional<Estimate> longest() {
    return gaps().stream()
        .max(Comparator.comparingDouble(TransferGap::seconds))
        .map(g -> new Estimate(1000 * g.seconds(), 1000 * g.u95()));
  }

  @Override
  public Optional<Because> because() {
    return longest()
        .map(
            longest -> {
              List<String> sum = new ArrayList<>();
              for (TransferGap g : gaps()) {
                sum.add(
                    Figures.withUncertainty(1000 * g.seconds(), 1000 * g.u95())
                        + " ms, gone at "
                        + Figures.fixed(g.phaseDegrees(), 0)
                        + "°, back "
                        + Figures.fixed(g.jumpDegrees(), 0)
                        + "° ahead");
              }
              double below = gaps().stream().mapToDouble(TransferGap::belowSeconds).max().orElse(0);
              sum.add(
                  "One-cycle RMS below 90 % for " + Figures.fixed(1000 * below, 0) + " ms at most");
              sum.add(
                  "ITI curve: nothing for up to "
                      + Figures.fixed(1000 * ItiCurve.NOTHING_SECONDS, 0)
                      + " ms is borne: "
                      + (longest.value() <= 1000 * ItiCurve.NOTHING_SECONDS
                          ? "inside"
                          : "outside"));
              List<String> watch = new ArrayList<>();
              passThrough.ifPresent(p -> watch.add(p.words()));
              if (gaps().size() < 3) {
                watch.add("Pull it more often: the gap depends on where in the wave it goes.");
              }
              return new Because(
                  "Longest gap of " + gaps().size(),
                  Figures.withUncertainty(longest.value(), longest.u95(), Unit.MILLISECOND),
                  "from the mains' last volt to the inverter's first",
                  sum,
                  Unit.MILLISECOND,
                  Budget.of(
                      Contribution.rectangular("Where the waves leave and join", longest.u95())),
                  watch,
                  "Some give the time the RMS is low, which adds up to a cycle to every gap.");
            });
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

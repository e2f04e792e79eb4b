package org.wiseember.command;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.ToDoubleFunction;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.efficiency.EfficiencyFinding;
import org.wiseember.core.efficiency.EfficiencyLadder;
import org.wiseember.core.efficiency.LadderMeters;
import org.wiseember.core.efficiency.LoadPoint;
import org.wiseember.core.efficiency.LossCurve;
import org.wiseember.core.efficiency.Weighting;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.workbook.log.Log;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Conversion efficiency from the log of a ladder of loads. */
@Command(
    name = "efficiency",
    description = "AC out over DC in at every load of a ladder, and the curve through them.",
    mixinStandardHelpOptions = true)
final class AnalyzeEfficiency implements Callable<Integer> {
  @Mixin private LogInput input;

  @Option(
      names = "--rated-w",
      paramLabel = "N",
      description = "Rated power, W, for the European and Californian efficiency.")
  private Double ratedWatts;

  @Override
  public Integer call() throws Exception {
    double rated = input.positive("--rated-w", ratedWatts, "the watts on the label");
    Log read = input.read();
    LadderMeters meters =
        input.accuracy() == null
            ? LadderMeters.unknown()
            : LadderMeters.ofReading(input.accuracy());
    EfficiencyFinding finding = EfficiencyLadder.of(read.trace(), meters, rated, Treatment.NONE);
    List<Warning> warnings = new ArrayList<>(read.warnings());
    warnings.addAll(finding.warnings());
    Results results = new Results("efficiency", warnings);
    for (LoadPoint point : finding.points()) {
      results.add(
          "efficiency@" + Math.round(point.acWatts()),
          Optional.of(point.efficiency()),
          Unit.PERCENT);
    }
    return input.print(
        results
            .add("fit_p0", fitted(finding, LossCurve::p0), Unit.WATT)
            .add("fit_p1", fitted(finding, LossCurve::p1), Unit.ONE)
            .add("fit_p2", fitted(finding, LossCurve::p2), Unit.PER_WATT)
            .add("peak_efficiency", finding.peakEfficiency(), Unit.PERCENT)
            .add("peak_load", finding.peakLoad(), Unit.WATT)
            .add("european", weighted(finding, Weighting.EUROPEAN), Unit.PERCENT)
            .add("californian", weighted(finding, Weighting.CALIFORNIAN), Unit.PERCENT));
  }

  private static Optional<Estimate> fitted(
      EfficiencyFinding finding, ToDoubleFunction<LossCurve> what) {
    return finding.fit().map(fit -> fit.estimate(what));
  }

  private static Optional<Estimate> weighted(EfficiencyFinding finding, Weighting weighting) {
    return Optional.ofNullable(finding.weighted().get(weighting));
  }
}

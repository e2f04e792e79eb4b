package org.wiseember.command.analyze;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.wiseember.command.Results;
import org.wiseember.core.efficiency.EfficiencyFinding;
import org.wiseember.core.efficiency.EfficiencyLadder;
import org.wiseember.core.efficiency.LadderMeters;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Treatment;
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
  /** Scripts rest on these, whether or not the log tells them. */
  private static final Map<String, Unit> KEYS = promised();

  private static Map<String, Unit> promised() {
    Map<String, Unit> keys = new LinkedHashMap<>();
    keys.put("fit_p0", Unit.WATT);
    keys.put("fit_p1", Unit.ONE);
    keys.put("fit_p2", Unit.PER_WATT);
    keys.put("peak_efficiency", Unit.PERCENT);
    keys.put("peak_load", Unit.WATT);
    keys.put("european", Unit.PERCENT);
    keys.put("californian", Unit.PERCENT);
    return keys;
  }

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
    return input.print(new Results("efficiency", warnings).add(finding, KEYS));
  }
}

package org.wiseember.command.analyze;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.wiseember.command.Results;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.overload.OverloadFinding;
import org.wiseember.core.overload.OverloadLadder;
import org.wiseember.core.overload.OverloadMethod;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.log.Log;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Time to the trip from the log of an overload. */
@Command(
    name = "overload",
    description = "How long a load above the rating was held, from its log.",
    mixinStandardHelpOptions = true)
final class AnalyzeOverload implements Callable<Integer> {
  /** Scripts rest on these, whether or not the log tells them. */
  private static final Map<String, Unit> KEYS = promised();

  private static Map<String, Unit> promised() {
    Map<String, Unit> keys = new LinkedHashMap<>();
    keys.put("trip_time", Unit.SECOND);
    keys.put("held_power", Unit.WATT);
    return keys;
  }

  @Mixin private LogInput input;

  @Option(
      names = "--rated-w",
      paramLabel = "N",
      description = "Rated power, W; a trip below it is said.")
  private Double ratedWatts;

  @Override
  public Integer call() throws Exception {
    double rated = input.positive("--rated-w", ratedWatts, "the watts on the label");
    Log read = input.read();
    OverloadMethod method =
        input.accuracy() == null
            ? OverloadMethod.assumed(rated)
            : OverloadMethod.measuredWith(rated, MeterClass.ofReading(input.accuracy(), 0, 0));
    OverloadFinding finding = OverloadLadder.of(read.trace(), method);
    List<Warning> warnings = new ArrayList<>(read.warnings());
    warnings.addAll(finding.warnings());
    return input.print(new Results("overload", warnings).add(finding, KEYS));
  }
}

package org.wiseember.command.analyze;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.wiseember.command.Results;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.log.Log;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Usable capacity from the log of a drain. */
@Command(
    name = "capacity",
    description = "What one drain delivered, from its log.",
    mixinStandardHelpOptions = true)
final class AnalyzeCapacity implements Callable<Integer> {
  /** Scripts rest on these, whether or not the log tells them. */
  private static final Map<String, Unit> KEYS = promised();

  private static Map<String, Unit> promised() {
    Map<String, Unit> keys = new LinkedHashMap<>();
    keys.put("delivered_energy", Unit.WATT_HOUR);
    keys.put("delivered_charge", Unit.AMPERE_HOUR);
    keys.put("duration", Unit.SECOND);
    keys.put("mean_power", Unit.WATT);
    keys.put("yield", Unit.PERCENT);
    keys.put("cutoff_time", Unit.SECOND);
    return keys;
  }

  @Mixin private LogInput input;

  @Option(
      names = "--rated-wh",
      paramLabel = "N",
      description = "Capacity on the label, Wh, for the yield.")
  private Double ratedWattHours;

  @Override
  public Integer call() throws Exception {
    double rated = input.positive("--rated-wh", ratedWattHours, "the watt-hours on the label");
    Log read = input.read();
    CapacityMethod method =
        input.accuracy() == null
            ? CapacityMethod.assumed(rated)
            : CapacityMethod.measuredWith(rated, MeterClass.ofReading(input.accuracy(), 0, 0));
    if (read.clockMayStep()) {
      method = method.withClockThatMayStep();
    }
    CapacityFinding finding = UsableCapacity.of(read.trace(), method);
    List<Warning> warnings = new ArrayList<>(read.warnings());
    warnings.addAll(finding.warnings());
    return input.print(new Results("capacity", warnings).add(finding, KEYS));
  }
}

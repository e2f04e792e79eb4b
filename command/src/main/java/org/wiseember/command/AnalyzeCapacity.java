package org.wiseember.command;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.wiseember.core.because.Warning;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.log.Log;
import org.wiseember.workbook.log.LogCsv;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Usable capacity from the log of a drain. */
@Command(
    name = "capacity",
    description = "What one drain delivered, from its log.",
    mixinStandardHelpOptions = true)
final class AnalyzeCapacity implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "LOG.csv", description = "The log; see docs/formats.md.")
  private Path log;

  @Option(
      names = "--rated-wh",
      paramLabel = "N",
      description = "Capacity on the label, Wh, for the yield.")
  private Double ratedWattHours;

  @Option(
      names = "--meter-accuracy",
      paramLabel = "PERCENT",
      description = "The power meter's accuracy, ± % of reading. 2 is assumed without it.")
  private Double accuracy;

  @Option(names = "--json", description = "One JSON object on standard output.")
  private boolean json;

  @Override
  public Integer call() throws Exception {
    if (ratedWattHours != null && !(ratedWattHours > 0 && ratedWattHours < 1e9)) {
      throw new ParameterException(
          spec.commandLine(), "--rated-wh takes the watt-hours on the label, a number above 0.");
    }
    if (accuracy != null && !(accuracy >= 0 && accuracy <= 100)) {
      throw new ParameterException(
          spec.commandLine(), "--meter-accuracy takes a percentage from 0 to 100.");
    }
    Log read = LogCsv.read(log);
    double rated = ratedWattHours == null ? Double.NaN : ratedWattHours;
    CapacityMethod method =
        accuracy == null
            ? CapacityMethod.assumed(rated)
            : CapacityMethod.measuredWith(rated, MeterClass.ofReading(accuracy, 0, 0));
    if (read.clockMayStep()) {
      method = method.withClockThatMayStep();
    }
    CapacityFinding finding = UsableCapacity.of(read.trace(), method);
    List<Warning> warnings = new ArrayList<>(read.warnings());
    warnings.addAll(finding.warnings());
    Results results =
        new Results("capacity", warnings)
            .add("delivered_energy", finding.deliveredEnergy(), Unit.WATT_HOUR)
            .add("delivered_charge", finding.deliveredCharge(), Unit.AMPERE_HOUR)
            .add("duration", finding.duration(), Unit.SECOND)
            .add("mean_power", finding.meanPower(), Unit.WATT)
            .add("yield", finding.yield(), Unit.PERCENT)
            .add("cutoff_time", finding.cutoffTime(), Unit.SECOND);
    spec.commandLine().getOut().print(json ? results.json() : results.text());
    return 0;
  }
}

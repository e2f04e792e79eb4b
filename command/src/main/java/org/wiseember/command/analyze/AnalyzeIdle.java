package org.wiseember.command.analyze;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.wiseember.command.Results;
import org.wiseember.core.efficiency.LadderMeters;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.idle.IdleDraw;
import org.wiseember.core.idle.IdleFinding;
import org.wiseember.core.idle.IdleMethod;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.workbook.log.Log;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Idle draw from the log of a unit with nothing plugged in. */
@Command(
    name = "idle",
    description = "What a unit draws with nothing plugged in, and how long it lasts so.",
    mixinStandardHelpOptions = true)
final class AnalyzeIdle implements Callable<Integer> {
  /** Scripts rest on these, whether or not the log tells them. */
  private static final Map<String, Unit> KEYS = promised();

  private static Map<String, Unit> promised() {
    Map<String, Unit> keys = new LinkedHashMap<>();
    keys.put("idle_power", Unit.WATT);
    keys.put("idle_hours", Unit.HOUR);
    return keys;
  }

  @Mixin private LogInput input;

  @Option(
      names = "--usable-wh",
      paramLabel = "N",
      description = "Usable energy on the DC side, Wh, for the hours to empty.")
  private Double usableWattHours;

  @Override
  public Integer call() throws Exception {
    double usable = input.positive("--usable-wh", usableWattHours, "the usable watt-hours");
    Log read = input.read();
    LadderMeters meters =
        input.accuracy() == null
            ? LadderMeters.unknown()
            : LadderMeters.ofReading(input.accuracy());
    Optional<Estimate> energy =
        Double.isNaN(usable) ? Optional.empty() : Optional.of(new Estimate(usable, 0));
    IdleFinding finding = IdleDraw.of(read.trace(), new IdleMethod(meters, energy, Treatment.NONE));
    List<Warning> warnings = new ArrayList<>(read.warnings());
    warnings.addAll(finding.warnings());
    return input.print(new Results("idle", warnings).add(finding, KEYS));
  }
}

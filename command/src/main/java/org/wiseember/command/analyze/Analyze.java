package org.wiseember.command.analyze;

import picocli.CommandLine.Command;

/** Figures from log files. */
@Command(
    name = "analyze",
    description = "Works figures out from a log file.",
    mixinStandardHelpOptions = true,
    synopsisSubcommandLabel = "COMMAND",
    subcommands = {
      AnalyzeCapacity.class,
      AnalyzeEfficiency.class,
      AnalyzeIdle.class,
      AnalyzeOverload.class,
      AnalyzeWaveform.class,
      AnalyzeCharge.class
    })
public final class Analyze {
  private Analyze() {}
}

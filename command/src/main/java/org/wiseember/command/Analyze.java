package org.wiseember.command;

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
final class Analyze {
  private Analyze() {}
}

package org.wiseember.command;

import picocli.CommandLine.Command;

/** The simulated bench without the window. */
@Command(
    name = "simulate",
    description = "Runs the simulated bench.",
    mixinStandardHelpOptions = true,
    synopsisSubcommandLabel = "COMMAND",
    subcommands = {SimulateDrain.class, SimulateDemo.class})
final class Simulate {
  private Simulate() {}
}

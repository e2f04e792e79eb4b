package org.wiseember.command;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.wiseember.trial.demo.DemoWorkbook;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Makes the demo workbook. */
@Command(
    name = "demo-workbook",
    description = "Makes the demo workbook in a new file.",
    mixinStandardHelpOptions = true)
final class SimulateDemo implements Callable<Integer> {
  private static final int LEAST_UNITS = 5;
  private static final int MOST_UNITS = 1000;

  @Parameters(paramLabel = "FILE", description = "A file that does not exist yet.")
  private Path file;

  @Option(
      names = "--units",
      paramLabel = "N",
      description = "How many units, 5 to 1000; those beyond the demo's own are copies of them.")
  private int units = LEAST_UNITS;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    if (Files.exists(file)) {
      throw new IOException(file + " exists already; name another.");
    }
    if (units < LEAST_UNITS || units > MOST_UNITS) {
      throw new ParameterException(
          spec.commandLine(),
          "--units takes " + LEAST_UNITS + " to " + MOST_UNITS + ", not " + units + ".");
    }
    DemoWorkbook.create(file, units);
    return 0;
  }
}

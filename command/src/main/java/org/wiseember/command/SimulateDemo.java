package org.wiseember.command;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.wiseember.trial.demo.DemoWorkbook;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Makes the demo workbook. */
@Command(
    name = "demo-workbook",
    description = "Makes the demo workbook in a new file.",
    mixinStandardHelpOptions = true)
final class SimulateDemo implements Callable<Integer> {
  @Parameters(paramLabel = "FILE", description = "A file that does not exist yet.")
  private Path file;

  @Override
  public Integer call() throws IOException {
    if (Files.exists(file)) {
      throw new IOException(file + " exists already; name another.");
    }
    DemoWorkbook.create(file);
    return 0;
  }
}

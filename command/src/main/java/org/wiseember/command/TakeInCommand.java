package org.wiseember.command;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import org.wiseember.trial.publish.UnitPackage;
import org.wiseember.workbook.Workbook;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Somebody else's unit, onto one's own shelf. */
@Command(
    name = "take-in",
    description = {
      "Takes a package of a unit into a workbook as somebody else's unit: it is compared and printed",
      "like any other, and nothing is ever added to it."
    },
    mixinStandardHelpOptions = true)
final class TakeInCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "WORKBOOK", description = "The workbook.")
  private Path workbookFile;

  @Parameters(index = "1", paramLabel = "PACKAGE", description = "The package.")
  private Path file;

  @Override
  public Integer call() throws IOException {
    Clock clock = Clock.systemUTC();
    try (Workbook workbook = WrittenWorkbook.open(workbookFile, clock)) {
      spec.commandLine().getOut().println(UnitPackage.takeIn(workbook, file, clock).words());
    }
    return 0;
  }
}

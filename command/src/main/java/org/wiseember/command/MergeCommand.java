package org.wiseember.command;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.Callable;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.pack.Merge;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Several workbooks on one shelf. */
@Command(
    name = "merge",
    description = {
      "Takes units, runs, instruments and days of other workbooks into one. Units of the same name",
      "and label are one; runs that are there already do not come twice. The others are only read."
    },
    mixinStandardHelpOptions = true)
final class MergeCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(index = "0", paramLabel = "WORKBOOK", description = "The one that is added to.")
  private Path workbookFile;

  @Parameters(index = "1..*", arity = "1..*", paramLabel = "OTHER", description = "The others.")
  private List<Path> others;

  @Override
  public Integer call() {
    Clock clock = Clock.systemUTC();
    try (Workbook workbook = WrittenWorkbook.open(workbookFile, clock)) {
      for (Path other : others) {
        try (Workbook from = Workbook.read(other, clock)) {
          spec.commandLine()
              .getOut()
              .println(other.getFileName() + ": " + Merge.of(workbook, from).words());
        }
      }
    }
    return 0;
  }
}

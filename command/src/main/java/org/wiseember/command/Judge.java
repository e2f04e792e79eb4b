package org.wiseember.command;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.label.Label;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.record.GivenRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.log.LogUnreadable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** A label held against runs that lie in files. */
@Command(
    name = "judge",
    description = {
      "Holds a label against logs, captures and run packages, and says of every claim how it stands.",
      "Nothing is written anywhere."
    },
    mixinStandardHelpOptions = true)
final class Judge implements Callable<Integer> {
  @Option(
      names = "--label",
      required = true,
      paramLabel = "LABEL.txt",
      description = "The label as printed, a line for each thing it says.")
  private Path label;

  @Option(
      names = "--run",
      paramLabel = "KIND=FILE[,KEY=VALUE...]",
      description = {
        "A run: its kind, its log, capture or package, and what is known of it:",
        "accuracy, source, load, distance, tester, from. A comma in a path is written \\,."
      })
  private List<String> runs = List.of();

  @Option(names = "--plain", description = "Without the guard band: a plain comparison.")
  private boolean plain;

  @Option(names = "--json", description = "One JSON object on standard output.")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException, LogUnreadable {
    List<RunArgument> given = new ArrayList<>();
    for (String run : runs) {
      given.add(RunArgument.read(run, this::refused));
    }
    Label read = LabelFile.read(label);
    List<Warning> warnings = new ArrayList<>();
    List<TestRun> found = found(read, given, warnings);
    Judgement judgement = Judgement.of(new TestedUnit(1, "", read), found, !plain);
    JudgedLines lines = new JudgedLines(judgement.lines(), warnings);
    spec.commandLine().getOut().print(json ? lines.json() : lines.text());
    return 0;
  }

  private ParameterException refused(String why) {
    return new ParameterException(spec.commandLine(), why);
  }

  private List<TestRun> found(Label label, List<RunArgument> given, List<Warning> warnings)
      throws IOException, LogUnreadable {
    RunFiles files = new RunFiles(label, this::refused);
    for (RunArgument run : given) {
      files.add(run);
    }
    warnings.addAll(files.warnings());
    List<RunRecord> records = new ArrayList<>();
    for (GivenRun run : files.runs()) {
      records.add(run.record(records.size() + 1L));
    }
    List<TestRun> found = Findings.of(label, records);
    for (TestRun run : found) {
      if (run.figures().isEmpty() && run.headline().isEmpty()) {
        throw new LogUnreadable(
            files.nameOf(run.type())
                + " yields no figure: "
                + run.allWarnings().stream()
                    .map(Warning::message)
                    .findFirst()
                    .orElse("nothing in it tells of this test."));
      }
      warnings.addAll(run.allWarnings());
    }
    return found;
  }
}

package org.wiseember.command.analyze;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import org.wiseember.command.Ember;
import org.wiseember.command.Results;
import org.wiseember.workbook.log.Log;
import org.wiseember.workbook.log.LogCsv;
import org.wiseember.workbook.log.LogUnreadable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** What every analysis of a log is given: the log, how good its meters are, how to answer. */
final class LogInput {
  @Spec(Spec.Target.MIXEE)
  private CommandSpec spec;

  @Parameters(paramLabel = "LOG.csv", description = "The log; see docs/formats.md.")
  private Path log;

  @Option(
      names = "--meter-accuracy",
      paramLabel = "PERCENT",
      description = "The meters' accuracy, ± % of reading. 2 is assumed without it.")
  private Double accuracy;

  @Option(names = "--json", description = "One JSON object on standard output.")
  private boolean json;

  /** The log, once the options make sense. */
  Log read() throws IOException, LogUnreadable {
    if (accuracy != null && !(accuracy >= 0 && accuracy <= 100)) {
      throw refused("--meter-accuracy takes a percentage from 0 to 100.");
    }
    return LogCsv.read(log);
  }

  /** Accuracy in % of reading; null where it was not given. */
  Double accuracy() {
    return accuracy;
  }

  /**
   * A positive figure of an option.
   *
   * @return NaN where it was not given
   */
  double positive(String option, Double value, String what) {
    if (value != null && !(value > 0 && value < 1e9)) {
      throw refused(option + " takes " + what + ", a number above 0.");
    }
    return value == null ? Double.NaN : value;
  }

  private ParameterException refused(String why) {
    return new ParameterException(spec.commandLine(), why);
  }

  /** Prints the answer as it was asked for. */
  int print(Results results) throws IOException {
    spec.commandLine().getOut().print(json ? results.json() : results.text());
    Optional<String> nothing = results.nothing();
    nothing.ifPresent(why -> spec.commandLine().getErr().println(log.getFileName() + ": " + why));
    return nothing.isPresent() ? Ember.UNREADABLE : 0;
  }
}

package org.wiseember.command;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.ChargeCurve;
import org.wiseember.core.runtime.FeedReport;
import org.wiseember.core.runtime.RunTimeCase;
import org.wiseember.core.runtime.RunTimeFigures;
import org.wiseember.core.runtime.feed.FeedFlow;
import org.wiseember.workbook.day.DayJson;
import org.wiseember.workbook.log.TextFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** How long a unit runs a day's appliances. */
@Command(
    name = "run-time",
    description = {
      "How long a unit runs the appliances of a day, what would overload it, and what a feed brings.",
      "DAY.json says what is on when; docs/formats.md and day.schema.json tell how it is written."
    },
    mixinStandardHelpOptions = true)
final class RunTimeCommand implements Callable<Integer> {
  @Parameters(paramLabel = "DAY.json", description = "The day.")
  private Path day;

  @Option(names = "--json", description = "One JSON object on standard output.")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    RunTimeCase asked = DayJson.read(TextFile.read(day, DayJson.LONGEST, "day")).asked();
    RunTimeFigures found = RunTimeFigures.of(asked);
    ChargeCurve course = found.course();
    Results results =
        new Results("run-time", RunTimeFigures.warnings(asked, course))
            .add("runs_out", Unit.HOUR, found.figure("runs_out"))
            .add("charge_at_end", Unit.PERCENT, found.figure("charge_at_end"))
            .add("delivered", Unit.WATT_HOUR, found.figure("delivered"))
            .add("first_overload", Unit.HOUR, found.figure("first_overload"))
            .add("worst_start", Unit.VOLT_AMPERE, found.figure("worst_start"))
            .add("label_runs_out", Unit.HOUR, found.figure("label_runs_out"));
    results.say(
        "first_overload_by", course.overload().map(ChargeCurve.Overload::by).orElse(null), "");
    course.feed().ifPresent(report -> feed(results, found, report));
    spec.commandLine().getOut().print(json ? results.json() : results.text());
    return 0;
  }

  private static void feed(Results results, RunTimeFigures found, FeedReport report) {
    FeedFlow flow = report.flow();
    results
        .add("into_unit", Unit.WATT, found.figure("into_unit"))
        .add("lasts", Unit.HOUR, found.figure("lasts"))
        .add("lasts_without", Unit.HOUR, found.figure("lasts_without"))
        .add("source_load", Unit.VOLT_AMPERE, found.figure("source_load"))
        .say("bound_by", flow.boundBy(), "")
        .say("bound_at", Optional.of(flow.boundAt()).filter(a -> !a.isEmpty()).orElse(null), "")
        .fact("source_stalls", report.stalls());
  }
}

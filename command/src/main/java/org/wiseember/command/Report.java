package org.wiseember.command;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.PagePdf;
import org.wiseember.report.page.UnitPage;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.test.TestType;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.Unit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.disk.WholeFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Prints the page of one unit. */
@Command(
    name = "report",
    description = "Prints the page of one unit, as HTML or PDF by the ending of --out.",
    mixinStandardHelpOptions = true)
final class Report implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "WORKBOOK", description = "The workbook.")
  private Path workbookFile;

  @Option(names = "--unit", paramLabel = "NAME", description = "The unit; the first without it.")
  private String unitName;

  @Option(
      names = "--out",
      required = true,
      paramLabel = "FILE",
      description = "Ends in .html or .pdf.")
  private Path out;

  @Option(
      names = "--tests",
      split = ",",
      paramLabel = "KEY",
      description =
          "Tests whose newest run gets a sheet, by their keys, such as overload,charge; or all."
              + " Waveform without it.")
  private List<String> tests;

  @Option(
      names = "--reader",
      paramLabel = "UNITS",
      description =
          "What figures are told in, some of c f, both mm2 awg, m ft, kg lb, 24h 12h with commas"
              + " between; °C, both sizes of a wire, m, kg and 24 h without it.")
  private String reader;

  @Override
  public Integer call() throws Exception {
    String name = String.valueOf(out.getFileName()).toLowerCase(Locale.ROOT);
    boolean pdf = name.endsWith(".pdf");
    if (!pdf && !name.endsWith(".html")) {
      throw new ParameterException(spec.commandLine(), "--out ends in .html or .pdf.");
    }
    ReaderUnits units = units();
    if (tests != null) {
      for (String test : tests) {
        if (!test.equals("all") && AllTests.byKey(test).isEmpty()) {
          throw new ParameterException(
              spec.commandLine(),
              "--tests takes all, or some of "
                  + String.join(", ", AllTests.list().stream().map(TestType::key).toList())
                  + ".");
        }
      }
    }
    try (Workbook workbook = Workbook.read(workbookFile, Clock.systemUTC())) {
      Unit unit = choose(workbook.units().all());
      Judgement judgement = Judgement.of(workbook, unit, true);
      List<Event> events =
          TrialPage.mainLine(judgement)
              .flatMap(Judged::runId)
              .map(id -> workbook.runs().events(id))
              .orElse(List.of());
      UnitPage page =
          TrialPage.of(
              judgement,
              workbook.title(),
              LocalDate.now(ZoneId.systemDefault()),
              events,
              TrialPage.newest(judgement, this::wanted));
      String html = new PageHtml(units).write(page);
      WholeFile.write(
          out,
          stream -> {
            if (pdf) {
              PagePdf.write(html, stream);
            } else {
              stream.write(html.getBytes(StandardCharsets.UTF_8));
            }
          });
    }
    return 0;
  }

  private ReaderUnits units() {
    try {
      return ReaderUnits.named(reader == null ? "" : reader);
    } catch (IllegalArgumentException e) {
      throw new ParameterException(spec.commandLine(), "--reader: " + e.getMessage(), e);
    }
  }

  /** The tests that get a sheet of their own: those named, else the waves where there are any. */
  private boolean wanted(TestRun run) {
    return tests == null
        ? run.type().key().equals(WaveSteps.KIND) && !run.figures().isEmpty()
        : tests.contains("all") || tests.contains(run.type().key());
  }

  private Unit choose(List<Unit> units) {
    Optional<Unit> chosen =
        unitName == null
            ? units.stream().findFirst()
            : units.stream().filter(u -> u.name().equalsIgnoreCase(unitName)).findFirst();
    return chosen.orElseThrow(
        () ->
            new WorkbookException(
                unitName == null
                    ? "The workbook has no units yet."
                    : "There is no unit “" + unitName + "” in the workbook. Check the name."));
  }
}

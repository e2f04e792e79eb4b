package org.wiseember.command;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.PagePdf;
import org.wiseember.report.page.Paper;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.onhand.LoadsOnHand;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.publish.ReportSheets;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.ReportChoice;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.disk.WholeFile;
import org.wiseember.workbook.log.Progress;
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
final class ReportCommand implements Callable<Integer> {
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
      names = "--sheets",
      split = ",",
      paramLabel = "KEY",
      description =
          "What is on it, in this order: verdict, tests by their keys, photos, run-time, line-up,"
              + " plan, method, cautions; or all.")
  private List<String> sheets;

  @Option(
      names = "--full",
      description = "Every run of a test with its sums, not only the newest in brief.")
  private boolean full;

  @Option(names = "--paper", paramLabel = "a4|letter", description = "A4 without it.")
  private String paper = "a4";

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
    ReportChoice choice = choice();
    try (Workbook workbook = Workbook.read(workbookFile, Clock.systemUTC())) {
      TestedUnit unit = UnitChoice.of(workbook, unitName);
      Judgement judgement = Judgement.of(workbook, unit, true);
      ReportSheets sheets =
          new ReportSheets(
              workbook,
              judgement,
              OnHand.of(LoadsOnHand.watts(workbook.loadsOnHand())),
              Instant.now(),
              ZoneId.systemDefault(),
              units);
      String html = new PageHtml(units).write(sheets.made(choice, Progress.NONE).orElseThrow());
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

  /** The verdicts and the newest waves, or what was asked for. */
  private ReportChoice choice() {
    List<String> keys = new ArrayList<>(ReportChoice.USUAL.sheets());
    if (tests != null) {
      List<String> all = AllTests.list().stream().map(TestType::key).toList();
      keys = new ArrayList<>(List.of(ReportSheets.VERDICT));
      keys.addAll(tests.contains("all") ? all : known("--tests", tests, all));
    }
    if (sheets != null) {
      List<String> all = List.copyOf(ReportSheets.all().keySet());
      keys = sheets.contains("all") ? all : known("--sheets", sheets, all);
    }
    if (Paper.byKey(paper).isEmpty()) {
      throw new ParameterException(spec.commandLine(), "--paper is a4 or letter.");
    }
    return new ReportChoice(full, paper, keys);
  }

  private List<String> known(String option, List<String> given, List<String> all) {
    for (String key : given) {
      if (!all.contains(key)) {
        throw new ParameterException(
            spec.commandLine(), option + " takes all, or some of " + String.join(", ", all) + ".");
      }
    }
    return given;
  }
}

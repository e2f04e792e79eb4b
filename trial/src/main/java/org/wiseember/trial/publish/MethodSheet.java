package org.wiseember.trial.publish;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Instruments;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.Workbook;

/** How it was found out: by which rules, with which meters, and by which version. */
final class MethodSheet {
  private MethodSheet() {}

  static Sheet of(Workbook workbook, Judgement judgement) {
    FindingPage page =
        new FindingPage(List.of(), List.of())
            .say(
                List.of(
                    judgement.guardBand()
                        ? "A claim is kept or short only where the figure lies clear of it by its"
                            + " whole uncertainty (JCGM 106, guard band of the width U); between"
                            + " it is too close to call."
                        : "Figures are compared with claims as they stand, without a guard band:"
                            + " what lies within its uncertainty may turn out otherwise.",
                    "Uncertainties are told at 95 % (JCGM 100). Each has the class of its meter,"
                        + " what the samples leave open, and what repeating the test would scatter."
                        + " A figure with ≥ or ≤ is a bound: the test ended there, not the unit.",
                    "Bounds, the tester's limits and what was not read keep and break nothing."));
    page = page.table(List.of("Run", "read by", "made"), runs(judgement));
    page = page.table(List.of("Read in", "with a class of"), classes(judgement));
    page = page.table(List.of("Instrument on the bench", "last checked"), instruments(workbook));
    List<String> said = new ArrayList<>();
    judgement
        .unit()
        .origin()
        .ifPresent(o -> said.add("This unit is " + o.words() + "; nothing of ours is in it."));
    for (TestRun run : judgement.aside()) {
      said.add(
          run.run().title()
              + " counts for nothing: "
              + run.unreadable().orElse(run.treatment().setAside()));
    }
    said.add(
        "Worked out by Wise Ember, version "
            + Findings.method()
            + " of its method. A package of this unit lets anybody work it out again.");
    return new Sheet("Method", "How these figures came about.", page.say(said));
  }

  private static List<List<String>> runs(Judgement judgement) {
    List<List<String>> rows = new ArrayList<>();
    for (TestRun run : judgement.runs()) {
      rows.add(
          List.of(
              run.run().title(),
              source(run.run().settings().source()),
              ReportSheets.day(run.run().startedAt())));
    }
    return rows;
  }

  private static String source(RunSettings.Source source) {
    return switch (source) {
      case SIMULATED -> "a simulated bench";
      case INSTRUMENTS -> "instruments";
      case BY_HAND -> "a person";
      case ENTERED -> "a person, entered later";
      case FILE -> "a log";
    };
  }

  private static List<List<String>> classes(Judgement judgement) {
    Map<Channel, List<String>> all = new EnumMap<>(Channel.class);
    for (TestRun run : judgement.runs()) {
      for (Map.Entry<Channel, MeterClass> e : run.run().settings().accuracy().entrySet()) {
        List<String> words = all.computeIfAbsent(e.getKey(), c -> new ArrayList<>());
        String one = "± " + e.getValue().words();
        if (!words.contains(one)) {
          words.add(one);
        }
      }
    }
    List<List<String>> rows = new ArrayList<>();
    all.forEach((channel, words) -> rows.add(List.of(channel.words(), String.join("; ", words))));
    return rows;
  }

  private static List<List<String>> instruments(Workbook workbook) {
    List<List<String>> rows = new ArrayList<>();
    for (Instruments.Kept kept : workbook.instruments().all()) {
      Optional<LocalDate> checked = workbook.instruments().checkedOn(kept.id());
      rows.add(
          List.of(
              PublishedJson.name(kept),
              checked.map(org.wiseember.trial.page.TrialPage::date).orElse("nobody said")));
    }
    return rows;
  }
}

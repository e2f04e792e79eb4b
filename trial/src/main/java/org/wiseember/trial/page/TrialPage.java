package org.wiseember.trial.page;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.page.Sheet;
import org.wiseember.report.page.UnitPage;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;

/** Puts a judgement into the words and pictures of a page. */
public final class TrialPage {
  private static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

  private TrialPage() {}

  /**
   * The page of a unit's verdicts.
   *
   * @param events of the run behind its main figure
   */
  public static UnitPage of(Judgement judgement, List<Event> events) {
    List<UnitPage.Row> rows = new ArrayList<>();
    List<String> untested = new ArrayList<>();
    for (Judged line : judgement.lines()) {
      Optional<Verdict> verdict = line.verdict();
      if (verdict.isEmpty()) {
        continue;
      }
      if (verdict.get().standing() == Standing.NOT_TESTED) {
        untested.add(inSentence(line.title()));
      } else {
        rows.add(new UnitPage.Row(line.title(), verdict.get(), measured(verdict.get())));
      }
    }
    Optional<Judged> main = mainLine(judgement);
    Optional<TestRun> behind = main.flatMap(Judged::runId).flatMap(judgement::run);
    return new UnitPage(
        judgement.unit().name(),
        summary(judgement),
        rows,
        untested,
        main.flatMap(Judged::figure).map(Explanation::of),
        behind.map(r -> RunTrace.of(r, events)),
        behind.map(r -> r.run().title()).orElse(""));
  }

  /** A date as it is printed. */
  public static String date(LocalDate made) {
    return DATE.format(made);
  }

  /** The sheet of a run, with all it found. */
  public static Sheet sheet(TestRun run, UnitFindings unit) {
    return new Sheet(
        run.run().title(),
        DATE.format(run.run().startedAt().atZone(ZoneOffset.UTC))
            + (run.run().ending().isEmpty() ? "" : ". " + run.run().ending()),
        run.whole(unit));
  }

  /** A title as it stands inside a sentence: "USB-C" stays, "Idle draw" becomes "idle draw". */
  private static String inSentence(String title) {
    boolean word = title.length() > 1 && Character.isLowerCase(title.charAt(1));
    return word ? title.substring(0, 1).toLowerCase(Locale.ROOT) + title.substring(1) : title;
  }

  /** The line a page explains: the capacity where it was judged, else the first judged one. */
  public static Optional<Judged> mainLine(Judgement judgement) {
    return judgement.lines().stream().filter(l -> l.figure().isPresent()).findFirst();
  }

  /** The measured figure as it stands in a table; a dash where there is none. */
  public static String measured(Verdict verdict) {
    return verdict.measured().map(Figure::words).orElse("–");
  }

  /** {@code 13 claims that can be judged: 2 kept, 1 short, 10 not tested yet.} */
  public static String summary(Judgement judgement) {
    long judged = judgement.lines().stream().filter(l -> l.verdict().isPresent()).count();
    if (judged == 0) {
      return "No claim on the label can be judged yet.";
    }
    List<String> parts = new ArrayList<>();
    for (Standing standing : Standing.values()) {
      long n = judgement.count(standing);
      if (n > 0) {
        parts.add(n + " " + standing.words().toLowerCase(Locale.ROOT));
      }
    }
    return judged
        + (judged == 1 ? " claim can" : " claims can")
        + " be judged: "
        + String.join(", ", parts)
        + ".";
  }
}

package org.wiseember.trial.publish;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Leaf;
import org.wiseember.report.page.Paper;
import org.wiseember.report.page.Report;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.lineup.LineUp;
import org.wiseember.trial.lineup.LineUpPage;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.page.RunTrace;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.trial.plan.ScheduleMaker;
import org.wiseember.trial.plan.SchedulePage;
import org.wiseember.trial.plan.ScheduleTimes;
import org.wiseember.trial.runtime.DayOutcome;
import org.wiseember.trial.runtime.DayPage;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.ReportChoice;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.log.Progress;
import org.wiseember.workbook.plan.CampaignNotes;

/** A report put together from the sheets somebody chose, in their order. */
public final class ReportSheets {
  /** The page of verdicts. */
  public static final String VERDICT = "verdict";

  /** A plan that is good within so long is printed, s. */
  private static final double SECONDS = 1.2;

  private static final Map<String, String> OTHERS = new LinkedHashMap<>();

  static {
    OTHERS.put("photos", "Photos");
    OTHERS.put("run-time", "Days on this unit");
    OTHERS.put("line-up", "Line-up");
    OTHERS.put("plan", "Plan");
    OTHERS.put("method", "Method");
    OTHERS.put("cautions", "Cautions");
  }

  private final Workbook workbook;
  private final Judgement judgement;
  private final OnHand onHand;
  private final Instant now;
  private final ZoneId zone;
  private final ReaderUnits units;

  /**
   * Of a unit.
   *
   * @param onHand what the plan counts on
   * @param now printed on it, in the zone
   * @param units of its reader
   */
  public ReportSheets(
      Workbook workbook,
      Judgement judgement,
      OnHand onHand,
      Instant now,
      ZoneId zone,
      ReaderUnits units) {
    this.workbook = workbook;
    this.judgement = judgement;
    this.onHand = onHand;
    this.now = now;
    this.zone = zone;
    this.units = units;
  }

  /** Every sheet there may be, by its key, in the usual order. */
  public static Map<String, String> all() {
    Map<String, String> all = new LinkedHashMap<>();
    all.put(VERDICT, "Verdict");
    AllTests.list().forEach(t -> all.put(t.key(), t.words()));
    all.putAll(OTHERS);
    return all;
  }

  /** Those a unit has something for; what takes long to find out counts as something. */
  public static List<String> of(Judgement judgement) {
    return all().keySet().stream()
        .filter(
            key ->
                AllTests.byKey(key)
                    .map(t -> judgement.runs().stream().anyMatch(r -> r.type().equals(t)))
                    .orElse(true))
        .toList();
  }

  /** A day as it stands on paper. */
  static String day(Instant at) {
    return TrialPage.date(LocalDate.ofInstant(at, ZoneOffset.UTC));
  }

  /**
   * Puts it together.
   *
   * @param progress hears of each sheet, and may end it
   * @return empty where it was ended
   */
  public Optional<Report> made(ReportChoice choice, Progress progress) {
    List<Leaf> leaves = new ArrayList<>();
    int done = 0;
    for (String key : choice.sheets()) {
      if (!progress.at((double) done++ / choice.sheets().size())) {
        return Optional.empty();
      }
      leaves(key, choice.full()).forEach(leaves::add);
    }
    return progress.at(1)
        ? Optional.of(of(judgement.unit().name(), choice.paper(), leaves))
        : Optional.empty();
  }

  /** What its maker should hear: what fell short or was noticed, and nothing else. */
  public Report forItsMaker(String paper) {
    return of(
        judgement.unit().name() + ", for its maker",
        paper,
        new MakerSheets(workbook, judgement).leaves());
  }

  private Report of(String heading, String paper, List<Leaf> leaves) {
    String title = workbook.title();
    return new Report(
        heading,
        title.isBlank() ? "Wise Ember" : title,
        TrialPage.date(LocalDate.ofInstant(now, zone)),
        judgement.runs().stream().anyMatch(r -> r.run().settings().simulated()),
        Paper.byKey(paper).orElse(Paper.A4),
        leaves);
  }

  private Stream<? extends Leaf> leaves(String key, boolean full) {
    Optional<TestType> test = AllTests.byKey(key);
    if (test.isPresent()) {
      return tests(test.get(), full);
    }
    return switch (key) {
      case VERDICT -> Stream.of(TrialPage.of(judgement, events()));
      case "photos" -> PhotoSheet.of(workbook, judgement.runs()).stream();
      case "run-time" -> days();
      case "line-up" -> Stream.of(LineUpPage.sheet(LineUp.of(workbook, OptionalDouble.empty())));
      case "plan" -> Stream.of(plan());
      case "method" -> Stream.of(MethodSheet.of(workbook, judgement));
      case "cautions" -> Stream.of(CautionSheet.of(judgement));
      default -> Stream.empty();
    };
  }

  private List<Event> events() {
    return TrialPage.mainLine(judgement)
        .flatMap(Judged::runId)
        .map(id -> workbook.runs().events(id))
        .orElse(List.of());
  }

  /** In brief the newest run with its first figures; in full every run with its sums. */
  private Stream<Sheet> tests(TestType test, boolean full) {
    List<TestRun> runs = judgement.runs().stream().filter(r -> r.type().equals(test)).toList();
    Function<TestRun, Sheet> sheet = this::sheet;
    return full
        ? runs.stream().map(sheet).map(ReportSheets::explained)
        : runs.stream()
            .reduce((a, b) -> b)
            .map(sheet)
            .map(s -> new Sheet(s.title(), s.under(), s.page().brief()))
            .stream();
  }

  /** The sheet of a run; where its page has no chart of its own, with the run over time. */
  private Sheet sheet(TestRun run) {
    Sheet sheet = TrialPage.sheet(run, judgement);
    if (!sheet.page().charts().isEmpty() || !RunTrace.shows(run)) {
      return sheet;
    }
    FindingPage page =
        new FindingPage(sheet.page().headlines(), List.of())
            .chart(RunTrace.of(run, workbook.runs().events(run.run().id())))
            .and(sheet.page());
    return new Sheet(sheet.title(), sheet.under(), page);
  }

  /** The same with how each of its first figures came about, and how sure it is. */
  private static Sheet explained(Sheet sheet) {
    FindingPage page = sheet.page();
    for (Explanation head : sheet.page().headlines()) {
      List<String> words = new ArrayList<>(head.because().workedOut());
      words.addAll(head.because().watchOut());
      List<List<String>> budget =
          head.because().budget().contributions().stream()
              .filter(c -> c.standard() != 0)
              .map(c -> List.of(c.name(), line(c, head)))
              .toList();
      if (!words.isEmpty() || !budget.isEmpty()) {
        page =
            page.say(List.of(head.title() + ": " + head.answer()))
                .say(words)
                .table(List.of("How sure", "± at 95 %"), budget);
      }
    }
    return new Sheet(sheet.title(), sheet.under(), page);
  }

  private static String line(Contribution c, Explanation head) {
    return Figures.withUnit(
        Figures.rounded(c.alone95(), head.because().budget().u95() / 10), head.unit());
  }

  private Stream<Sheet> days() {
    return workbook.days().all().days().stream()
        .map(StoredDay::day)
        .map(day -> DayPage.sheet(DayOutcome.of(day, List.of(judgement)), units));
  }

  private Sheet plan() {
    CampaignNotes notes = workbook.campaignNotes();
    List<Judgement> planned =
        notes.units().contains(judgement.unit().id())
            ? workbook.units().all().stream()
                .filter(u -> notes.units().contains(u.id()))
                .map(
                    u ->
                        u.id() == judgement.unit().id()
                            ? judgement
                            : Judgement.of(workbook, u, judgement.guardBand()))
                .toList()
            : List.of(judgement);
    return SchedulePage.sheet(
        ScheduleMaker.of(planned, onHand, Optional.empty(), notes, now, zone, SECONDS),
        new ScheduleTimes(now, zone, units));
  }
}

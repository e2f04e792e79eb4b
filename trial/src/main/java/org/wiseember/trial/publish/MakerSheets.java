package org.wiseember.trial.publish;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Leaf;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.page.RunTrace;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.UnitFacts;
import org.wiseember.workbook.Workbook;

/**
 * What a maker should hear of a unit: each claim that fell short and each run in which something
 * was noticed, with what was read and how to see it again. Nothing that was kept, too close to call
 * or beyond the rig is in it.
 */
final class MakerSheets {
  private static final int READINGS = 16;

  /** What goes as it should and is told by figures, or is of the rig. */
  private static final Set<String> ROUTINE =
      Set.of(
          "typed",
          "ticked",
          "photo",
          "step",
          "steady",
          "idle_state",
          "wave",
          "cut_off",
          "start_started",
          "gap",
          "trip",
          "held",
          "recovery",
          "heat_load",
          "heat_background",
          "load_paused");

  /** A display that says it is empty as the output drops out says nothing else, s. */
  private static final double AT_THE_END = 120;

  private final Workbook workbook;
  private final Judgement judgement;

  MakerSheets(Workbook workbook, Judgement judgement) {
    this.workbook = workbook;
    this.judgement = judgement;
  }

  List<Leaf> leaves() {
    List<Leaf> leaves = new ArrayList<>();
    List<Judged> shorts =
        judgement.lines().stream()
            .filter(l -> l.verdict().filter(v -> v.standing() == Standing.SHORT).isPresent())
            .toList();
    Set<Long> told = new LinkedHashSet<>();
    List<Leaf> sheets = new ArrayList<>();
    for (Judged line : shorts) {
      sheets.add(fellShort(line));
      line.runId().ifPresent(told::add);
    }
    Set<String> empty = emptySigns();
    for (TestRun run : judgement.runs()) {
      List<String> noticed =
          noticed(run).stream().filter(w -> empty.stream().noneMatch(w::endsWith)).toList();
      if (!noticed.isEmpty() && !told.contains(run.run().id())) {
        sheets.add(withRun("Noticed: " + run.run().title(), noticed, Optional.empty(), run));
      }
    }
    leaves.add(front(shorts, sheets));
    leaves.addAll(sheets);
    return leaves;
  }

  private Sheet front(List<Judged> shorts, List<Leaf> sheets) {
    UnitFacts facts = workbook.units().facts(judgement.unit().id());
    List<List<String>> rows = new ArrayList<>();
    for (Judged line : shorts) {
      rows.add(
          List.of(
              line.title(),
              line.claim().figureWords(),
              line.figure().map(Figure::words).orElse("–")));
    }
    List<String> said = new ArrayList<>();
    said.add(
        "Serial number "
            + or(facts.serial())
            + ", firmware "
            + or(facts.firmware())
            + ", "
            + (facts.obtained().isEmpty() ? "come by in a way nobody noted" : facts.obtained())
            + facts.obtainedOn().map(d -> " on " + d).orElse("")
            + ".");
    said.add(
        sheets.isEmpty()
            ? "Nothing fell short of the label, and nothing was noticed."
            : "Each sheet says what was read, how sure that is, and how to see it again. What was"
                + " kept, too close to call or beyond our meters is not in it.");
    return new Sheet(
        judgement.unit().name() + ", for its maker",
        shorts.isEmpty()
            ? "No claim fell short."
            : shorts.size() + (shorts.size() == 1 ? " claim fell short." : " claims fell short."),
        new FindingPage(List.of(), List.of())
            .table(List.of("Fell short", "label", "measured"), rows)
            .say(said));
  }

  private static String or(String words) {
    return words.isBlank() ? "not noted" : words;
  }

  private Sheet fellShort(Judged line) {
    Verdict verdict = line.verdict().orElseThrow();
    List<String> words = new ArrayList<>(List.of(verdict.reason()));
    Optional<TestRun> run = line.runId().flatMap(judgement::run);
    if (run.isEmpty()) {
      return new Sheet(
          line.title(),
          "Printed: " + line.claim().printedAs(),
          new FindingPage(List.of(), List.of()).say(words));
    }
    words.addAll(noticed(run.get()));
    run.get().allWarnings().stream().map(Warning::message).forEach(words::add);
    return withRun(
        line.title() + ": label " + line.claim().figureWords(), words, line.figure(), run.get());
  }

  private Sheet withRun(String title, List<String> words, Optional<Figure> figure, TestRun run) {
    FindingPage page =
        new FindingPage(figure.map(Explanation::of).stream().toList(), List.of()).say(words);
    if (figure.isPresent()) {
      page = page.say(figure.get().because().workedOut());
      page =
          page.table(
              List.of("How sure", "± at 95 %"),
              figure.get().budget().contributions().stream()
                  .filter(c -> c.standard() != 0)
                  .map(
                      c ->
                          List.of(
                              c.name(),
                              Figures.withUnit(
                                  Figures.rounded(c.alone95(), figure.get().u95() / 10),
                                  figure.get().unit())))
                  .toList());
    }
    List<Event> events = workbook.runs().events(run.run().id());
    if (RunTrace.shows(run)) {
      page = page.chart(RunTrace.of(run, events));
    }
    List<String> steps = new ArrayList<>(List.of("To see it again:"));
    int number = 0;
    for (DoNow step :
        run.type().kept(run.run().settings()).procedure().steps().stream().distinct().toList()) {
      steps.add(++number + ". " + step.text());
      if (!step.caution().isEmpty()) {
        steps.add("Take care. " + step.caution());
      }
    }
    page = readings(page.say(steps), run.trace());
    return new Sheet(
        title,
        run.run().title()
            + ", "
            + ReportSheets.day(run.run().startedAt())
            + ". "
            + run.run().ending(),
        page);
  }

  /** Of many readings some, evenly spread, the first and the last among them. */
  private static FindingPage readings(FindingPage page, Trace trace) {
    List<Channel> channels =
        trace.channels().stream()
            .filter(c -> trace.series(c).size() > 0)
            .sorted()
            .limit(5)
            .toList();
    if (trace.size() == 0 || channels.isEmpty()) {
      return page;
    }
    List<String> heads = new ArrayList<>(List.of("Readings, after"));
    channels.forEach(c -> heads.add(c.words()));
    List<List<String>> rows = new ArrayList<>();
    int many = Math.min(READINGS, trace.size());
    for (int i = 0; i < many; i++) {
      int at = many == 1 ? 0 : (int) Math.round((double) i * (trace.size() - 1) / (many - 1));
      List<String> row = new ArrayList<>(List.of(Figures.duration(trace.seconds(at))));
      for (Channel channel : channels) {
        double value = trace.value(channel, at);
        row.add(Double.isNaN(value) ? "not read" : Figures.plain(value, channel.unit()));
      }
      rows.add(row);
    }
    return page.table(heads, rows);
  }

  /** What somebody marked or wrote, what the unit showed, what the program spoke up about. */
  private List<String> noticed(TestRun run) {
    return workbook.runs().events(run.run().id()).stream()
        .filter(e -> !ROUTINE.contains(e.code()) && !e.words().isBlank())
        .map(e -> "After " + Figures.duration(e.seconds()) + ": " + e.words())
        .distinct()
        .toList();
  }

  /** What the unit shows when it is empty: the codes it showed as its output dropped out. */
  private Set<String> emptySigns() {
    Set<String> words = new HashSet<>();
    for (TestRun run : judgement.all()) {
      List<Event> events = workbook.runs().events(run.run().id());
      for (Event cut : events) {
        events.stream()
            .filter(e -> cut.code().equals("cut_off") && e.code().equals("error_code"))
            .filter(e -> Math.abs(e.seconds() - cut.seconds()) < AT_THE_END)
            .forEach(e -> words.add(e.words()));
      }
    }
    return words;
  }
}

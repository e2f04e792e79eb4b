package org.wiseember.trial;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.core.figure.Because;
import org.wiseember.core.charge.ChargeParts;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.report.chart.TraceFigure;
import org.wiseember.report.page.UnitPage;
import org.wiseember.workbook.Event;

/** Puts a judgement into the words and pictures of a page. */
public final class TrialPage {
  private static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

  private TrialPage() {}

  /**
   * The page about one unit.
   *
   * @param made the date printed on it
   */
  public static UnitPage of(
      Judgement judgement, String workbookTitle, LocalDate made, List<Event> events) {
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
    Optional<DrainRun> drain = main.flatMap(Judged::runId).flatMap(id -> drain(judgement, id));
    Optional<Because> because = main.flatMap(Judged::because);
    return new UnitPage(
        judgement.unit().name(),
        workbookTitle.isBlank() ? "Wise Ember" : workbookTitle,
        DATE.format(made),
        summary(judgement),
        rows,
        untested,
        because,
        drain.map(d -> figure(d, events)),
        drain.map(d -> d.run().title()).orElse(""),
        WavePage.of(judgement),
        drain.map(d -> d.run().settings().simulated()).orElse(false));
  }

  /** A title as it stands inside a sentence: "USB-C" stays, "Idle draw" becomes "idle draw". */
  private static String inSentence(String title) {
    boolean word = title.length() > 1 && Character.isLowerCase(title.charAt(1));
    return word ? title.substring(0, 1).toLowerCase(Locale.ROOT) + title.substring(1) : title;
  }

  /** The line a page explains: the capacity where it was judged, else the first judged one. */
  public static Optional<Judged> mainLine(Judgement judgement) {
    return judgement.lines().stream().filter(l -> l.because().isPresent()).findFirst();
  }

  /** The run with this number. */
  public static Optional<TestRun> run(Judgement judgement, long runId) {
    return judgement.runs().stream().filter(r -> r.run().id() == runId).findFirst();
  }

  /** The drain with this run. */
  public static Optional<DrainRun> drain(Judgement judgement, long runId) {
    return judgement.drains().stream().filter(d -> d.run().id() == runId).findFirst();
  }

  /** The measured figure as it stands in a table; a dash where there is none. */
  public static String measured(Verdict verdict) {
    return verdict
        .measured()
        .map(e -> Figures.withUncertainty(e.value(), e.u95(), verdict.claim().unit()))
        .orElse("–");
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

  /** A run as a chart: its power over time. */
  public static TraceFigure figure(TestRun run, List<Event> events) {
    Trace trace = run.trace();
    Series watts = watts(run);
    Series power = watts.size() > 1 ? watts : betweenTotals(trace);
    Series warmth = trace.series(Channel.CASE_TEMPERATURE);
    Series display = trace.series(Channel.DISPLAY_CHARGE);
    List<TraceFigure.Mark> marks =
        events.stream()
            .filter(e -> MARKS.contains(e.code()))
            .map(
                e ->
                    new TraceFigure.Mark(
                        e.seconds(), e.code().equals("steady") ? "steady" : shortened(e.words())))
            .toList();
    double cutoff = Double.NaN;
    double most = 10;
    if (run instanceof DrainRun drain) {
      cutoff = drain.finding().reachesCutoff() ? drain.finding().endTime() : Double.NaN;
      most = drain.finding().meanPower().map(Estimate::value).orElse(most);
    }
    return new TraceFigure(
        times(power),
        values(power),
        new TraceFigure.Line(times(warmth), values(warmth)),
        marks,
        cutoff,
        new TraceFigure.Line(times(display), values(display)),
        TraceFigure.Forecast.NONE,
        most,
        run instanceof ChargeRun ? "charge power" : onDcSide(run) ? "DC power" : "AC power");
  }

  private static final List<String> MARKS = List.of("mark", "steady", IdleWatch.STATE);

  private static boolean onDcSide(TestRun run) {
    return run instanceof IdleRun
        || run instanceof PortRun
        || run instanceof UsbRun
        || (run instanceof DrainRun drain && drain.direct());
  }

  /** The watts a run is about: at the outlet, or on the DC side. */
  public static Series watts(TestRun run) {
    Trace trace = run.trace();
    if (run instanceof ChargeRun) {
      return ChargeParts.of(trace).whole();
    }
    if (!onDcSide(run)) {
      return trace.series(Channel.AC_POWER);
    }
    Series dc = trace.series(Channel.DC_POWER);
    return dc.size() > 1 ? dc : trace.product(Channel.DC_VOLTAGE, Channel.DC_CURRENT);
  }

  /** Where only totals were noted: the mean power between each and the next, as steps. */
  private static Series betweenTotals(Trace trace) {
    Series total = trace.series(Channel.AC_ENERGY);
    double[] seconds = new double[Math.max(0, total.size() - 1) * 2];
    double[] watts = new double[seconds.length];
    for (int i = 1; i < total.size(); i++) {
      double hours = (total.seconds(i) - total.seconds(i - 1)) / 3600;
      double mean = hours > 0 ? Math.max(0, total.value(i) - total.value(i - 1)) / hours : 0;
      seconds[2 * i - 2] = total.seconds(i - 1);
      seconds[2 * i - 1] = total.seconds(i);
      watts[2 * i - 2] = mean;
      watts[2 * i - 1] = mean;
    }
    return Series.of(seconds, watts);
  }

  private static String shortened(String words) {
    return words.length() > 24 ? words.substring(0, 23) + "…" : words;
  }

  private static double[] times(Series series) {
    double[] t = new double[series.size()];
    for (int i = 0; i < t.length; i++) {
      t[i] = series.seconds(i);
    }
    return t;
  }

  private static double[] values(Series series) {
    double[] v = new double[series.size()];
    for (int i = 0; i < v.length; i++) {
      v[i] = series.value(i);
    }
    return v;
  }
}

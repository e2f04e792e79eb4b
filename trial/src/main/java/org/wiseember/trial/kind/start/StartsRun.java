package org.wiseember.trial.kind.start;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartPower;
import org.wiseember.core.start.StartSeries;
import org.wiseember.core.start.Surge;
import org.wiseember.core.start.Wilson;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.MotorsStarted;
import org.wiseember.workbook.StoredCapture;

/**
 * Starts of one motor and what they say.
 *
 * @param motor that was started; empty where nobody said
 * @param series of tries; empty where none was seen
 * @param captures of the tries a scope caught, with what they show where they show it
 */
public record StartsRun(
    StoredRun kept, Optional<Nameplate> motor, Optional<StartSeries> series, List<Caught> captures)
    implements MotorsStarted {
  /** A capture and what it shows. */
  public record Caught(StoredCapture kept, Optional<MotorStart> start) {}

  public StartsRun {
    captures = List.copyOf(captures);
  }

  /** The count, which a share with its interval keeps honest. */
  @Override
  public Optional<Explanation> headline() {
    return series.map(
        s -> new Explanation("Starts of " + s.motor(), s.started().count(), Unit.ONE, because(s)));
  }

  @Override
  public List<Figure> figures() {
    return series.stream()
        .flatMap(s -> Stream.of(Surge.held(s), Surge.failed(s)))
        .flatMap(Optional::stream)
        .toList();
  }

  private Because because(StartSeries s) {
    Wilson w = s.started();
    List<String> sum = new ArrayList<>(Surge.tries(s));
    sum.add(w.count() + " by Wilson's interval: " + w.percent());
    captures.stream()
        .flatMap(c -> c.start().stream())
        .filter(c -> !Double.isNaN(c.sourceOhms()))
        .findFirst()
        .ifPresent(
            c ->
                sum.add(
                    "The source gave way by "
                        + Figures.plain(Math.rint(1000 * c.sourceOhms()) / 1000)
                        + " Ω; from a stiff one it would take "
                        + Figures.fixed(c.stiffAmps(), 1)
                        + " A"));
    motor.ifPresent(
        m ->
            StartPower.of(m)
                .ways()
                .forEach(
                    way ->
                        sum.add(
                            "Plate: "
                                + way.words()
                                + " = "
                                + Figures.fixed(way.low(), 0)
                                + " to "
                                + Figures.fixed(way.high(), 0)
                                + " VA")));
    Because because =
        Because.of(Budget.of(), sum)
            .summed(w.percent() + " in the long run")
            .from(figures().toArray(Figure[]::new))
            .otherwise(
                "Some call a unit able after one start, some not able after one failure. The count"
                    + " and its interval keep both honest.");
    if (!s.watchOut().isEmpty()) {
      because = because.watching(s.watchOut());
    }
    because =
        because.watching(
            "A weak source limits its own inrush: a lower peak here is no gentler motor.");
    return motor
        .filter(m -> m.eased() != Nameplate.Eased.NOTHING)
        .map(m -> "With " + m.eased().words() + "; without it the answer differs.")
        .map(because::watching)
        .orElse(because);
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<List<String>> rows = new ArrayList<>();
    int n = 1;
    for (StartSeries.Try t : series.map(StartSeries::tries).orElse(List.of())) {
      rows.add(
          List.of(
              "Try " + n++,
              t.outcome().words(),
              figure(t.peakAmps(), 1, Unit.AMPERE),
              figure(t.voltAmperes(), 0, Unit.VOLT_AMPERE),
              figure(t.leastVolts(), 0, Unit.VOLT)));
    }
    FindingPage page =
        new FindingPage(
            Stream.concat(headline().stream(), figures().stream().map(Explanation::of)).toList(),
            List.of());
    for (Caught c : captures) {
      page =
          page.chart(
              "Look at",
              c.kept().words().replaceAll(":.*", ""),
              StartPicture.of(c.kept().capture()));
    }
    return page.table(
            List.of("Start", "How it went", "Peak", "Most, one cycle", "Volts down to"), rows)
        .say(words());
  }

  private List<String> words() {
    List<String> words = new ArrayList<>();
    series.ifPresent(
        s ->
            words.add(
                s.started().count()
                    + " started, "
                    + s.started().percent()
                    + " in the long run. "
                    + s.watchOut()));
    captures.stream()
        .flatMap(c -> c.start().stream())
        .findFirst()
        .ifPresent(s -> words.add(stiffness(s)));
    return words;
  }

  private static String stiffness(MotorStart s) {
    return Double.isNaN(s.sourceOhms())
        ? "The volts hardly moved: the source is stiff for this motor."
        : "The volts gave way by "
            + Figures.fixed(s.dipPercent(), 0)
            + " % for "
            + Figures.fixed(1000 * s.dipSeconds(), 0)
            + " ms. From a stiff source the motor would take "
            + Figures.fixed(s.stiffAmps(), 1)
            + " A, not "
            + Figures.fixed(s.mostRmsAmps(), 1)
            + " A.";
  }

  private static String figure(double value, int decimals, Unit unit) {
    return Double.isNaN(value) ? "–" : Figures.withUnit(Figures.fixed(value, decimals), unit);
  }

  @Override
  public List<Warning> warnings() {
    return series.isEmpty()
        ? List.of(new Warning("no_tries", "No try was seen; say how each went while it runs."))
        : series.get().watchOut().isEmpty()
            ? List.of()
            : List.of(new Warning("few_tries", series.get().watchOut()));
  }

  @Override
  public List<MotorStart> caught() {
    return captures.stream().flatMap(c -> c.start().stream()).toList();
  }
}

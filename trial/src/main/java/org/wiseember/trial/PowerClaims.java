package org.wiseember.trial;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.wiseember.core.figure.Because;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Subject;
import org.wiseember.core.overload.Endurance;
import org.wiseember.core.overload.Hold;
import org.wiseember.core.overload.OverloadFinding;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.start.StartSeries;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;

/** Claims about power, ports and noise held against the runs that test them. */
final class PowerClaims {
  /** A surge that names no time is a start: common practice, no published source. */
  private static final double SURGE_SECONDS = 1;

  /** A port was loaded to its claim within this share. */
  private static final double REACHED = 0.98;

  private final List<TestRun> runs;
  private final boolean guardBand;

  PowerClaims(List<TestRun> runs, boolean guardBand) {
    this.runs = runs;
    this.guardBand = guardBand;
  }

  private <T extends TestRun> Stream<T> of(Class<T> kind) {
    return runs.stream().filter(kind::isInstance).map(kind::cast);
  }

  private <T extends TestRun> Optional<T> newest(Class<T> kind) {
    return of(kind).reduce((first, second) -> second);
  }

  /** The judged line; empty where no run tests the claim. */
  Optional<Judged> judge(Claim claim) {
    return switch (claim.subject()) {
      case OVERLOAD -> overload(claim);
      case SURGE -> surge(claim);
      case SWITCH_OVER -> switchOver(claim);
      case DC_PORT_CURRENT -> portAmps(claim);
      case DC_PORT_POWER -> portWatts(claim);
      case DC_PORT_VOLTAGE -> portVolts(claim);
      case USB_C_POWER, USB_A_POWER -> usb(claim);
      case NOISE -> noise(claim);
      default -> Optional.empty();
    };
  }

  private List<OverloadFinding> findings() {
    return of(OverloadRun.class).map(OverloadRun::finding).toList();
  }

  private Judged line(String title, Claim claim, Verdict verdict, TestRun run, Because because) {
    return new Judged(
        title,
        claim,
        Optional.of(verdict),
        Optional.ofNullable(because),
        Optional.of(run.run().id()));
  }

  /** A promised overload is judged by the time it was borne. */
  private Optional<Judged> overload(Claim claim) {
    Optional<OverloadRun> run = newest(OverloadRun.class);
    if (run.isEmpty()) {
      return Optional.empty();
    }
    double watts = claim.figure();
    double promised = claim.condition(Condition.Kind.FOR_SECONDS).orElse(SURGE_SECONDS);
    Claim time = Claim.atLeast(Subject.OVERLOAD_TIME, promised, claim.printedAs());
    Endurance shown = Endurance.of(findings(), watts, promised);
    Verdict verdict = endurance(time, shown);
    return Optional.of(
        line(
            "Overload " + Figures.plain(watts, Unit.WATT),
            time,
            verdict,
            run.get(),
            because("Overload " + Figures.plain(watts, Unit.WATT), shown, run.get())));
  }

  private Verdict endurance(Claim time, Endurance shown) {
    return switch (shown.shown()) {
      case TIMED -> Verdict.judge(time, shown.seconds().orElseThrow(), guardBand);
      case HELD -> stated(time, shown.seconds().orElseThrow(), Standing.KEPT, shown.reason());
      case TRIPPED_SOONER ->
          stated(time, shown.seconds().orElseThrow(), Standing.SHORT, shown.reason());
      case HEAVIER_ONLY ->
          new Verdict(
              time,
              Optional.empty(),
              Standing.TOO_CLOSE,
              Optional.empty(),
              shown.reason(),
              guardBand);
      case NOT_REACHED -> Verdict.rigCannotShow(time, shown.reason());
      case NO_TRY -> Verdict.notTested(time);
    };
  }

  private Verdict stated(Claim claim, Estimate measured, Standing standing, String reason) {
    return Verdict.decided(claim, measured, standing, reason, guardBand);
  }

  private static Because because(String title, Endurance shown, OverloadRun run) {
    Because whole = run.finding().because().orElse(null);
    if (whole == null) {
      return null;
    }
    Stream<String> tries =
        run.finding().holds().stream()
            .map(
                h ->
                    Figures.fixed(h.watts(), 0)
                        + " W from "
                        + Figures.fixed(h.before(), 0)
                        + " W: "
                        + h.end().words()
                        + ", "
                        + Figures.duration(h.seconds()));
    return new Because(
        title,
        shown
            .seconds()
            .map(s -> Figures.withUncertainty(s.value(), s.u95(), Unit.SECOND))
            .orElse("–"),
        shown.reason(),
        Stream.concat(tries, whole.workedOut().stream().filter(s -> s.startsWith("t ="))).toList(),
        Unit.SECOND,
        shown
            .seconds()
            .map(
                s ->
                    Budget.of(
                        Contribution.rectangular("Readings, and scatter of the tries", s.u95())))
            .orElse(new Budget(List.of())),
        Stream.concat(whole.watchOut().stream(), run.recovery().stream()).toList(),
        whole.otherReading());
  }

  /** Shown by what a start took, or by a load held for the surge's time. */
  private Optional<Judged> surge(Claim claim) {
    Optional<StartsRun> strongest =
        of(StartsRun.class)
            .filter(r -> r.series().flatMap(s -> boxed(s.held())).isPresent())
            .max(Comparator.comparingDouble(r -> r.series().orElseThrow().held().orElse(0)));
    OptionalDouble failed =
        of(StartsRun.class)
            .flatMap(r -> r.series().flatMap(s -> boxed(s.failed())).stream())
            .mapToDouble(Double::doubleValue)
            .min();
    if (strongest.isEmpty() && failed.isEmpty()) {
      return byHolds(claim);
    }
    double seconds = claim.condition(Condition.Kind.FOR_SECONDS).orElse(SURGE_SECONDS);
    if (Endurance.of(findings(), claim.figure(), seconds).shown() == Endurance.Shown.HELD) {
      return byHolds(claim);
    }
    TestRun run = strongest.isPresent() ? strongest.get() : newest(StartsRun.class).orElseThrow();
    double most = strongest.map(r -> r.series().orElseThrow().held().orElse(0)).orElse(0.0);
    // A scope's probe and clamp; common practice, no published source.
    Estimate va = new Estimate(most, 0.03 * most);
    Because because = run.because().orElse(null);
    String title = "Surge, by a start";
    if (va.high() >= claim.figure()) {
      return Optional.of(line(title, claim, Verdict.judge(claim, va, guardBand), run, because));
    }
    if (failed.isPresent() && failed.getAsDouble() < claim.figure()) {
      Estimate gave = new Estimate(failed.getAsDouble(), 0.03 * failed.getAsDouble());
      return Optional.of(line(title, claim, Verdict.judge(claim, gave, guardBand), run, because));
    }
    return Optional.of(
        line(
            title,
            claim,
            Verdict.rigCannotShow(
                claim,
                "The motor took "
                    + Figures.fixed(most, 0)
                    + " VA at most and started; a heavier one is needed to reach the claim."),
            run,
            because));
  }

  private Optional<Judged> byHolds(Claim claim) {
    Optional<OverloadRun> run = newest(OverloadRun.class);
    if (run.isEmpty()) {
      return Optional.empty();
    }
    double seconds = claim.condition(Condition.Kind.FOR_SECONDS).orElse(SURGE_SECONDS);
    Endurance shown = Endurance.of(findings(), claim.figure(), seconds);
    Optional<Hold> held =
        findings().stream()
            .flatMap(f -> f.holds().stream())
            .filter(h -> h.seconds() >= seconds)
            .max(Comparator.comparingDouble(Hold::watts));
    Because because = because("Surge, by a load", shown, run.get());
    if (shown.shown() == Endurance.Shown.HELD && held.isPresent()) {
      double watts = held.get().watts();
      double u = findings().get(0).meter().halfWidth(watts);
      return Optional.of(
          line(
              "Surge, by a load",
              claim,
              stated(claim, new Estimate(watts, u), Standing.KEPT, shown.reason()),
              run.get(),
              because));
    }
    return Optional.of(
        line(
            "Surge, by a load",
            claim,
            Verdict.rigCannotShow(
                claim,
                shown.shown() == Endurance.Shown.NOT_REACHED
                    ? shown.reason()
                    : "A surge is shown by a motor's start or a load that heavy. "
                        + shown.reason()),
            run.get(),
            because));
  }

  private static Optional<Double> boxed(OptionalDouble d) {
    return d.isPresent() ? Optional.of(d.getAsDouble()) : Optional.empty();
  }

  /**
   * Continuous power by an overload run: a hold at the rating for ten minutes keeps it, a trip
   * there or below breaks it.
   */
  Optional<Judged> continuous(Claim claim) {
    Optional<OverloadRun> run = newest(OverloadRun.class);
    if (run.isEmpty()) {
      return Optional.empty();
    }
    Endurance shown = Endurance.of(findings(), claim.figure(), Judgement.HELD_SECONDS);
    Optional<Hold> best =
        findings().stream()
            .flatMap(f -> f.holds().stream())
            .filter(h -> !h.tripped() || h.seconds() >= Judgement.HELD_SECONDS)
            .filter(h -> h.seconds() >= Judgement.HELD_SECONDS - 2)
            .max(Comparator.comparingDouble(Hold::watts));
    Because because = because("Continuous power", shown, run.get());
    if (shown.shown() == Endurance.Shown.TRIPPED_SOONER
        || (shown.shown() == Endurance.Shown.TIMED
            && shown.seconds().orElseThrow().high() < Judgement.HELD_SECONDS)) {
      double watts =
          findings().stream()
              .flatMap(f -> f.trips().stream())
              .mapToDouble(Hold::watts)
              .min()
              .orElse(0);
      return Optional.of(
          line(
              "Continuous power",
              claim,
              stated(
                  claim,
                  new Estimate(Math.min(watts, claim.figure()), 0.01 * watts),
                  Standing.SHORT,
                  shown.reason()),
              run.get(),
              because));
    }
    if (best.isEmpty()) {
      return Optional.of(
          line(
              "Continuous power",
              claim,
              Verdict.rigCannotShow(claim, shown.reason()),
              run.get(),
              because));
    }
    double watts = best.get().watts();
    Estimate held = new Estimate(watts, findings().get(0).meter().halfWidth(watts));
    Verdict verdict =
        held.high() >= claim.figure()
            ? Verdict.judge(claim, held, guardBand)
            : Verdict.rigCannotShow(
                claim,
                "The load drew "
                    + Figures.fixed(watts, 0)
                    + " W and was held; a little more is needed to reach the claim.");
    return Optional.of(
        line(
            "Continuous, " + Figures.duration(Math.floor(best.get().seconds() / 60) * 60),
            claim,
            verdict,
            run.get(),
            because));
  }

  private Optional<Judged> switchOver(Claim claim) {
    return of(TransferRun.class)
        .filter(r -> r.longest().isPresent())
        .reduce((a, b) -> b)
        .map(
            r ->
                line(
                    "Switch-over, longest of " + r.gaps().size(),
                    claim,
                    Verdict.judge(claim, r.longest().orElseThrow(), guardBand),
                    r,
                    r.because().orElse(null)));
  }

  private Optional<Judged> portAmps(Claim claim) {
    return newest(PortRun.class)
        .filter(r -> r.finding().mostAmps().isPresent())
        .map(r -> reached("12 V port", claim, r, r.finding().mostAmps().orElseThrow()));
  }

  private Optional<Judged> portWatts(Claim claim) {
    return newest(PortRun.class)
        .filter(r -> r.finding().mostWatts().isPresent())
        .map(r -> reached("12 V port power", claim, r, r.finding().mostWatts().orElseThrow()));
  }

  /** A port that carried all it was asked for and was not asked for enough is no fail. */
  private Judged reached(String title, Claim claim, PortRun run, Estimate most) {
    boolean rig = run.finding().tripAmps().isEmpty() && most.value() < REACHED * claim.figure();
    Verdict verdict =
        rig
            ? Verdict.rigCannotShow(
                claim,
                "The load asked for "
                    + Figures.plain(most.value(), claim.unit())
                    + " at most, and the port gave it.")
            : Verdict.judge(claim, most, guardBand);
    return line(title, claim, verdict, run, run.because().orElse(null));
  }

  private Optional<Judged> portVolts(Claim claim) {
    return newest(PortRun.class)
        .filter(r -> !r.finding().points().isEmpty())
        .map(
            r -> {
              var points = r.finding().points();
              double volts = points.get(points.size() - 1).volts();
              double u = r.finding().openVolts().map(Estimate::u95).orElse(0.1);
              return line(
                  "12 V port volts under load",
                  claim,
                  Verdict.judge(claim, new Estimate(volts, u), guardBand),
                  r,
                  r.because().orElse(null));
            });
  }

  private Optional<Judged> usb(Claim claim) {
    Optional<UsbRun> run =
        of(UsbRun.class)
            .filter(r -> r.most().isPresent())
            .max(Comparator.comparingDouble(r -> r.most().orElseThrow().value()));
    if (run.isEmpty()) {
      return Optional.empty();
    }
    UsbRun r = run.get();
    Estimate most = r.most().orElseThrow();
    Verdict verdict =
        r.rigStops(claim.figure())
            ? Verdict.rigCannotShow(
                claim,
                "A "
                    + r.tester().words()
                    + " asks for "
                    + Figures.plain(r.tester().mostWatts(), Unit.WATT)
                    + " at most. Needed: "
                    + UsbTester.needed(claim.figure())
                    + ".")
            : Verdict.judge(claim, most, guardBand);
    return Optional.of(line(claim.subject().words(), claim, verdict, r, r.because().orElse(null)));
  }

  private Optional<Judged> noise(Claim claim) {
    return of(HeatRun.class)
        .filter(r -> !r.heard().isEmpty())
        .reduce((a, b) -> b)
        .map(
            r -> {
              double at = claim.condition(Condition.Kind.AT_DISTANCE).orElse(r.metres());
              return line(
                  "Noise at " + Figures.plain(at) + " m",
                  claim,
                  Verdict.judge(claim, r.loudest(at).orElseThrow(), guardBand),
                  r,
                  r.becauseOfNoise(at).orElse(null));
            });
  }

  /** What the starts of a unit show: the most it gave and the least at which it gave way. */
  static StartLimits limits(List<TestRun> runs) {
    List<StartSeries> series =
        runs.stream()
            .filter(StartsRun.class::isInstance)
            .flatMap(r -> ((StartsRun) r).series().stream())
            .toList();
    return new StartLimits(
        series.stream().flatMap(s -> boxed(s.held()).stream()).mapToDouble(d -> d).max(),
        series.stream().flatMap(s -> boxed(s.failed()).stream()).mapToDouble(d -> d).min());
  }
}

package org.wiseember.trial;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.core.figure.Because;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.RateModel;
import org.wiseember.core.efficiency.EfficiencyFinding;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.workbook.Unit;
import org.wiseember.workbook.Workbook;

/**
 * A unit's label held against its runs.
 *
 * @param unit the unit
 * @param lines one for every claim, in the order of the label
 * @param runs every run of the unit with what it says, oldest first
 * @param together what the runs say together
 */
public record Judgement(Unit unit, List<Judged> lines, List<TestRun> runs, Together together) {
  /** A rig reaches a claimed continuous power when it holds this share of it. */
  static final double REACHES = 0.97;

  /** Continuous power counts as held after this time, s; common practice, no published source. */
  static final double HELD_SECONDS = 600;

  /** A drain within this factor of the load a claim is judged at is a drain at that load. */
  private static final double AT_LOAD = 1.1;

  /**
   * Amp-hours at other volts than the pack's are other amp-hours; within this share they compare.
   */
  private static final double SAME_VOLTS = 0.2;

  public Judgement {
    lines = List.copyOf(lines);
    runs = List.copyOf(runs);
  }

  /** Every drain with its finding, oldest first. */
  public List<DrainRun> drains() {
    return runs.stream().filter(r -> r instanceof DrainRun).map(r -> (DrainRun) r).toList();
  }

  /** The newest ladder that gave an efficiency. */
  public Optional<LadderRun> ladder() {
    return runs.stream()
        .filter(r -> r instanceof LadderRun)
        .map(r -> (LadderRun) r)
        .filter(l -> !l.finding().points().isEmpty())
        .reduce((a, b) -> b);
  }

  /** The newest run at rest. */
  public Optional<IdleRun> idle() {
    return runs.stream()
        .filter(r -> r instanceof IdleRun)
        .map(r -> (IdleRun) r)
        .reduce((a, b) -> b);
  }

  /** What every start of the unit shows together. */
  public StartLimits startLimits() {
    return PowerClaims.limits(runs);
  }

  /** How the lines of a judgement stand. */
  public long count(Standing standing) {
    return lines.stream()
        .filter(l -> l.verdict().filter(v -> v.standing() == standing).isPresent())
        .count();
  }

  /** A unit nobody has tested. */
  public static Judgement untested(Unit unit) {
    return new Judgement(
        unit, List.of(), List.of(), new Together(Optional.empty(), Optional.empty(), List.of()));
  }

  /**
   * Judges a unit.
   *
   * @param guardBand whether a verdict keeps clear of the uncertainty
   */
  public static Judgement of(Workbook workbook, Unit unit, boolean guardBand) {
    List<TestRun> runs = new Findings(workbook, unit.label()).of(workbook.runs().of(unit.id()));
    Judgement bare = new Judgement(unit, List.of(), runs, Together.of(runs, unit.label()));
    List<Judged> lines =
        unit.label().claims().stream().map(claim -> bare.judge(claim, guardBand)).toList();
    return new Judgement(unit, lines, runs, bare.together);
  }

  private Judged judge(Claim claim, boolean guardBand) {
    if (claim.subject() == Subject.WAVEFORM) {
      return waves(claim, guardBand).orElseGet(() -> untested(claim));
    }
    if (claim.direction() == Direction.STATED) {
      return new Judged(
          claim.subject().words(), claim, Optional.empty(), Optional.empty(), Optional.empty());
    }
    return switch (claim.subject()) {
      case CAPACITY -> capacity(claim, guardBand);
      case CHARGE_CAPACITY -> charge(claim, guardBand);
      case EFFICIENCY -> efficiency(claim, guardBand);
      case IDLE -> atRest(claim, idle().flatMap(IdleRun::forLabel), "Idle draw", guardBand);
      case IDLE_CURRENT -> idleCurrent(claim, guardBand);
      case STANDBY ->
          atRest(claim, idle().flatMap(r -> r.in(IdleState.ALL_OFF)), "Standby draw", guardBand);
      case OUTPUT_VOLTAGE -> mean(claim, "Output volts", Channel.AC_VOLTAGE, guardBand);
      case OUTPUT_FREQUENCY -> mean(claim, "Frequency", Channel.FREQUENCY, guardBand);
      case MAINS_POWER, SOLAR_POWER, SOLAR_CURRENT, CAR_POWER, TOTAL_INPUT, CHARGE_TIME ->
          new ChargeClaims(runs, guardBand).judge(claim).orElseGet(() -> untested(claim));
      case DISTORTION -> waves(claim, guardBand).orElseGet(() -> untested(claim));
      case CONTINUOUS_POWER -> continuous(claim, guardBand);
      default -> new PowerClaims(runs, guardBand).judge(claim).orElseGet(() -> untested(claim));
    };
  }

  private static Judged untested(Claim claim) {
    return new Judged(
        claim.subject().words(),
        claim,
        Optional.of(Verdict.notTested(claim)),
        Optional.empty(),
        Optional.empty());
  }

  private static Judged judged(
      String title,
      Claim claim,
      Estimate measured,
      Optional<Because> because,
      long runId,
      boolean guardBand) {
    return new Judged(
        title,
        claim,
        Optional.of(Verdict.judge(claim, measured, guardBand)),
        because,
        Optional.of(runId));
  }

  /** The load a claim is judged at: the one it names, else half the rating; NaN for neither. */
  public static double wantedLoad(Claim claim, Label label) {
    return claim
        .condition(Condition.Kind.AT_LOAD)
        .orElse(label.ratedWatts().map(w -> w / 2).orElse(Double.NaN));
  }

  /** The complete AC drain nearest the load a claim is judged at, the newest of equals. */
  private Optional<DrainRun> drainFor(Claim claim) {
    double wanted = wantedLoad(claim, unit.label());
    return drains().stream()
        .filter(d -> d.complete() && !d.direct())
        .min(
            Comparator.<DrainRun>comparingLong(
                    d -> Double.isNaN(wanted) ? 0 : Math.round(20 * apart(d.meanWatts(), wanted)))
                .thenComparing(d -> d.run().id(), Comparator.reverseOrder()));
  }

  private static double apart(double watts, double wanted) {
    return Math.abs(Math.log(Math.max(1, watts) / Math.max(1, wanted)));
  }

  /**
   * At the load the label names or at half load: from a drain there, else read off between drains,
   * else from the nearest drain there is; from a DC drain where there is no other.
   */
  private Judged capacity(Claim claim, boolean guardBand) {
    Optional<DrainRun> near = drainFor(claim);
    double wanted = wantedLoad(claim, unit.label());
    boolean away =
        near.isPresent()
            && !Double.isNaN(wanted)
            && apart(near.get().meanWatts(), wanted) > Math.log(AT_LOAD);
    if (away && together.rate().isPresent()) {
      RateModel rate = together.rate().get();
      RateModel.ReadOff read = rate.at(wanted);
      if (!read.extrapolated()) {
        return judged(
            "AC energy at " + Figures.fixed(wanted, 0) + " W",
            claim,
            read.energy(),
            Optional.of(rate.because(wanted, unit.label().ratedWattHours().orElse(Double.NaN))),
            near.get().run().id(),
            guardBand);
      }
    }
    Optional<DrainRun> any =
        near.or(
            () -> drains().stream().filter(DrainRun::complete).reduce((first, second) -> second));
    if (any.isEmpty()) {
      return untested(claim);
    }
    DrainRun d = any.get();
    return judged(
        (d.direct() ? "DC" : "AC") + " energy at " + Figures.fixed(d.meanWatts(), 0) + " W",
        claim,
        d.finding().deliveredEnergy().orElseThrow(),
        d.finding().because(),
        d.run().id(),
        guardBand);
  }

  /** Amp-hours hold at the pack's own volts; those of a 12 V port are others. */
  private Judged charge(Claim claim, boolean guardBand) {
    Optional<Double> packVolts = unit.label().claim(Subject.NOMINAL_VOLTAGE).map(Claim::figure);
    for (DrainRun d : drains()) {
      CapacityFinding f = d.finding();
      if (!d.complete() || !d.direct() || f.deliveredCharge().isEmpty() || packVolts.isEmpty()) {
        continue;
      }
      double ah = f.deliveredCharge().get().value();
      double volts = f.deliveredEnergy().orElseThrow().value() / ah;
      if (Math.abs(volts / packVolts.get() - 1) <= SAME_VOLTS) {
        return judged(
            "Amp-hours at " + Figures.fixed(volts, 1) + " V",
            claim,
            f.deliveredCharge().get(),
            f.because(),
            d.run().id(),
            guardBand);
      }
    }
    return untested(claim);
  }

  private Judged efficiency(Claim claim, boolean guardBand) {
    Optional<LadderRun> ladder = ladder();
    if (ladder.isEmpty()) {
      return untested(claim);
    }
    EfficiencyFinding f = ladder.get().finding();
    Optional<Double> load = claim.condition(Condition.Kind.AT_LOAD).stream().boxed().findFirst();
    if (load.isPresent() && f.fit().isPresent()) {
      double watts = load.get();
      return judged(
          "Efficiency at " + Figures.fixed(watts, 0) + " W",
          claim,
          f.fit().get().estimate(c -> 100 * c.efficiency(watts)),
          f.because(),
          ladder.get().run().id(),
          guardBand);
    }
    Estimate best =
        f.peakEfficiency()
            .orElseGet(
                () ->
                    f.points().stream()
                        .map(p -> p.efficiency())
                        .max(Comparator.comparingDouble(Estimate::value))
                        .orElseThrow());
    return judged(
        f.peakEfficiency().isPresent() ? "Peak efficiency" : "Best efficiency measured",
        claim,
        best,
        f.because(),
        ladder.get().run().id(),
        guardBand);
  }

  private Judged atRest(
      Claim claim, Optional<IdleRun.InState> state, String title, boolean guardBand) {
    if (state.isEmpty()) {
      return untested(claim);
    }
    return judged(
        title + ", " + state.get().words(),
        claim,
        state.get().finding().power().orElseThrow(),
        state.get().finding().because(),
        idle().orElseThrow().run().id(),
        guardBand);
  }

  private Judged idleCurrent(Claim claim, boolean guardBand) {
    Optional<IdleRun.InState> state =
        idle().flatMap(IdleRun::forLabel).filter(s -> s.finding().current().isPresent());
    if (state.isEmpty()) {
      return untested(claim);
    }
    return judged(
        "Idle amps, " + state.get().words(),
        claim,
        state.get().finding().current().orElseThrow(),
        state.get().finding().because(),
        idle().orElseThrow().run().id(),
        guardBand);
  }

  /** By captured waves. */
  private Optional<Judged> waves(Claim claim, boolean guardBand) {
    return new WaveClaims(runs, guardBand).judge(claim, wantedLoad(claim, unit.label()));
  }

  private Judged mean(Claim claim, String what, Channel channel, boolean guardBand) {
    Optional<DrainRun> drain = drainFor(claim);
    Optional<SteadyMean> mean = drain.flatMap(d -> SteadyMean.of(d, channel));
    if (mean.isEmpty()) {
      return waves(claim, guardBand).orElseGet(() -> untested(claim));
    }
    return judged(
        what + " at " + Figures.fixed(drain.get().meanWatts(), 0) + " W",
        claim,
        mean.get().estimate(),
        Optional.of(mean.get().because(what + " under load")),
        drain.get().run().id(),
        guardBand);
  }

  /** Continuous power is shown by the heaviest drain, if it comes near the claim. */
  private Judged continuous(Claim claim, boolean guardBand) {
    Optional<DrainRun> heaviest =
        drains().stream()
            .filter(d -> !d.direct())
            .filter(d -> d.finding().duration().filter(t -> t.value() >= HELD_SECONDS).isPresent())
            .max(Comparator.comparingDouble(DrainRun::meanWatts));
    if (heaviest.isEmpty() || heaviest.get().meanWatts() < REACHES * claim.figure()) {
      return new PowerClaims(runs, guardBand).continuous(claim).orElseGet(() -> untested(claim));
    }
    DrainRun d = heaviest.get();
    Optional<SteadyMean> mean = SteadyMean.of(d, Channel.AC_POWER);
    if (mean.isEmpty()) {
      return untested(claim);
    }
    Estimate watts = mean.get().estimate();
    double held = d.finding().duration().orElseThrow().value();
    boolean reached = watts.high() >= claim.figure();
    Verdict verdict =
        reached
            ? Verdict.judge(claim, watts, guardBand)
            : Verdict.rigCannotShow(
                claim,
                "The load drew "
                    + Figures.fixed(watts.value(), 0)
                    + " W; a little more is needed to reach the claim.");
    return new Judged(
        "Continuous, " + Figures.duration(Math.floor(held / 60) * 60),
        claim,
        Optional.of(verdict),
        Optional.of(mean.get().because("Power held")),
        Optional.of(d.run().id()));
  }
}

package org.wiseember.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.wiseember.bench.procedure.AcDrain;
import org.wiseember.core.because.Because;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.Unit;
import org.wiseember.workbook.Workbook;

/**
 * A unit's label held against its runs.
 *
 * @param unit the unit
 * @param lines one for every claim, in the order of the label
 * @param drains every drain of the unit with its finding, oldest first
 */
public record Judgement(Unit unit, List<Judged> lines, List<Drain> drains) {
  /** A rig reaches a claimed continuous power when it holds this share of it. */
  static final double REACHES = 0.97;

  /** Continuous power counts as held after this time, s; common practice, no published source. */
  static final double HELD_SECONDS = 600;

  /** A display read up to here after the load went on was read at the start, s. */
  private static final double AT_THE_START = 60;

  public Judgement {
    lines = List.copyOf(lines);
    drains = List.copyOf(drains);
  }

  /**
   * A drain and what it says.
   *
   * @param trace its raw readings
   */
  public record Drain(Run run, Trace trace, CapacityFinding finding) {
    /**
     * Whether it went from full to the cut-off, so that the figure is the unit's and not the
     * tester's.
     */
    public boolean complete() {
      return startedFull() && run.state() == Run.State.DONE && finding.reachesCutoff();
    }

    /** A display that was read at the start has to say full; one read later says nothing of it. */
    private boolean startedFull() {
      Series display = trace.series(Channel.DISPLAY_CHARGE);
      return display.size() == 0
          || !(display.seconds(0) <= finding.startTime() + AT_THE_START)
          || display.value(0) >= AcDrain.FULL_DISPLAY;
    }
  }

  /** How the lines of a judgement stand. */
  public long count(Standing standing) {
    return lines.stream()
        .filter(l -> l.verdict().filter(v -> v.standing() == standing).isPresent())
        .count();
  }

  /**
   * Judges a unit.
   *
   * @param guardBand whether a verdict keeps clear of the uncertainty
   */
  public static Judgement of(Workbook workbook, Unit unit, boolean guardBand) {
    List<Drain> drains = new ArrayList<>();
    for (Run run : workbook.runs().of(unit.id())) {
      if (run.kind().equals(AcDrain.KIND)) {
        Trace trace = corrected(workbook, run);
        double rated = unit.label().ratedWattHours().orElse(Double.NaN);
        CapacityMethod method =
            run.settings()
                .meterClass(Channel.AC_POWER)
                .or(() -> run.settings().meterClass(Channel.AC_ENERGY))
                .map(meter -> CapacityMethod.measuredWith(rated, meter))
                .orElseGet(() -> CapacityMethod.assumed(rated));
        drains.add(new Drain(run, trace, UsableCapacity.of(trace, method)));
      }
    }
    List<Judged> lines = new ArrayList<>();
    for (Claim claim : unit.label().claims()) {
      lines.add(judge(claim, unit.label(), drains, guardBand));
    }
    return new Judgement(unit, lines, drains);
  }

  /** The readings of a run, typed ones where nothing else read, put through its corrections. */
  static Trace corrected(Workbook workbook, Run run) {
    Trace raw =
        run.settings().source() == RunSettings.Source.BY_HAND
            ? workbook.typedReadings().trace(run.id())
            : workbook.runs().trace(run);
    if (run.settings().corrections().isEmpty()) {
      return raw;
    }
    Map<Channel, DoubleUnaryOperator> functions = new EnumMap<>(Channel.class);
    run.settings().corrections().forEach((channel, c) -> functions.put(channel, c::apply));
    return raw.mapped(functions);
  }

  private static Judged judge(Claim claim, Label label, List<Drain> drains, boolean guardBand) {
    if (claim.direction() == Direction.STATED) {
      return new Judged(
          claim.subject().words(), claim, Optional.empty(), Optional.empty(), Optional.empty());
    }
    Optional<Drain> drain = drainFor(claim, label, drains);
    return switch (claim.subject()) {
      case CAPACITY -> capacity(claim, drain, guardBand);
      case OUTPUT_VOLTAGE ->
          drain
              .map(d -> mean(claim, "Output volts", d, Channel.AC_VOLTAGE, guardBand))
              .orElseGet(() -> untested(claim));
      case OUTPUT_FREQUENCY ->
          drain
              .map(d -> mean(claim, "Frequency", d, Channel.FREQUENCY, guardBand))
              .orElseGet(() -> untested(claim));
      case CONTINUOUS_POWER -> continuous(claim, drains, guardBand);
      default -> untested(claim);
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

  /** The complete drain nearest the load a claim is judged at, the newest of equals. */
  private static Optional<Drain> drainFor(Claim claim, Label label, List<Drain> drains) {
    double wanted =
        claim
            .condition(Condition.Kind.AT_LOAD)
            .orElse(label.ratedWatts().map(w -> w / 2).orElse(Double.NaN));
    return drains.stream()
        .filter(Drain::complete)
        .min(
            Comparator.<Drain>comparingLong(
                    d ->
                        Double.isNaN(wanted)
                            ? 0
                            : Math.round(
                                20
                                    * Math.abs(
                                        Math.log(Math.max(1, meanWatts(d)) / Math.max(1, wanted)))))
                .thenComparing(d -> d.run().id(), Comparator.reverseOrder()));
  }

  private static double meanWatts(Drain drain) {
    return drain.finding().meanPower().map(Estimate::value).orElse(0.0);
  }

  private static Judged capacity(Claim claim, Optional<Drain> drain, boolean guardBand) {
    if (drain.isEmpty()) {
      return untested(claim);
    }
    Drain d = drain.get();
    Estimate energy = d.finding().deliveredEnergy().orElseThrow();
    return new Judged(
        "AC energy at " + Figures.fixed(meanWatts(d), 0) + " W",
        claim,
        Optional.of(Verdict.judge(claim, energy, guardBand)),
        d.finding().because(),
        Optional.of(d.run().id()));
  }

  private static Judged mean(
      Claim claim, String what, Drain drain, Channel channel, boolean guardBand) {
    Optional<SteadyMean> mean = SteadyMean.of(drain, channel);
    if (mean.isEmpty()) {
      return untested(claim);
    }
    Because because = mean.get().because(what + " under load");
    return new Judged(
        what + " at " + Figures.fixed(meanWatts(drain), 0) + " W",
        claim,
        Optional.of(Verdict.judge(claim, mean.get().estimate(), guardBand)),
        Optional.of(because),
        Optional.of(drain.run().id()));
  }

  /** Continuous power is shown by the heaviest drain, if it comes near the claim. */
  private static Judged continuous(Claim claim, List<Drain> drains, boolean guardBand) {
    Optional<Drain> heaviest =
        drains.stream()
            .filter(d -> d.finding().duration().filter(t -> t.value() >= HELD_SECONDS).isPresent())
            .max(Comparator.comparingDouble(Judgement::meanWatts));
    if (heaviest.isEmpty() || meanWatts(heaviest.get()) < REACHES * claim.figure()) {
      return untested(claim);
    }
    Drain d = heaviest.get();
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

package org.wiseember.trial.kind.drain;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.wiseember.core.capacity.CapacityFinding;
import org.wiseember.core.capacity.OutletLoad;
import org.wiseember.core.capacity.RateModel;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Subject;
import org.wiseember.core.overload.ContinuousPower;
import org.wiseember.core.quantity.Figures;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.LikeRuns;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.EnergyByLoad;
import org.wiseember.workbook.Run;

/** Claims that drains answer. */
final class DrainClaims {
  /** A drain shows a claimed continuous power when it holds this share of it. */
  private static final double REACHES = 0.97;

  /** A drain within this factor of the load a claim is judged at is a drain at that load. */
  private static final double AT_LOAD = 1.1;

  /**
   * Amp-hours at other volts than the pack's are other amp-hours; within this share they compare.
   */
  private static final double SAME_VOLTS = 0.2;

  private static final Set<Subject> APPARENT =
      Set.of(Subject.APPARENT_POWER, Subject.OUTPUT_CURRENT);

  private static final Set<Subject> STEADY =
      Set.of(Subject.OUTPUT_VOLTAGE, Subject.OUTPUT_FREQUENCY);

  private final UnitFindings unit;
  private final List<DrainRun> drains;

  DrainClaims(UnitFindings unit) {
    this.unit = unit;
    this.drains = unit.of(DrainRun.class).toList();
  }

  Optional<ClaimAnswer> answer(Claim claim) {
    if (claim.subject() == Subject.CAPACITY) {
      return capacity(claim);
    }
    if (claim.subject() == Subject.CHARGE_CAPACITY) {
      return charge(claim);
    }
    if (claim.subject() == Subject.CONTINUOUS_POWER) {
      return continuous(claim);
    }
    if (APPARENT.contains(claim.subject())) {
      return apparent(claim);
    }
    return STEADY.contains(claim.subject()) ? steady(claim) : Optional.empty();
  }

  /** The complete AC drain nearest the load a claim is judged at, the newest of equals. */
  private Optional<DrainRun> near(Claim claim) {
    double wanted = FromLabel.judgedAt(claim, unit.label());
    return drains.stream()
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
   * At the load the label names or at half load: from the drains there, else read off between
   * drains, else from the nearest drains there are; from DC drains where there is no other.
   */
  private Optional<ClaimAnswer> capacity(Claim claim) {
    Optional<DrainRun> near = near(claim);
    double wanted = FromLabel.judgedAt(claim, unit.label());
    boolean away =
        near.isPresent()
            && !Double.isNaN(wanted)
            && apart(near.get().meanWatts(), wanted) > Math.log(AT_LOAD);
    Optional<RateModel> rate = away ? EnergyByLoad.of(unit) : Optional.empty();
    if (rate.isPresent() && !rate.get().at(wanted).extrapolated()) {
      Figure read = EnergyByLoad.at(rate.get(), wanted, unit);
      return Optional.of(
          ClaimAnswer.of(
              "AC energy at " + Figures.fixed(wanted, 0) + " W", claim, near.orElseThrow(), read));
    }
    return near.or(() -> drains.stream().filter(DrainRun::complete).reduce((a, b) -> b))
        .flatMap(d -> together(d, r -> r.finding().deliveredEnergy()))
        .or(this::partial)
        .map(l -> ClaimAnswer.of(energyOf(l.run()), claim, l.run(), l.figure()))
        .or(() -> atMost(claim));
  }

  private static String energyOf(DrainRun d) {
    return (d.direct() ? "DC" : "AC")
        + " energy"
        + (d.meanWatts() > 0 ? " at " + Figures.fixed(d.meanWatts(), 0) + " W" : "");
  }

  /** A drain whose total was read at its end alone gave no more than stood there. */
  private Optional<ClaimAnswer> atMost(Claim claim) {
    return drains.stream()
        .filter(
            d -> d.finding().deliveredEnergy().filter(e -> e.bound() == Bound.AT_MOST).isPresent())
        .reduce((a, b) -> b)
        .map(
            d -> {
              Figure energy = d.finding().deliveredEnergy().orElseThrow();
              return d.fromFullToCutoff()
                  ? ClaimAnswer.of(energyOf(d), claim, d, energy)
                  : ClaimAnswer.rigCannotShow(
                      energyOf(d),
                      claim,
                      d,
                      energy,
                      "One total alone was read, and nobody said that the unit began full and its"
                          + " output dropped out: it gave no more than that, and may hold more.");
            });
  }

  /** What a drain gave that did not begin full, or was not seen to end, is the least it holds. */
  private Optional<LikeRuns<DrainRun>> partial() {
    return drains.stream()
        .filter(
            d -> d.finding().deliveredEnergy().filter(e -> e.bound() != Bound.AT_MOST).isPresent())
        // One that was cut short may yet go on.
        .filter(d -> d.run().state() == Run.State.DONE || d.run().state() == Run.State.STOPPED)
        .max(Comparator.comparingDouble(d -> d.finding().deliveredEnergy().orElseThrow().value()))
        .map(
            d ->
                new LikeRuns<>(
                    d.finding().deliveredEnergy().orElseThrow().bounded(Bound.AT_LEAST), d));
  }

  /** A complete drain with its repeats: on the same side, under like loads. */
  private Optional<LikeRuns<DrainRun>> together(
      DrainRun drain, Function<DrainRun, Optional<Figure>> figure) {
    return LikeRuns.of(
        drain,
        drains.stream().filter(d -> d.complete() && d.direct() == drain.direct()).toList(),
        DrainRun::meanWatts,
        figure,
        Repeats.WHOLE_TEST);
  }

  /** Amp-hours hold at the pack's own volts; those of a 12 V port are others. */
  private Optional<ClaimAnswer> charge(Claim claim) {
    Optional<Double> packVolts = unit.label().claim(Subject.NOMINAL_VOLTAGE).map(Claim::figure);
    if (packVolts.isEmpty()) {
      return Optional.empty();
    }
    return drains.stream()
        .filter(d -> d.complete() && d.direct())
        .filter(d -> Math.abs(volts(d) / packVolts.get() - 1) <= SAME_VOLTS)
        .reduce((a, b) -> b)
        .flatMap(d -> together(d, r -> r.finding().deliveredCharge()))
        .map(
            l ->
                ClaimAnswer.of(
                    "Amp-hours at " + Figures.fixed(volts(l.run()), 1) + " V",
                    claim,
                    l.run(),
                    l.figure()));
  }

  /** Mean volts of a DC drain; NaN where its amps were not read. */
  private static double volts(DrainRun d) {
    CapacityFinding f = d.finding();
    return f.deliveredEnergy().map(Figure::value).orElse(Double.NaN)
        / f.deliveredCharge().map(Figure::value).orElse(Double.NaN);
  }

  /** Continuous power is shown by the heaviest drain, if it comes near the claim: the least. */
  private Optional<ClaimAnswer> continuous(Claim claim) {
    Optional<DrainRun> heaviest = heaviest();
    if (heaviest.isEmpty() || heaviest.get().meanWatts() < REACHES * claim.figure()) {
      return Optional.empty();
    }
    return heaviest.flatMap(
        d -> d.held().map(watts -> held(claim, d, "Continuous", watts.bounded(Bound.AT_LEAST))));
  }

  private static ClaimAnswer held(Claim claim, DrainRun d, String what, Figure figure) {
    double seconds = d.finding().duration().orElseThrow().value();
    return ClaimAnswer.of(
        what + ", " + Figures.duration(Math.floor(seconds / 60) * 60), claim, d, figure);
  }

  private Optional<DrainRun> heaviest() {
    return drains.stream()
        .filter(d -> !d.direct())
        .filter(
            d ->
                d.finding()
                    .duration()
                    .filter(t -> t.value() >= ContinuousPower.SECONDS)
                    .isPresent())
        .max(Comparator.comparingDouble(DrainRun::meanWatts));
  }

  /** Watts held are so many volt-amperes at least, and so many amps at the volts there were. */
  private Optional<ClaimAnswer> apparent(Claim claim) {
    boolean amps = claim.subject() == Subject.OUTPUT_CURRENT;
    return heaviest()
        .flatMap(
            d ->
                d.held()
                    .flatMap(
                        w ->
                            amps
                                ? d.volts().map(v -> OutletLoad.amps(w, v.mean()))
                                : Optional.of(OutletLoad.voltAmperes(w)))
                    .map(f -> held(claim, d, amps ? "AC amps" : "Continuous VA", f)));
  }

  /** A band holds at every moment: the half minute that lies worst in it is what counts. */
  private Optional<ClaimAnswer> steady(Claim claim) {
    boolean volts = claim.subject() == Subject.OUTPUT_VOLTAGE;
    return drains.stream()
        .filter(d -> !d.direct() && (volts ? d.volts() : d.hertz()).isPresent())
        .min(Comparator.comparingDouble(d -> margin(claim, worst(claim, d, volts))))
        .map(
            d ->
                ClaimAnswer.of(
                    (volts ? "Output volts" : "Frequency")
                        + " at "
                        + Figures.fixed(d.meanWatts(), 0)
                        + " W",
                    claim,
                    d,
                    worst(claim, d, volts)));
  }

  private static Figure worst(Claim claim, DrainRun d, boolean volts) {
    return (volts ? d.volts() : d.hertz()).orElseThrow().worstIn(claim);
  }

  private static double margin(Claim claim, Figure figure) {
    return Math.min(
        Double.isNaN(claim.low()) ? Double.POSITIVE_INFINITY : figure.value() - claim.low(),
        Double.isNaN(claim.high()) ? Double.POSITIVE_INFINITY : claim.high() - figure.value());
  }
}

package org.wiseember.trial;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Verdict;

/** Claims about charging, each held against the newest charge that can tell it. */
final class ChargeClaims {
  private static final double SECONDS_AN_HOUR = 3600;

  private final List<ChargeRun> runs;
  private final boolean guardBand;

  ChargeClaims(List<TestRun> runs, boolean guardBand) {
    this.runs =
        runs.stream()
            .filter(ChargeRun.class::isInstance)
            .map(ChargeRun.class::cast)
            .filter(r -> r.finding().energyIn().isPresent())
            .toList();
    this.guardBand = guardBand;
  }

  private Optional<ChargeRun> newest(Predicate<ChargeRun> which) {
    return runs.stream().filter(which).reduce((first, second) -> second);
  }

  private static Predicate<ChargeRun> only(Set<ChargeSource> sources) {
    return r -> sources.containsAll(r.setting().sources()) && r.setting().sources().size() == 1;
  }

  /** The judged line; empty where no charge tells it. */
  Optional<Judged> judge(Claim claim) {
    return switch (claim.subject()) {
      case MAINS_POWER ->
          newest(only(EnumSet.of(ChargeSource.WALL)))
              .flatMap(r -> peak("Mains charging, peak", claim, r, Optional.empty()));
      case SOLAR_POWER -> direct("Solar port, peak", claim);
      case SOLAR_CURRENT -> amps(claim);
      case CAR_POWER ->
          newest(only(EnumSet.of(ChargeSource.CAR)))
              .flatMap(r -> peak("Car charging, peak", claim, r, Optional.of(Inlet.DC)));
      case TOTAL_INPUT ->
          newest(r -> r.setting().sources().size() > 1)
              .flatMap(r -> peak("All inputs together, peak", claim, r, Optional.empty()));
      case CHARGE_TIME -> time(claim);
      default -> Optional.empty();
    };
  }

  /** By the charge through the DC input that took the most. */
  private Optional<Judged> direct(String title, Claim claim) {
    return runs.stream()
        .filter(only(EnumSet.of(ChargeSource.SOLAR, ChargeSource.BATTERY)))
        .max(
            (a, b) ->
                Double.compare(
                    a.finding().peakPower().orElseThrow().value(),
                    b.finding().peakPower().orElseThrow().value()))
        .flatMap(r -> peak(title, claim, r, Optional.of(Inlet.DC)));
  }

  /** The most amps, where amps were what bound; a source that gave less tells nothing. */
  private Optional<Judged> amps(Claim claim) {
    return newest(r -> r.setting().sources().size() == 1 && r.mostAmps().isPresent())
        .map(
            r -> {
              Estimate most = r.mostAmps().orElseThrow();
              Verdict verdict =
                  most.high() >= claim.figure() || r.ampsBound()
                      ? Verdict.judge(claim, most, guardBand)
                      : Verdict.rigCannotShow(
                          claim,
                          "No source gave more than "
                              + Figures.fixed(most.value(), 1)
                              + " A; one that can is needed to reach the claim.");
              return line("DC input, most amps", claim, r, verdict);
            });
  }

  private Optional<Judged> peak(
      String title, Claim claim, ChargeRun run, Optional<Inlet> boundBySource) {
    return run.finding()
        .peakPower()
        .map(
            p -> {
              boolean rig =
                  boundBySource.filter(run::rigBound).isPresent() && p.high() < claim.figure();
              Verdict verdict =
                  rig
                      ? Verdict.rigCannotShow(
                          claim,
                          "The source gave no more than "
                              + Figures.plain(Math.rint(p.value()), Unit.WATT)
                              + "; the port was never at its limit.")
                      : Verdict.judge(claim, p, guardBand);
              return line(title, claim, run, verdict);
            });
  }

  /** To the share the label names; 80 % and full are told. From the wall, as labels mean it. */
  private Optional<Judged> time(Claim claim) {
    double to = claim.condition(Condition.Kind.TO_PERCENT).orElse(100);
    if (to != 80 && to != 100) {
      return Optional.empty();
    }
    return newest(only(EnumSet.of(ChargeSource.WALL)))
        .flatMap(
            r ->
                (to == 80 ? r.finding().timeTo80() : r.finding().timeToFull())
                    .map(
                        t ->
                            line(
                                to == 80 ? "Charge to 80 %" : "Full charge",
                                claim,
                                r,
                                Verdict.judge(claim, t.scaled(1 / SECONDS_AN_HOUR), guardBand))));
  }

  private static Judged line(String title, Claim claim, ChargeRun run, Verdict verdict) {
    return new Judged(
        title, claim, Optional.of(verdict), run.because(), Optional.of(run.run().id()));
  }
}

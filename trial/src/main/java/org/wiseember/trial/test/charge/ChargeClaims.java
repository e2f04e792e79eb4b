package org.wiseember.trial.test.charge;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.trial.test.Answer;
import org.wiseember.trial.test.UnitFindings;

/** Claims about charging, each held against the newest charge that can tell it. */
final class ChargeClaims {
  private final List<ChargeRun> runs;

  ChargeClaims(UnitFindings unit) {
    this.runs = unit.of(ChargeRun.class).filter(r -> r.finding().energyIn().isPresent()).toList();
  }

  private Optional<ChargeRun> newest(Predicate<ChargeRun> which) {
    return runs.stream().filter(which).reduce((first, second) -> second);
  }

  private static Predicate<ChargeRun> only(ChargeSource... sources) {
    return r ->
        r.setting().sources().size() == 1 && List.of(sources).containsAll(r.setting().sources());
  }

  /** The answer; empty where no charge tells it. */
  Optional<Answer> answer(Claim claim) {
    return switch (claim.subject()) {
      case MAINS_POWER ->
          newest(only(ChargeSource.WALL))
              .flatMap(r -> peak("Mains charging, peak", claim, r, Optional.empty()));
      case SOLAR_POWER -> direct("Solar port, peak", claim);
      case SOLAR_CURRENT ->
          newest(r -> r.setting().sources().size() == 1 && r.mostAmps().isPresent())
              .map(r -> Answer.of("DC input, most amps", claim, r, r.mostAmps().orElseThrow()));
      case CAR_POWER ->
          newest(only(ChargeSource.CAR))
              .flatMap(r -> peak("Car charging, peak", claim, r, Optional.of(Inlet.DC)));
      case TOTAL_INPUT ->
          newest(r -> r.setting().sources().size() > 1)
              .flatMap(r -> peak("All inputs together, peak", claim, r, Optional.empty()));
      case CHARGE_TIME -> time(claim);
      default -> Optional.empty();
    };
  }

  /** By the charge through the DC input that took the most. */
  private Optional<Answer> direct(String title, Claim claim) {
    return runs.stream()
        .filter(only(ChargeSource.SOLAR, ChargeSource.BATTERY))
        .max(Comparator.comparingDouble(r -> r.finding().peakPower().orElseThrow().value()))
        .flatMap(r -> peak(title, claim, r, Optional.of(Inlet.DC)));
  }

  /** What a source that was at its own end gave is the least the port takes. */
  private static Optional<Answer> peak(
      String title, Claim claim, ChargeRun run, Optional<Inlet> boundBySource) {
    boolean bySource = boundBySource.filter(run::rigBound).isPresent();
    return run.finding()
        .peakPower()
        .map(p -> Answer.of(title, claim, run, bySource ? p.bounded(Bound.AT_LEAST) : p));
  }

  /** To the share the label names; 80 % and full are told. From the wall, as labels mean it. */
  private Optional<Answer> time(Claim claim) {
    double to = claim.condition(Condition.Kind.TO_PERCENT).orElse(100);
    if (to != 80 && to != 100) {
      return Optional.empty();
    }
    return newest(only(ChargeSource.WALL))
        .flatMap(
            r ->
                (to == 80 ? r.finding().timeTo80() : r.finding().timeToFull())
                    .map(t -> Answer.of(to == 80 ? "Charge to 80 %" : "Full charge", claim, r, t)));
  }
}

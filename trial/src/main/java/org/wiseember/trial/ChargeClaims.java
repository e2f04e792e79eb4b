package org.wiseember.trial;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Verdict;

/** Claims about charging from the wall held against the newest charge. */
final class ChargeClaims {
  private static final double SECONDS_AN_HOUR = 3600;

  private final Optional<ChargeRun> run;
  private final boolean guardBand;

  ChargeClaims(List<TestRun> runs, boolean guardBand) {
    this.run =
        runs.stream()
            .filter(ChargeRun.class::isInstance)
            .map(ChargeRun.class::cast)
            .filter(r -> r.finding().energyIn().isPresent())
            .reduce((first, second) -> second);
    this.guardBand = guardBand;
  }

  /** The judged line; empty where no charge tells it. */
  Optional<Judged> judge(Claim claim) {
    return switch (claim.subject()) {
      case MAINS_POWER ->
          run.flatMap(r -> r.finding().peakPower())
              .map(p -> line("Mains charging, peak", claim, p));
      case CHARGE_TIME -> time(claim);
      default -> Optional.empty();
    };
  }

  /** To the share the label names; 80 % and full are told. */
  private Optional<Judged> time(Claim claim) {
    double to = claim.condition(Condition.Kind.TO_PERCENT).orElse(100);
    if (to != 80 && to != 100) {
      return Optional.empty();
    }
    return run.flatMap(r -> to == 80 ? r.finding().timeTo80() : r.finding().timeToFull())
        .map(
            t ->
                line(
                    to == 80 ? "Charge to 80 %" : "Full charge",
                    claim,
                    t.scaled(1 / SECONDS_AN_HOUR)));
  }

  private Judged line(String title, Claim claim, Estimate measured) {
    return new Judged(
        title,
        claim,
        Optional.of(Verdict.judge(claim, measured, guardBand)),
        run.flatMap(ChargeRun::because),
        run.map(r -> r.run().id()));
  }
}

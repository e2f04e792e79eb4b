package org.wiseember.trial.kind.charge;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Repeats;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.LikeRuns;
import org.wiseember.trial.kind.StartCharge;
import org.wiseember.trial.kind.UnitFindings;

/**
 * Claims about charging, each held against the newest charge that can tell it, with those like it.
 * What the source set is the least the unit takes; what did not begin empty took less time than a
 * whole charge does.
 */
final class ChargeClaims {
  /** The share labels name beside full, %. */
  static final double EIGHTY = 80;

  private static final double FULL = 100;

  /** Energy that went in is not the charge on a display: they part by so much of the time. */
  private static final double NOT_CHARGE = 0.03;

  /** A charge that began this near to where the label begins began there, %. */
  private static final double SAME_START = 3;

  private final List<ChargeRun> runs;

  ChargeClaims(UnitFindings unit) {
    this.runs = unit.of(ChargeRun.class).filter(r -> r.finding().energyIn().isPresent()).toList();
  }

  /** The newest at the unit's fastest setting, else the newest of all. */
  private Optional<ChargeRun> newest(Predicate<ChargeRun> which) {
    Predicate<ChargeRun> fastest = r -> r.setting().atFastest();
    return runs.stream()
        .filter(which.and(fastest))
        .reduce((first, second) -> second)
        .or(() -> runs.stream().filter(which).reduce((first, second) -> second));
  }

  private static Predicate<ChargeRun> only(ChargeSource... sources) {
    return r ->
        r.setting().sources().size() == 1 && List.of(sources).containsAll(r.setting().sources());
  }

  /** The answer; empty where no charge tells it. */
  Optional<ClaimAnswer> answer(Claim claim) {
    return switch (claim.subject()) {
      case MAINS_POWER ->
          newest(only(ChargeSource.WALL))
              .flatMap(r -> peak("Mains charging, peak", claim, r, x -> x.setting().atFastest()));
      case SOLAR_POWER -> direct("Solar port, peak", claim);
      case USB_INPUT ->
          newest(only(ChargeSource.USB_C))
              .flatMap(r -> peak("USB-C charging, peak", claim, r, x -> x.unitBound(Inlet.USB_C)));
      case SOLAR_CURRENT ->
          newest(
                  only(ChargeSource.SOLAR, ChargeSource.BATTERY, ChargeSource.SUPPLY)
                      .and(r -> r.mostAmps().isPresent()))
              .map(
                  r -> ClaimAnswer.of("DC input, most amps", claim, r, r.mostAmps().orElseThrow()));
      case CAR_CURRENT ->
          newest(only(ChargeSource.CAR).and(r -> r.mostAmps().isPresent()))
              .map(
                  r ->
                      ClaimAnswer.of("Car input, most amps", claim, r, r.mostAmps().orElseThrow()));
      case CAR_POWER ->
          newest(only(ChargeSource.CAR))
              .flatMap(r -> peak("Car charging, peak", claim, r, x -> x.unitBound(Inlet.DC)));
      case TOTAL_INPUT ->
          newest(r -> r.setting().sources().size() > 1)
              .flatMap(r -> peak("All inputs together, peak", claim, r, ChargeRun::capped));
      case CHARGE_TIME -> time(claim);
      case ROUND_TRIP ->
          newest(r -> r.roundTrip().isPresent())
              .flatMap(r -> together(r, ChargeRun::roundTrip))
              .map(l -> ClaimAnswer.of("Round trip", claim, l.run(), l.figure()));
      default -> Optional.empty();
    };
  }

  /** By the charge through the DC input that took the most. */
  private Optional<ClaimAnswer> direct(String title, Claim claim) {
    return runs.stream()
        .filter(only(ChargeSource.SOLAR, ChargeSource.BATTERY, ChargeSource.SUPPLY))
        .max(Comparator.comparingDouble(r -> r.finding().peakPower().orElseThrow().value()))
        .flatMap(r -> peak(title, claim, r, x -> x.unitBound(Inlet.DC)));
  }

  /**
   * The most it took.
   *
   * @param byUnit whether the unit, and not the source, set it
   */
  private Optional<ClaimAnswer> peak(
      String title, Claim claim, ChargeRun run, Predicate<ChargeRun> byUnit) {
    return together(run, r -> peak(r, byUnit))
        .map(l -> ClaimAnswer.of(title, claim, l.run(), l.figure()));
  }

  /**
   * What a source set, or what went in where the charge began nearly full, is the least the port
   * takes.
   */
  private static Optional<Figure> peak(ChargeRun run, Predicate<ChargeRun> byUnit) {
    return run.finding()
        .peakPower()
        .map(p -> byUnit.test(run) && run.showsItsMost() ? p : p.bounded(Bound.AT_LEAST))
        .map(p -> run.setting().atFastest() ? p : slowed(p, run, "more"));
  }

  /** Charges from the same sources at like power are repeats. */
  private Optional<LikeRuns<ChargeRun>> together(
      ChargeRun run, Function<ChargeRun, Optional<Figure>> figure) {
    return LikeRuns.of(
        run,
        runs.stream()
            .filter(r -> r.setting().sources().equals(run.setting().sources()))
            .filter(r -> r.setting().slowed().equals(run.setting().slowed()))
            .toList(),
        r -> r.finding().peakPower().map(Figure::value).orElse(Double.NaN),
        figure,
        Repeats.WHOLE_TEST);
  }

  /** To the share the label names; 80 % and full are told. From the wall, as labels mean it. */
  private Optional<ClaimAnswer> time(Claim claim) {
    double to = claim.condition(Condition.Kind.TO_PERCENT).orElse(FULL);
    double from = claim.condition(Condition.Kind.FROM_PERCENT).orElse(0);
    if (to != EIGHTY && to != FULL) {
      return Optional.empty();
    }
    return newest(only(ChargeSource.WALL).and(r -> time(r, to, from).isPresent()))
        .flatMap(r -> together(r, x -> time(x, to, from)))
        .map(
            l ->
                ClaimAnswer.of(
                    to == EIGHTY ? "Charge to 80 %" : "Full charge", claim, l.run(), l.figure()));
  }

  private static Optional<Figure> time(ChargeRun run, double to, double from) {
    boolean began =
        from <= StartCharge.EMPTY
            ? run.fromEmpty()
            : run.startCharge().isPresent()
                && Math.abs(run.startCharge().getAsDouble() - from) <= SAME_START;
    Optional<Figure> time =
        to == FULL ? run.finding().timeToFull() : run.shownEighty().or(() -> byEnergy(run));
    if (!run.setting().atFastest()) {
      // A slow one that began part full took neither at least nor at most as long as is asked.
      return time.filter(t -> began).map(t -> slowed(t.bounded(Bound.AT_MOST), run, "less"));
    }
    return time.map(t -> began ? t : partial(t, run));
  }

  private static Figure slowed(Figure figure, ChargeRun run, String otherwise) {
    return figure.because(
        figure
            .because()
            .watching(
                "The unit was set to "
                    + run.setting().slowed()
                    + "; at its fastest it may take "
                    + otherwise
                    + "."));
  }

  private static Optional<Figure> byEnergy(ChargeRun run) {
    return run.finding()
        .timeTo80()
        .map(
            t -> {
              Budget budget =
                  t.budget()
                      .with(
                          Contribution.rectangular(
                              "Energy in is not charge", NOT_CHARGE * t.value()));
              Because was = t.because();
              return Figure.of(
                  t.key(),
                  t.name(),
                  t.value(),
                  t.unit(),
                  new Because(
                      was.summary(),
                      was.workedOut(),
                      budget,
                      was.madeFrom(),
                      was.watchOut(),
                      was.otherReading()));
            });
  }

  /** A charge that did not begin where the label begins: a whole one takes longer. */
  private static Figure partial(Figure time, ChargeRun run) {
    String began =
        run.startCharge().isPresent()
            ? "It began at "
                + Figures.plain(run.startCharge().getAsDouble())
                + " %: from where the label begins it takes longer."
            : "Nobody noted how full it was when it began: from empty it may take longer.";
    return time.bounded(Bound.AT_LEAST).because(time.because().watching(began));
  }
}

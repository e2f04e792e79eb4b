package org.wiseember.trial.runtime;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.overload.HeldLoad;
import org.wiseember.core.overload.Hold;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.Endured;
import org.wiseember.core.runtime.UnitSupply;
import org.wiseember.core.runtime.Usable;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartPower;
import org.wiseember.core.start.StartSeries;
import org.wiseember.core.start.Surge;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.kind.found.Idled;
import org.wiseember.trial.kind.found.MotorsStarted;
import org.wiseember.trial.kind.found.Overloaded;

/**
 * A unit as one that runs appliances, from its own runs.
 *
 * @param endured the loads it was seen to hold and the starts it was seen to make
 * @param restsOn where each part comes from, a sentence each: what was measured, what is only
 *     printed, what nobody knows
 */
public record MeasuredSupply(UnitSupply supply, Endured endured, List<String> restsOn) {
  /**
   * A motor that got so much and failed had asked for up to this many times as much: it starts as
   * long as its volts stay above two thirds. Common practice, no published source.
   */
  private static final double GIVEN_WAY = 2.25;

  public MeasuredSupply {
    restsOn = List.copyOf(restsOn);
  }

  /** From what is known of a unit; empty where neither a drain nor its label tells its energy. */
  public static Optional<MeasuredSupply> of(UnitFindings unit) {
    List<Usable> ac = drains(unit, false);
    double printed = printed(unit.label(), Subject.CAPACITY);
    return ac.isEmpty() && !(printed > 0)
        ? Optional.empty()
        : Optional.of(new Parts(unit, ac, printed).supply());
  }

  private static List<Usable> drains(UnitFindings unit, boolean direct) {
    return unit.of(Drained.class)
        .filter(Drained::complete)
        .filter(d -> d.direct() == direct && d.meanWatts() > 0)
        .flatMap(d -> d.finding().deliveredEnergy().map(e -> usable(d, e)).stream())
        .toList();
  }

  private static Usable usable(Drained drain, Figure energy) {
    return new Usable(drain.meanWatts(), energy.value(), energy.u95());
  }

  /** Every load that was held or tripped it, and every start that was tried. */
  private static Endured endured(UnitFindings unit) {
    List<Endured.Load> loads =
        unit.of(Overloaded.class)
            .flatMap(
                r ->
                    r.finding().holds().stream()
                        .map(
                            h ->
                                new Endured.Load(
                                    h.watts(),
                                    HeldLoad.figure("held_load", "Load", h, r.finding().meter())
                                        .u95(),
                                    // Only so long as it surely was.
                                    h.seconds() + (h.tripped() ? h.halfWidth() : -h.halfWidth()),
                                    h.tripped())))
            .filter(l -> l.seconds() > 0)
            .toList();
    List<Endured.Start> starts =
        unit.of(MotorsStarted.class).flatMap(MeasuredSupply::starts).toList();
    return new Endured(loads, starts);
  }

  /**
   * Those of which the VA were caught. A start that went asked at least what it was given; a unit
   * that gives way limits what a failed one is given, so what that asked is taken from its plate or
   * from how far the volts fell.
   */
  private static Stream<Endured.Start> starts(MotorsStarted run) {
    OptionalDouble plate =
        run.motor().stream().mapToDouble(m -> StartPower.of(m).high()).findFirst();
    double volts = run.motor().map(Nameplate::volts).orElse(Double.NaN);
    return run.series().stream()
        .flatMap(s -> s.tries().stream().map(t -> start(t, s.share(), plate, volts)))
        .filter(s -> s.va() > 0);
  }

  static Endured.Start start(StartSeries.Try t, double share, OptionalDouble plate, double volts) {
    double given = t.voltAmperes();
    if (t.outcome() == MotorStart.Outcome.STARTED) {
      return new Endured.Start(given, share * given, true);
    }
    double sag = volts / t.leastVolts();
    boolean told = t.outcome() == MotorStart.Outcome.SAGGED && sag >= 1 && sag < 3;
    double asked = Math.max(plate.orElse(0), given * (told ? sag * sag : GIVEN_WAY));
    return new Endured.Start(asked, share * asked, false);
  }

  private static double printed(Label label, Subject subject) {
    return label.claim(subject).map(Claim::figure).orElse(Double.NaN);
  }

  /** One part after the other, with where it comes from. */
  private static final class Parts {
    private final UnitFindings unit;
    private final List<Usable> ac;
    private final double printed;
    private final List<String> restsOn = new ArrayList<>();

    Parts(UnitFindings unit, List<Usable> ac, double printed) {
      this.unit = unit;
      this.ac = ac;
      this.printed = printed;
    }

    MeasuredSupply supply() {
      List<Usable> dc = drains(unit, true);
      restsOn.add(
          ac.isEmpty()
              ? "No whole AC drain: 85 % of the "
                  + Figures.plain(printed, Unit.WATT_HOUR)
                  + " printed are taken."
              : "Energy by "
                  + (ac.size() == 1 ? "one AC drain" : ac.size() + " AC drains")
                  + (dc.isEmpty()
                      ? "."
                      : dc.size() == 1 ? " and one on DC." : " and " + dc.size() + " on DC."));
      double idle = idle();
      double output = output();
      double start = start(output);
      return new MeasuredSupply(
          new UnitSupply(ac, dc, idle, output, start, printed), endured(unit), restsOn);
    }

    private double idle() {
      OptionalDouble measured =
          unit.of(Idled.class)
              .flatMap(r -> r.idleDraw().stream())
              .mapToDouble(Figure::value)
              .filter(w -> w >= 0)
              .reduce((first, second) -> second);
      if (measured.isPresent()) {
        restsOn.add("Idle draw measured: " + Figures.fixed(measured.getAsDouble(), 1) + " W.");
        return measured.getAsDouble();
      }
      double label = printed(unit.label(), Subject.IDLE);
      restsOn.add(
          label >= 0
              ? "Idle draw only printed: " + Figures.plain(label) + " W."
              : "Idle draw not known and left out: it will run out sooner.");
      return label >= 0 ? label : 0;
    }

    private Stream<Hold> holds() {
      return unit.of(Overloaded.class).flatMap(r -> r.finding().holds().stream());
    }

    /** The most that was seen held for good; else what is printed, unless less has tripped it. */
    private double output() {
      OptionalDouble held =
          holds()
              .filter(h -> !h.tripped() && h.seconds() - h.halfWidth() >= Endured.FOR_GOOD)
              .mapToDouble(Hold::watts)
              .max();
      OptionalDouble tripped = holds().filter(Hold::tripped).mapToDouble(Hold::watts).min();
      double label = unit.label().ratedWatts().orElse(Double.POSITIVE_INFINITY);
      if (held.isPresent() && held.getAsDouble() >= label) {
        restsOn.add("Seen to hold " + Figures.fixed(held.getAsDouble(), 0) + " W for ten minutes.");
        return held.getAsDouble();
      }
      if (tripped.isPresent() && tripped.getAsDouble() < label) {
        // What tripped it is no load it holds.
        double below = Math.nextDown(tripped.getAsDouble());
        restsOn.add(
            "It tripped at "
                + Figures.fixed(tripped.getAsDouble(), 0)
                + " W"
                + (held.isPresent()
                    ? " and held " + Figures.fixed(held.getAsDouble(), 0) + " W for ten minutes."
                    : "; what it holds for good below that nobody saw."));
        return Math.min(below, held.orElse(below));
      }
      restsOn.add(
          Double.isInfinite(label)
              ? "What it holds for good is not known."
              : "What it holds for good is only printed: " + Figures.plain(label) + " W.");
      return label;
    }

    /** The most it gave to a start that went, at least what it holds for good. */
    private double start(double output) {
      OptionalDouble seen =
          unit.of(MotorsStarted.class)
              .flatMap(r -> r.series().stream())
              .flatMap(s -> Surge.held(s).stream())
              .mapToDouble(Figure::value)
              .max();
      if (seen.isPresent()) {
        restsOn.add("Seen to start " + Figures.fixed(seen.getAsDouble(), 0) + " VA.");
        return Math.max(seen.getAsDouble(), Double.isInfinite(output) ? 0 : output);
      }
      double label = printed(unit.label(), Subject.SURGE);
      restsOn.add(
          label > 0
              ? "What it starts is only printed: " + Figures.plain(label) + " W."
              : "What it starts is not known.");
      return label > 0 ? label : Double.POSITIVE_INFINITY;
    }
  }
}

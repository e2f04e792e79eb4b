package org.wiseember.trial.lineup;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.Endured;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.start.Nameplate;
import org.wiseember.core.start.StartSeries;
import org.wiseember.trial.kind.found.MotorsStarted;
import org.wiseember.trial.runtime.MeasuredSupply;

/**
 * One motor on every unit of a line-up: starts of unlike motors say nothing of the units. Where it
 * was tried its tries count; on the others it is predicted from what it asks of a stiff source and
 * from what their own starts have shown, and is marked as predicted.
 *
 * @param name as the tester calls it
 * @param va it asks of a source that does not give way, VA; NaN where no scope caught it
 * @param units in the order of the line-up
 */
public record MotorOnUnits(String name, double va, List<OnUnit> units) {
  /** Starts of one motor scatter by a tenth; common practice, no published source. */
  private static final double SCATTER = 0.1;

  /**
   * How it goes on one unit.
   *
   * @param predicted whether it was never tried on it
   * @param call how sure it starts
   * @param brief {@code 8 of 8}, or what is predicted
   * @param because one sentence
   */
  public record OnUnit(
      LineUpUnit unit, boolean predicted, Endured.Call call, String brief, String because) {}

  public MotorOnUnits {
    units = List.copyOf(units);
  }

  /** Every motor that was tried on one of these units. */
  public static List<MotorOnUnits> of(List<LineUpUnit> units) {
    Map<String, List<MotorsStarted>> tried = new LinkedHashMap<>();
    for (LineUpUnit unit : units) {
      unit.judgement()
          .of(MotorsStarted.class)
          .forEach(
              r ->
                  r.series()
                      .ifPresent(
                          s -> tried.computeIfAbsent(s.motor(), n -> new ArrayList<>()).add(r)));
    }
    List<MotorOnUnits> all = new ArrayList<>();
    tried.forEach(
        (name, runs) -> {
          double va = asked(runs);
          all.add(new MotorOnUnits(name, va, units.stream().map(u -> on(u, name, va)).toList()));
        });
    return all;
  }

  /** The most it asks: a source that gave way limited what it took, so the stiff figure counts. */
  private static double asked(List<MotorsStarted> runs) {
    OptionalDouble most =
        runs.stream()
            .flatMapToDouble(
                r ->
                    r.caught().stream().mapToDouble(s -> stiff(s, r.motor().map(Nameplate::volts))))
            .filter(v -> v > 0)
            .max();
    return most.orElse(
        runs.stream()
            .flatMapToDouble(r -> r.series().orElseThrow().held().stream())
            .max()
            .orElse(Double.NaN));
  }

  private static double stiff(MotorStart start, Optional<Double> volts) {
    double given = start.mostVoltAmperes();
    double stiff = volts.map(v -> v * start.stiffAmps()).orElse(Double.NaN);
    return Double.isNaN(stiff) ? given : Math.max(given, stiff);
  }

  private static OnUnit on(LineUpUnit unit, String name, double va) {
    Optional<StartSeries> own =
        unit.judgement()
            .of(MotorsStarted.class)
            .flatMap(r -> r.series().stream())
            .filter(s -> s.motor().equals(name))
            .reduce((first, second) -> second);
    if (own.isPresent()) {
      var started = own.get().started();
      Endured.Call call =
          started.k() == started.n()
              ? Endured.Call.HOLDS
              : own.get().neverWent() ? Endured.Call.TRIPS : Endured.Call.OPEN;
      return new OnUnit(
          unit,
          false,
          call,
          started.count(),
          "Tried: " + started.count() + " started, " + started.percent() + " in the long run.");
    }
    String asks =
        Double.isNaN(va)
            ? "Nobody caught what it asks. "
            : "It asks " + Figures.plain(Math.rint(va), Unit.VOLT_AMPERE) + " of a stiff source. ";
    Optional<MeasuredSupply> supply = MeasuredSupply.of(unit.judgement());
    Endured.Answer answer =
        Double.isNaN(va) || supply.isEmpty()
            ? new Endured.Answer(Endured.Call.OPEN, "Nobody tried a start on it.")
            : supply.get().endured().starting(va, SCATTER);
    return new OnUnit(
        unit,
        true,
        answer.call(),
        switch (answer.call()) {
          case HOLDS -> "likely yes";
          case TRIPS -> "likely no";
          case OPEN -> "?";
        },
        "Predicted, never tried on it. " + asks + answer.reason());
  }
}

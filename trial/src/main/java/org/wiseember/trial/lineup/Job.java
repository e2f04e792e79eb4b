package org.wiseember.trial.lineup;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.runtime.AskedOfUnit;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.Endured;
import org.wiseember.trial.runtime.DayOnUnit;

/**
 * A day as a job for one of several units.
 *
 * @param hands each unit of which the energy is known, in the order of the line-up
 */
public record Job(Day day, List<Hand> hands) {
  /**
   * A unit at the job.
   *
   * @param price paid; NaN where nobody noted it
   * @param kilograms NaN where nobody knows
   */
  public record Hand(String name, DayOnUnit on, double price, double kilograms, double wattHours) {
    /** How surely it carries the day: over its whole band, and every start of it. */
    public Endured.Call carries() {
      boolean runsOut = on.found().course().runsOut().isPresent();
      boolean mayRunOut =
          on.found().figure("charge_at_end").orElseThrow().low() <= on.asked().reserve();
      Endured.Call starts =
          on.asks().stream()
              .map(a -> a.answer().call())
              .min(Comparator.naturalOrder())
              .orElse(Endured.Call.HOLDS);
      if (runsOut || starts == Endured.Call.TRIPS) {
        return Endured.Call.TRIPS;
      }
      return mayRunOut || starts == Endured.Call.OPEN ? Endured.Call.OPEN : Endured.Call.HOLDS;
    }

    /** What is left of it at the end, %; the reserve where it ran out. */
    public double left() {
      return on.found().course().chargeAtEnd();
    }

    /** What it would trip at, or nobody knows; empty where it starts all. */
    public Optional<AskedOfUnit> stumbles() {
      return on.asks().stream()
          .filter(a -> a.answer().call() != Endured.Call.HOLDS)
          .min(Comparator.comparing((AskedOfUnit a) -> a.answer().call()));
    }
  }

  public Job {
    hands = List.copyOf(hands);
  }

  /** Those that surely carry it. */
  public List<Hand> able() {
    return hands.stream().filter(h -> h.carries() == Endured.Call.HOLDS).toList();
  }

  /** Those of which nobody can tell yet. */
  public List<Hand> open() {
    return hands.stream().filter(h -> h.carries() == Endured.Call.OPEN).toList();
  }

  private Optional<Hand> least(ToDoubleFunction<Hand> of) {
    return able().stream().filter(h -> of.applyAsDouble(h) > 0).min(Comparator.comparingDouble(of));
  }

  public Optional<Hand> lightest() {
    return least(Hand::kilograms);
  }

  public Optional<Hand> cheapest() {
    return least(Hand::price);
  }

  /** The one with the least energy that does. */
  public Optional<Hand> smallest() {
    return least(Hand::wattHours);
  }

  /** Of a day on the units of a line-up. */
  static Job of(Day day, List<LineUpUnit> units) {
    return new Job(
        day,
        units.stream()
            .flatMap(
                u ->
                    DayOnUnit.of(day, u.id(), u.name(), u.judgement()).stream()
                        .map(
                            on ->
                                new Hand(
                                    u.name(),
                                    on,
                                    u.price(),
                                    u.figure(Measure.WEIGHT).map(f -> f.value()).orElse(Double.NaN),
                                    u.figure(Measure.DELIVERED)
                                        .map(f -> f.value())
                                        .or(() -> u.judgement().label().ratedWattHours())
                                        .orElse(Double.NaN))))
            .toList());
  }
}

package org.wiseember.core.runtime;

import java.time.Duration;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.runtime.feed.Feed;

/**
 * A day somebody lays out: what is on when, from when on, and what feeds the unit meanwhile.
 *
 * @param title as the tester calls it
 * @param start time of day at which it begins
 * @param plan what is on when, in hours after the start
 * @param charge of the unit at the start, %
 * @param reserve at which it counts as empty, %
 * @param feed what charges it meanwhile
 * @param celsius of the pack, °C; empty where nobody says, for a room
 */
public record Day(
    String title,
    LocalTime start,
    DayPlan plan,
    double charge,
    double reserve,
    Optional<Feed.Root> feed,
    OptionalDouble celsius) {
  /** A day on which nothing is on yet, from a full unit. */
  public static Day empty(String title, LocalTime start, double hours) {
    return new Day(
        title,
        start,
        new DayPlan(hours, List.of(), false),
        100,
        0,
        Optional.empty(),
        OptionalDouble.empty());
  }

  public Day {
    RunTimeCase.check(charge, reserve, feed);
    celsius.ifPresent(Day::check);
  }

  private static void check(double celsius) {
    if (!(celsius >= -40 && celsius <= 60)) {
      throw new IllegalArgumentException("a pack works between -40 and 60 °C");
    }
  }

  /** The day on a unit. */
  public RunTimeCase on(UnitSupply unit) {
    return new RunTimeCase(unit, plan, charge, reserve, feed, celsius);
  }

  public List<Appliance> appliances() {
    return plan.appliances();
  }

  /** The same under another title. */
  public Day titled(String other) {
    return new Day(other, start, plan, charge, reserve, feed, celsius);
  }

  /**
   * The same from another time of day on; appliances keep their times of day. What was on before
   * that is cut off, and a moment before it is the next day's.
   */
  public Day from(LocalTime other) {
    double minutes = Duration.between(other, start).toMinutes();
    // The nearer of the two ways round the clock: 0:30 is half an hour after midnight.
    double later =
        (minutes > 720 ? minutes - 1440 : minutes < -720 ? minutes + 1440 : minutes) / 60;
    List<Appliance> moved = appliances().stream().map(a -> a.later(later)).toList();
    return new Day(title, other, plan.with(moved), charge, reserve, feed, celsius);
  }

  /** The same over so many hours, with the AC output always on or not. */
  public Day lasting(double hours, boolean acAlwaysOn) {
    return with(new DayPlan(hours, appliances(), acAlwaysOn));
  }

  /** The same from another charge, down to another reserve. */
  public Day charged(double percent, double keptBack) {
    return new Day(title, start, plan, percent, keptBack, feed, celsius);
  }

  /** The same with another feed, or none. */
  public Day fed(Optional<Feed.Root> other) {
    return new Day(title, start, plan, charge, reserve, other, celsius);
  }

  /** The same with its pack so warm, or in a room. */
  public Day at(OptionalDouble packCelsius) {
    return new Day(title, start, plan, charge, reserve, feed, packCelsius);
  }

  private Day with(DayPlan other) {
    return new Day(title, start, other, charge, reserve, feed, celsius);
  }

  /** The same with other appliances. */
  public Day with(List<Appliance> appliances) {
    return with(plan.with(appliances));
  }

  /** The same with one appliance more, at the end. */
  public Day adding(Appliance appliance) {
    List<Appliance> all = new ArrayList<>(appliances());
    all.add(appliance);
    return with(all);
  }

  /** The same with one appliance in place of another. */
  public Day replacing(int place, Appliance appliance) {
    List<Appliance> all = new ArrayList<>(appliances());
    all.set(place, appliance);
    return with(all);
  }

  /** The same without one appliance. */
  public Day without(int place) {
    List<Appliance> all = new ArrayList<>(appliances());
    all.remove(place);
    return with(all);
  }

  /** The same with one appliance moved among the others; the first matters most. */
  public Day moving(int place, int to) {
    List<Appliance> all = new ArrayList<>(appliances());
    all.add(to, all.remove(place));
    return with(all);
  }
}

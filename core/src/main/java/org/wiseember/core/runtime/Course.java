package org.wiseember.core.runtime;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How a plan goes on one unit.
 *
 * @param points charge over time, joined by straight lines
 * @param runsOut h after the start; empty where it lasts the plan
 * @param chargeAtEnd %; the reserve once it has run out
 * @param delivered to the appliances, Wh
 * @param fed into the unit and kept or used, Wh
 * @param overload the first moment that asks for more than the unit holds
 * @param hardest the hardest start
 * @param runsOutByLabel what the label alone would have one believe, h
 * @param feed what the feed does at the start
 */
public record Course(
    List<Point> points,
    OptionalDouble runsOut,
    double chargeAtEnd,
    double delivered,
    double fed,
    Optional<Overload> overload,
    Optional<HardStart> hardest,
    OptionalDouble runsOutByLabel,
    Optional<FeedReport> feed) {
  /** A corner of the line, h and %. */
  public record Point(double hour, double charge) {}

  /**
   * More than the unit holds.
   *
   * @param by what came on last
   */
  public record Overload(double hour, String by) {}

  /**
   * A start over what runs.
   *
   * @param va of the start and the running watts of the others
   */
  public record HardStart(double va, double hour, String of) {}

  /** Charge at an hour of the plan, %. */
  public double chargeAt(double hour) {
    Point before = points.get(0);
    for (Point p : points) {
      if (p.hour() > hour) {
        double share = (hour - before.hour()) / (p.hour() - before.hour());
        return before.charge() + share * (p.charge() - before.charge());
      }
      before = p;
    }
    return before.charge();
  }

  public Course {
    points = List.copyOf(points);
  }
}

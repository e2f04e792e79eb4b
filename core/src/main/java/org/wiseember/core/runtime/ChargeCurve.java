package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.Comparator;
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
public record ChargeCurve(
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
    int low = 0;
    int high = points.size() - 1;
    // The last corner that is not after it; of several at one moment the last.
    while (low < high) {
      int middle = (low + high + 1) / 2;
      if (points.get(middle).hour() <= hour) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    Point before = points.get(low);
    if (low + 1 == points.size() || before.hour() > hour) {
      return before.charge();
    }
    Point after = points.get(low + 1);
    double share = (hour - before.hour()) / (after.hour() - before.hour());
    return before.charge() + share * (after.charge() - before.charge());
  }

  /** The corners of the line and so many moments more, in order. */
  List<Point> through(int moments, double end) {
    List<Point> all = new ArrayList<>(points);
    for (int i = 0; i <= moments; i++) {
      double hour = end * i / moments;
      all.add(new Point(hour, chargeAt(hour)));
    }
    all.sort(Comparator.comparingDouble(Point::hour));
    return all;
  }

  public ChargeCurve {
    points = List.copyOf(points);
  }
}

package org.wiseember.core.runtime;

import java.util.List;

/**
 * How small a unit would do: one with the idle draw and losses of this one and more or less energy.
 *
 * @param wattHours a whole drain of it has to give at the mean load of the plan, Wh
 * @param given what the unit at hand gives there, Wh
 * @param watts the mean load while anything is on, W
 * @param runningWatts the most that runs at once, W
 * @param startVa of the hardest start with all that runs; the running watts where nothing starts
 */
public record SmallestUnit(
    double wattHours, double given, double watts, double runningWatts, double startVa) {
  private static final double LEAST = 1.0 / 1024;
  private static final double MOST = 1024;

  /** Finds it; NaN Wh where none up to a thousand times as large lasts the plan. */
  public static SmallestUnit of(RunTimeCase asked) {
    double factor = asked.feed().isEmpty() ? byNeed(asked) : byTrying(asked);
    Agenda agenda = new Agenda(asked.plan());
    double energy = 0;
    double hours = 0;
    for (Agenda.Span span : agenda.spans(List.of())) {
      double length = span.to() - span.from();
      energy += span.watts() * length;
      hours += span.watts() > 0 ? length : 0;
    }
    double mean = hours > 0 ? energy / hours : Double.NaN;
    double given = mean / asked.curve().shareAnHour(mean, true, 0);
    HardestMoments moments =
        HardestMoments.of(agenda, Double.MAX_VALUE, Double.MAX_VALUE, h -> true);
    return new SmallestUnit(
        factor > MOST / 1.001 ? Double.NaN : factor * given,
        given,
        mean,
        moments.mostRunning(),
        Math.max(
            moments.mostRunning(), moments.start().map(ChargeCurve.HardStart::va).orElse(0.0)));
  }

  /** With nothing brought in, what a plan takes of a unit goes down as the unit grows. */
  private static double byNeed(RunTimeCase asked) {
    double given = (asked.charge() - asked.reserve()) / 100;
    return GeneratorHours.need(asked.plan(), asked.curve()) / given;
  }

  private static double byTrying(RunTimeCase asked) {
    double low = LEAST;
    double high = MOST;
    while (high / low > 1.0005) {
      double middle = Math.sqrt(low * high);
      if (asked.on(asked.unit().holding(middle)).course().runsOut().isEmpty()) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return high;
  }
}

package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;

/**
 * What a plan asks of an inverter beyond energy: all that runs at once, and the hardest start over
 * what runs already. Whatever cycles may start at any moment it is due; everything else starts at
 * its beginning only.
 *
 * @param first when it is first more than the unit holds; empty where it never is
 * @param start the hardest start; empty where nothing starts with more than its watts
 * @param mostRunning the most that runs at once, W
 */
public record HardestMoments(
    Optional<ChargeCurve.Overload> first,
    Optional<ChargeCurve.HardStart> start,
    double mostRunning) {
  /**
   * Goes through all beginnings.
   *
   * @param outputWatts held without end, W
   * @param startVa a start may ask for, VA
   * @param asked whether the inverter is asked at that hour, and not a source past it
   */
  public static HardestMoments of(
      Agenda agenda, double outputWatts, double startVa, DoublePredicate asked) {
    List<Agenda.Going> all = agenda.atOutlets();
    List<Agenda.Going> on = new ArrayList<>();
    Optional<ChargeCurve.Overload> first = Optional.empty();
    Optional<ChargeCurve.HardStart> hardest = Optional.empty();
    double most = 0;
    for (Agenda.Going next : all) {
      double hour = next.when().from();
      on.removeIf(g -> g.when().to() <= hour);
      on.add(next);
      if (!asked.test(hour)) {
        continue;
      }
      double running = on.stream().mapToDouble(g -> g.appliance().draw().runningWatts()).sum();
      most = Math.max(most, running);
      ChargeCurve.HardStart start = start(on, hour, running).orElse(null);
      if (start != null && hardest.filter(h -> h.va() >= start.va()).isEmpty()) {
        hardest = Optional.of(start);
      }
      boolean over = running > outputWatts || (start != null && start.va() > startVa);
      if (over && first.isEmpty()) {
        first = Optional.of(new ChargeCurve.Overload(hour, next.appliance().name()));
      }
    }
    return new HardestMoments(first, hardest, most);
  }

  /** The hardest of the starts that may happen at this moment. */
  private static Optional<ChargeCurve.HardStart> start(
      List<Agenda.Going> on, double hour, double running) {
    return on.stream()
        .filter(g -> g.appliance().draw().startVa() > 0)
        .filter(
            g -> g.appliance().draw().use() == ApplianceDraw.Use.CYCLING || g.when().from() == hour)
        .map(
            g ->
                new ChargeCurve.HardStart(
                    g.appliance().draw().startVa() + running - g.appliance().draw().runningWatts(),
                    hour,
                    g.appliance().name()))
        .max(Comparator.comparingDouble(ChargeCurve.HardStart::va));
  }
}

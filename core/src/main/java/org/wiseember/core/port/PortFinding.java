package org.wiseember.core.port;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Finding;
import org.wiseember.core.figure.Warning;

/**
 * What a ladder of currents says of a port.
 *
 * @param points settled readings, by current
 * @param openVolts without load, V
 * @param ohms by which the port sags, Ω
 * @param mostAmps the most it carried, A
 * @param mostWatts the most it gave, W
 * @param tripAmps between the last current that was carried and the one that was not, A
 * @param regulated whether it holds its volts
 * @param leadOhms of the leads, taken out of the volts, Ω
 * @param loadedVolts at the most it carried, V
 * @param levels its volts at every current, V, in the order of the points
 * @param tripWatts where it switches off, W
 */
public record PortFinding(
    List<PortPoint> points,
    Optional<Figure> openVolts,
    Optional<Figure> ohms,
    Optional<Figure> mostAmps,
    Optional<Figure> mostWatts,
    Optional<Figure> tripAmps,
    boolean regulated,
    OptionalDouble leadOhms,
    Optional<Figure> loadedVolts,
    List<Figure> levels,
    Optional<Figure> tripWatts,
    List<Warning> warnings)
    implements Finding {
  /** A current this near to a rated one is that one, as far as volts go. */
  private static final double NEARLY = 0.95;

  public PortFinding {
    points = List.copyOf(points);
    levels = List.copyOf(levels);
    warnings = List.copyOf(warnings);
  }

  /**
   * Its volts at a current: of the reading nearest to it.
   *
   * @param amps A
   * @return empty where it was not loaded with so much, to within a few percent
   */
  public Optional<Figure> voltsAt(double amps) {
    int best = -1;
    for (int i = 0; i < points.size(); i++) {
      boolean nearer =
          best < 0
              || Math.abs(points.get(i).amps() - amps) < Math.abs(points.get(best).amps() - amps);
      best = nearer ? i : best;
    }
    return best >= 0 && points.get(best).amps() >= NEARLY * amps
        ? Optional.of(levels.get(best))
        : Optional.empty();
  }

  @Override
  public List<Figure> figures() {
    return Stream.of(tripAmps, mostAmps, mostWatts, openVolts, loadedVolts, ohms)
        .flatMap(Optional::stream)
        .toList();
  }

  static PortFinding none(List<Warning> warnings) {
    return new PortFinding(
        List.of(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        false,
        OptionalDouble.empty(),
        Optional.empty(),
        List.of(),
        Optional.empty(),
        warnings);
  }
}

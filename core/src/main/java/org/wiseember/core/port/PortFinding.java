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
    List<Warning> warnings)
    implements Finding {
  public PortFinding {
    points = List.copyOf(points);
    warnings = List.copyOf(warnings);
  }

  @Override
  public List<Figure> figures() {
    return Stream.of(mostAmps, mostWatts, tripAmps, openVolts, loadedVolts, ohms)
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
        warnings);
  }
}

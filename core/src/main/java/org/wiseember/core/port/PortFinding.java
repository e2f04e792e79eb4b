package org.wiseember.core.port;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.because.Because;
import org.wiseember.core.because.Warning;
import org.wiseember.core.uncertainty.Estimate;

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
 * @param because behind the current; empty without readings
 */
public record PortFinding(
    List<PortPoint> points,
    Optional<Estimate> openVolts,
    Optional<Estimate> ohms,
    Optional<Estimate> mostAmps,
    Optional<Estimate> mostWatts,
    Optional<Estimate> tripAmps,
    boolean regulated,
    OptionalDouble leadOhms,
    Optional<Because> because,
    List<Warning> warnings) {
  public PortFinding {
    points = List.copyOf(points);
    warnings = List.copyOf(warnings);
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

package org.wiseember.core.charge;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Finding;
import org.wiseember.core.figure.Warning;

/**
 * What the log of a charge says. Times count from the first charging reading.
 *
 * @param energyIn Wh from the first charging reading to the last
 * @param peakPower the most it took, W, over half a minute
 * @param meanPower W from the first charging reading to the last
 * @param timeTo80 s until 80 % of the energy was in; empty where the end was not seen
 * @param timeToFull s until it stopped charging by itself; empty where that was not seen
 * @param taperStart s until the power began to fall for good; empty where it did not
 * @param taperShare share of the energy that was in by then, %; empty likewise
 * @param startTime of the first charging reading, s in the log
 * @param endTime of the last, s in the log
 */
public record ChargeFinding(
    Optional<Figure> energyIn,
    Optional<Figure> peakPower,
    Optional<Figure> meanPower,
    Optional<Figure> timeTo80,
    Optional<Figure> timeToFull,
    Optional<Figure> taperStart,
    Optional<Figure> taperShare,
    double startTime,
    double endTime,
    List<Warning> warnings)
    implements Finding {
  public ChargeFinding {
    warnings = List.copyOf(warnings);
  }

  static ChargeFinding none(List<Warning> warnings) {
    return new ChargeFinding(
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Double.NaN,
        Double.NaN,
        warnings);
  }

  @Override
  public List<Figure> figures() {
    return Stream.of(energyIn, peakPower, meanPower, timeTo80, timeToFull, taperStart, taperShare)
        .flatMap(Optional::stream)
        .toList();
  }
}

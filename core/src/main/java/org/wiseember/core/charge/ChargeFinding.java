package org.wiseember.core.charge;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.because.Because;
import org.wiseember.core.because.Warning;
import org.wiseember.core.uncertainty.Estimate;

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
 * @param because of the energy
 */
public record ChargeFinding(
    Optional<Estimate> energyIn,
    Optional<Estimate> peakPower,
    Optional<Estimate> meanPower,
    Optional<Estimate> timeTo80,
    Optional<Estimate> timeToFull,
    Optional<Estimate> taperStart,
    Optional<Estimate> taperShare,
    double startTime,
    double endTime,
    Optional<Because> because,
    List<Warning> warnings) {
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
        Optional.empty(),
        warnings);
  }
}

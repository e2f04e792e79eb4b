package org.wiseember.core.capacity;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Finding;
import org.wiseember.core.figure.Warning;

/**
 * What one drain says about usable capacity. A figure that could not be had is empty, and a warning
 * says why.
 *
 * @param deliveredEnergy Wh from the first loaded reading to the cut-off
 * @param deliveredCharge Ah out of the pack over the same time
 * @param duration s from the first loaded reading to the cut-off, pauses of the load inside
 * @param meanPower W, delivered energy over that duration
 * @param yield delivered energy over the label, %
 * @param cutoffTime s from the first row to the cut-off
 * @param startTime time of the first loaded reading on the trace's own clock, s; NaN without load
 * @param endTime time of the cut-off on the trace's own clock, s; NaN without load
 * @param alternatingCurrent whether power was taken at the AC outlet
 * @param displayAtEnd what the charge display showed at the cut-off, %; empty where nobody read it
 */
public record CapacityFinding(
    Optional<Figure> deliveredEnergy,
    Optional<Figure> deliveredCharge,
    Optional<Figure> duration,
    Optional<Figure> meanPower,
    Optional<Figure> yield,
    Optional<Figure> cutoffTime,
    double startTime,
    double endTime,
    boolean alternatingCurrent,
    Optional<Double> displayAtEnd,
    List<Warning> warnings)
    implements Finding {
  /** Warnings after which a figure is only the least the unit delivered. */
  private static final Set<String> CUT_SHORT =
      Set.of("cutoff_not_seen", "load_ended_first", "input_on");

  public CapacityFinding {
    warnings = List.copyOf(warnings);
  }

  static CapacityFinding none(List<Warning> warnings) {
    return new CapacityFinding(
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Double.NaN,
        Double.NaN,
        false,
        Optional.empty(),
        warnings);
  }

  @Override
  public List<Figure> figures() {
    return Stream.of(deliveredEnergy, yield, meanPower, duration, deliveredCharge, cutoffTime)
        .flatMap(Optional::stream)
        .toList();
  }

  /** Whether there is a figure and it goes up to the unit's own cut-off. */
  public boolean reachesCutoff() {
    return deliveredEnergy.isPresent() && !cutShort(warnings);
  }

  /** Whether a drain with these warnings ended before the unit did. */
  static boolean cutShort(List<Warning> warnings) {
    return warnings.stream().map(Warning::code).anyMatch(CUT_SHORT::contains);
  }
}

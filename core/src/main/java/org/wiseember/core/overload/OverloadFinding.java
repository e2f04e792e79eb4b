package org.wiseember.core.overload;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Finding;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What a run above the rating says.
 *
 * @param holds every load that was put on, in order of time
 * @param tripTime s from the last load step to the first trip; empty where nothing tripped
 * @param heldPower W, mean over that step; of the heaviest load held where nothing tripped
 * @param fit the curve through the trips; empty where fewer than two different loads tripped
 * @param meter behind the watts
 */
public record OverloadFinding(
    List<Hold> holds,
    Optional<Figure> tripTime,
    Optional<Figure> heldPower,
    Optional<TripFit> fit,
    MeterClass meter,
    List<Warning> warnings)
    implements Finding {
  public OverloadFinding {
    holds = List.copyOf(holds);
    warnings = List.copyOf(warnings);
  }

  /** The holds that tripped. */
  public List<Hold> trips() {
    return holds.stream().filter(Hold::tripped).toList();
  }

  @Override
  public List<Figure> figures() {
    return Stream.of(tripTime, heldPower).flatMap(Optional::stream).toList();
  }
}

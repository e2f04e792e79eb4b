package org.wiseember.core.idle;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Finding;
import org.wiseember.core.figure.Warning;

/**
 * What a run says of the idle draw. A figure that could not be had is empty, and a warning says
 * why.
 *
 * @param power mean draw with nothing plugged in, W on the DC side
 * @param current mean amps, where they were read
 * @param hours until the pack is empty at that draw
 * @param way how it was found; empty where it was not
 * @param from first counted moment, s; NaN for none
 * @param to last counted moment, s; NaN for none
 */
public record IdleFinding(
    Optional<Figure> power,
    Optional<Figure> current,
    Optional<Figure> hours,
    Optional<IdleWay> way,
    double from,
    double to,
    List<Warning> warnings)
    implements Finding {
  public IdleFinding {
    warnings = List.copyOf(warnings);
  }

  @Override
  public List<Figure> figures() {
    return Stream.of(power, current, hours).flatMap(Optional::stream).toList();
  }
}

package org.wiseember.core.solar.tried;

import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;

/**
 * What an arrangement gave.
 *
 * @param at which one of the trial, from 1
 * @param setup the arrangement
 * @param watts into the port, W; empty where nobody read them
 * @param lux of light meanwhile; empty where nobody read it
 * @param amps into the port, A; empty for not read
 * @param volts at the port, V; empty for not read
 */
public record Tried(
    int at,
    TriedSetup setup,
    Optional<Figure> watts,
    OptionalDouble lux,
    OptionalDouble amps,
    OptionalDouble volts) {
  /** Whether it can be compared with another: its watts and its light are known. */
  public boolean comparable() {
    return lux.isPresent() && lux.getAsDouble() > 0 && power().isPresent();
  }

  /** Its watts, where they are more than a bound. */
  public Optional<Figure> power() {
    return watts.filter(w -> w.bound() == Bound.EXACT && w.value() > 0);
  }
}

package org.wiseember.core.runtime;

import java.util.ArrayList;
import java.util.List;

/**
 * A unit as one that runs appliances.
 *
 * @param usable whole AC drains
 * @param directUsable whole drains at its DC ports
 * @param idleWatts drawn while an AC output is on, W
 * @param outputWatts it holds without end, W; infinite where nobody knows
 * @param startVa a start may ask of it, VA; infinite where nobody knows
 * @param labelWattHours printed, Wh; NaN where nothing is
 */
public record UnitSupply(
    List<Usable> usable,
    List<Usable> directUsable,
    double idleWatts,
    double outputWatts,
    double startVa,
    double labelWattHours) {
  public UnitSupply {
    usable = List.copyOf(usable);
    directUsable = List.copyOf(directUsable);
    if (!(idleWatts >= 0) || !(outputWatts > 0) || !(startVa > 0)) {
      throw new IllegalArgumentException("idle watts are 0 or more, limits above 0");
    }
    if (usable.isEmpty() && !(labelWattHours > 0)) {
      throw new IllegalArgumentException(
          "neither a drain nor a label says how much the unit holds; give usable or labelWattHours");
    }
  }

  /** Whether nothing but its label tells how much it holds. */
  public boolean guessed() {
    return usable.isEmpty();
  }

  /** The same with so many times the energy. */
  UnitSupply holding(double factor) {
    return new UnitSupply(
        usable.stream().map(u -> u.times(factor)).toList(),
        directUsable.stream().map(u -> u.times(factor)).toList(),
        idleWatts,
        outputWatts,
        startVa,
        labelWattHours * factor);
  }

  /** One that gives what is printed at any load. */
  UnitSupply promised() {
    Usable all = new Usable(1, labelWattHours, 0);
    return new UnitSupply(List.of(all), List.of(all), 0, outputWatts, startVa, labelWattHours);
  }

  /** The same with another label. */
  UnitSupply labelled(double wattHours) {
    return new UnitSupply(usable, directUsable, idleWatts, outputWatts, startVa, wattHours);
  }

  /** The same with one drain in place of another. */
  UnitSupply with(int place, boolean direct, Usable other) {
    List<Usable> changed = new ArrayList<>(direct ? directUsable : usable);
    changed.set(place, other);
    return new UnitSupply(
        direct ? usable : changed,
        direct ? changed : directUsable,
        idleWatts,
        outputWatts,
        startVa,
        labelWattHours);
  }

  /**
   * The same as if its losses grew with the load so that the growing part is this share of what an
   * hour at its rating takes; one drain alone does not tell how they do.
   */
  UnitSupply bent(double share) {
    Usable only = usable.get(0);
    double rating = Double.isFinite(outputWatts) ? outputWatts : 2 * only.watts();
    double growing = share / (only.wattHours() * rating);
    double straight =
        (only.shareAnHour() - growing * only.watts() * only.watts()) / (only.watts() + idleWatts);
    double twice = 2 * only.watts();
    double hour = (twice + idleWatts) * straight + growing * twice * twice;
    List<Usable> both = List.of(only, new Usable(twice, twice / hour, only.u95()));
    return new UnitSupply(both, directUsable, idleWatts, outputWatts, startVa, labelWattHours);
  }
}

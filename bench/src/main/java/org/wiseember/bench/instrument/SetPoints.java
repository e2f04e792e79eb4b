package org.wiseember.bench.instrument;

import java.util.Set;
import org.wiseember.core.charge.Inlet;

/**
 * What should hang on a unit, and which of its outputs and inputs be on, until the next frame.
 *
 * @param acWatts of the loads at the outlet; 0 for none, infinite for all that is there
 * @param dcWatts of the electronic load at the DC port; 0 for none
 * @param dcAmps of the electronic load at the DC port, where it holds a current; 0 for none
 * @param acOutput whether the unit's AC output is on
 * @param dcPort whether its DC port is on
 * @param eco whether its eco mode is on
 * @param fed which of its inlets are fed; the wall's hands the mains through to the outlet too
 * @param captured whether a scope catches the moment at which this comes about
 */
public record SetPoints(
    double acWatts,
    double dcWatts,
    double dcAmps,
    boolean acOutput,
    boolean dcPort,
    boolean eco,
    Set<Inlet> fed,
    boolean captured) {
  /** AC output on, nothing plugged in. */
  public static final SetPoints NO_LOAD = atOutlet(0);

  /** All loads that are there on the outlet. */
  public static final SetPoints WHOLE_LOAD = atOutlet(Double.POSITIVE_INFINITY);

  public SetPoints {
    if (!(acWatts >= 0) || !(dcWatts >= 0) || !(dcAmps >= 0)) {
      throw new IllegalArgumentException("a load draws power");
    }
    fed = Set.copyOf(fed);
  }

  /** So many watts at the outlet. */
  public static SetPoints atOutlet(double watts) {
    return new SetPoints(watts, 0, 0, true, false, false, Set.of(), false);
  }

  /** So many watts at the DC port, the AC output off. */
  public static SetPoints atPort(double watts) {
    return new SetPoints(0, watts, 0, false, true, false, Set.of(), false);
  }

  /** So many amps at the DC port, the AC output off. */
  public static SetPoints ampsAtPort(double amps) {
    return new SetPoints(0, 0, amps, false, true, false, Set.of(), false);
  }

  /** Nothing plugged in, these outputs on. */
  public static SetPoints idle(boolean acOutput, boolean dcPort, boolean eco) {
    return new SetPoints(0, 0, 0, acOutput, dcPort, eco, Set.of(), false);
  }

  /** The same with the wall charger plugged in. */
  public SetPoints fromTheWall() {
    return fed(Set.of(Inlet.WALL));
  }

  /** The same with these inlets fed. */
  public SetPoints fed(Set<Inlet> inlets) {
    return new SetPoints(acWatts, dcWatts, dcAmps, acOutput, dcPort, eco, inlets, captured);
  }

  /** Whether its wall charger is plugged in. */
  public boolean wall() {
    return fed.contains(Inlet.WALL);
  }

  /** The same with a scope on the moment it comes about. */
  public SetPoints onScope() {
    return new SetPoints(acWatts, dcWatts, dcAmps, acOutput, dcPort, eco, fed, true);
  }

  /** Whether anything hangs on the outlet. */
  public boolean loaded() {
    return acWatts > 0;
  }
}

package org.wiseember.bench.instrument;

/**
 * What should hang on a unit, and which of its outputs and inputs be on, until the next frame.
 *
 * @param acWatts of the loads at the outlet; 0 for none, infinite for all that is there
 * @param dcWatts of the electronic load at the DC port; 0 for none
 * @param dcAmps of the electronic load at the DC port, where it holds a current; 0 for none
 * @param acOutput whether the unit's AC output is on
 * @param dcPort whether its DC port is on
 * @param eco whether its eco mode is on
 * @param wall whether its wall charger is plugged in, handing the mains through to the outlet
 * @param captured whether a scope catches the moment at which this comes about
 */
public record Wanted(
    double acWatts,
    double dcWatts,
    double dcAmps,
    boolean acOutput,
    boolean dcPort,
    boolean eco,
    boolean wall,
    boolean captured) {
  /** AC output on, nothing plugged in. */
  public static final Wanted NO_LOAD = atOutlet(0);

  /** All loads that are there on the outlet. */
  public static final Wanted WHOLE_LOAD = atOutlet(Double.POSITIVE_INFINITY);

  public Wanted {
    if (!(acWatts >= 0) || !(dcWatts >= 0) || !(dcAmps >= 0)) {
      throw new IllegalArgumentException("a load draws power");
    }
  }

  /** So many watts at the outlet. */
  public static Wanted atOutlet(double watts) {
    return new Wanted(watts, 0, 0, true, false, false, false, false);
  }

  /** So many watts at the DC port, the AC output off. */
  public static Wanted atPort(double watts) {
    return new Wanted(0, watts, 0, false, true, false, false, false);
  }

  /** So many amps at the DC port, the AC output off. */
  public static Wanted ampsAtPort(double amps) {
    return new Wanted(0, 0, amps, false, true, false, false, false);
  }

  /** Nothing plugged in, these outputs on. */
  public static Wanted idle(boolean acOutput, boolean dcPort, boolean eco) {
    return new Wanted(0, 0, 0, acOutput, dcPort, eco, false, false);
  }

  /** The same with the wall charger plugged in. */
  public Wanted fromTheWall() {
    return new Wanted(acWatts, dcWatts, dcAmps, acOutput, dcPort, eco, true, captured);
  }

  /** The same with a scope on the moment it comes about. */
  public Wanted onScope() {
    return new Wanted(acWatts, dcWatts, dcAmps, acOutput, dcPort, eco, wall, true);
  }

  /** Whether anything hangs on the outlet. */
  public boolean loaded() {
    return acWatts > 0;
  }
}

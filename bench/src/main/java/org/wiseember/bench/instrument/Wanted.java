package org.wiseember.bench.instrument;

/**
 * What should hang on a unit, and which of its outputs be on, until the next frame.
 *
 * @param acWatts of the loads at the outlet; 0 for none, infinite for all that is there
 * @param dcWatts of the electronic load at the DC port; 0 for none
 * @param acOutput whether the unit's AC output is on
 * @param dcPort whether its DC port is on
 * @param eco whether its eco mode is on
 */
public record Wanted(
    double acWatts, double dcWatts, boolean acOutput, boolean dcPort, boolean eco) {
  /** AC output on, nothing plugged in. */
  public static final Wanted NO_LOAD = new Wanted(0, 0, true, false, false);

  /** All loads that are there on the outlet. */
  public static final Wanted WHOLE_LOAD =
      new Wanted(Double.POSITIVE_INFINITY, 0, true, false, false);

  public Wanted {
    if (!(acWatts >= 0) || !(dcWatts >= 0)) {
      throw new IllegalArgumentException("a load draws power");
    }
  }

  /** So many watts at the outlet. */
  public static Wanted atOutlet(double watts) {
    return new Wanted(watts, 0, true, false, false);
  }

  /** So many watts at the DC port, the AC output off. */
  public static Wanted atPort(double watts) {
    return new Wanted(0, watts, false, true, false);
  }

  /** Nothing plugged in, these outputs on. */
  public static Wanted idle(boolean acOutput, boolean dcPort, boolean eco) {
    return new Wanted(0, 0, acOutput, dcPort, eco);
  }

  /** Whether anything hangs on the outlet. */
  public boolean loaded() {
    return acWatts > 0;
  }
}

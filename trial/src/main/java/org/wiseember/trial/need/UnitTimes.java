package org.wiseember.trial.need;

/**
 * How long a unit takes to fill and to empty: as measured, else as its label lets one expect.
 *
 * @param wattHours it gives at its outlets
 * @param fillHours from empty to full
 * @param emptyWatts it is run down with between tests
 * @param restsOn where these come from, one sentence
 */
public record UnitTimes(double wattHours, double fillHours, double emptyWatts, String restsOn) {
  /** From full to empty at a load, h. */
  public double hours(double watts) {
    return wattHours / Math.max(1, watts);
  }

  /** From full to empty between tests, h. */
  public double emptyHours() {
    return hours(emptyWatts);
  }

  /** Of a full unit, what an energy takes, %. */
  public double percent(double energy) {
    return 100 * energy / wattHours;
  }
}

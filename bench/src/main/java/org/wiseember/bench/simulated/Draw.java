package org.wiseember.bench.simulated;

/**
 * What a load takes at one moment.
 *
 * @param watts real power
 * @param amps true RMS current
 * @param averagedAmps what a meter shows that answers to the rectified mean
 */
public record Draw(double watts, double amps, double averagedAmps) {
  public static final Draw NONE = new Draw(0, 0, 0);

  /** Both together. */
  public Draw plus(Draw other) {
    // RMS currents of unlike shape add between √(a²+b²) and a+b; in phase with the volts they add.
    return new Draw(watts + other.watts, amps + other.amps, averagedAmps + other.averagedAmps);
  }
}

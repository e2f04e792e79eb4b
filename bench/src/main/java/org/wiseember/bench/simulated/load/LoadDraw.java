package org.wiseember.bench.simulated.load;

/**
 * What a load takes at one moment.
 *
 * @param watts real power
 * @param amps true RMS current
 * @param averagedAmps what a meter shows that answers to the rectified mean
 */
public record LoadDraw(double watts, double amps, double averagedAmps) {
  public static final LoadDraw NONE = new LoadDraw(0, 0, 0);

  /** Both together. */
  public LoadDraw plus(LoadDraw other) {
    // RMS currents of unlike shape add between √(a²+b²) and a+b; in phase with the volts they add.
    return new LoadDraw(watts + other.watts, amps + other.amps, averagedAmps + other.averagedAmps);
  }
}

package org.wiseember.bench.simulated.design;

/**
 * The 12 V port of a simulated unit.
 *
 * @param volts at no current, V
 * @param ohms by which it sags, Ω; 0 for a regulated port
 * @param tripAmps above which it switches off, A
 * @param efficiency of the converter behind it
 * @param idleWatts of that converter when the port is on, W
 * @param leadOhms of the leads to whatever hangs on it, both ways, Ω
 */
public record PortDesign(
    double volts,
    double ohms,
    double tripAmps,
    double efficiency,
    double idleWatts,
    double leadOhms) {
  public PortDesign {
    if (!(volts > 0)
        || !(ohms >= 0)
        || !(tripAmps > 0)
        || !(efficiency > 0 && efficiency <= 1)
        || !(idleWatts >= 0)
        || !(leadOhms >= 0)) {
      throw new IllegalArgumentException("a simulated port needs sensible figures");
    }
  }

  /** A regulated port for 10 A, with leads that lose 1.5 V at that. */
  public static PortDesign usual() {
    return new PortDesign(13.3, 0, 10.5, 0.93, 0.8, 0.15);
  }
}

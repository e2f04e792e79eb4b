package org.wiseember.core.solar;

/**
 * A converter between a low-volt panel and a port that is short of amps: it hands the panel's power
 * on at more volts and fewer amps.
 *
 * @param volts it is set to, V; just under the most the port may see
 * @param efficiency 0 to 1; 0.95 is usual
 */
public record Boost(double volts, double efficiency) {
  public Boost {
    if (!(volts > 0) || !(efficiency > 0 && efficiency <= 1)) {
      throw new IllegalArgumentException("a converter has volts and an efficiency up to 1");
    }
  }

  /**
   * What the port takes through it, W.
   *
   * @param panelWatts the panels can give, W
   * @throws IllegalArgumentException where it is set above what the port may see
   */
  public double taken(Port port, double panelWatts) {
    if (volts > port.mostVolts()) {
      throw new IllegalArgumentException("set to more volts than the port may see");
    }
    return Math.min(port.takes(volts), panelWatts * efficiency);
  }

  /**
   * Two readings at unlike light brought to the same: by how much the second is better.
   *
   * @param before W at {@code lightBefore}
   * @param after W at {@code lightAfter}
   * @return ratio − 1 once both are scaled to one light; light in any one unit
   */
  public static double gain(double before, double lightBefore, double after, double lightAfter) {
    return after / lightAfter / (before / lightBefore) - 1;
  }
}

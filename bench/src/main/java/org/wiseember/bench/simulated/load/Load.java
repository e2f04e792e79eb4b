package org.wiseember.bench.simulated.load;

/** Something plugged into the outlet. It remembers how warm it is and how fast it turns. */
public interface Load {
  /**
   * What it takes now; asking changes nothing.
   *
   * @param volts true RMS at its plug
   * @param shape of those volts
   */
  LoadDraw at(double volts, WaveShape shape);

  /** Lets time pass at these volts; 0 V when it is switched off. */
  void pass(double volts, double seconds);

  /** The longest step it may be advanced by, s. */
  default double longestStep() {
    return 0.25;
  }
}

package org.wiseember.bench.simulated;

/**
 * Where the energy went since the bench was set up, all in Wh.
 *
 * @param storedAtStart in the pack at the beginning
 * @param storedNow in the pack
 * @param packLoss heat in the pack
 * @param inverterLoss heat in the inverter, its own draw included
 * @param delivered out of the socket
 */
public record EnergyAccount(
    double storedAtStart,
    double storedNow,
    double packLoss,
    double inverterLoss,
    double delivered) {
  /** What is missing from the account, Wh; 0 for exact physics. */
  public double imbalance() {
    return storedAtStart - storedNow - packLoss - inverterLoss - delivered;
  }
}

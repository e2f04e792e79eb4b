package org.wiseember.bench.simulated;

/**
 * Where the energy went since the bench was set up, all in Wh.
 *
 * @param storedAtStart in the pack at the beginning
 * @param storedNow in the pack
 * @param taken from the wall and the DC input
 * @param packLoss heat in the pack
 * @param inverterLoss heat in the inverter, its own draw and its fans included
 * @param chargerLoss heat in the charger
 * @param portLoss heat in the 12 V port, its converter and its leads
 * @param delivered out of the AC socket
 * @param deliveredDc into whatever hangs on the 12 V port
 */
public record EnergyAccount(
    double storedAtStart,
    double storedNow,
    double taken,
    double packLoss,
    double inverterLoss,
    double chargerLoss,
    double portLoss,
    double delivered,
    double deliveredDc) {
  /** What is missing from the account, Wh; 0 for exact physics. */
  public double imbalance() {
    return storedAtStart
        + taken
        - storedNow
        - packLoss
        - inverterLoss
        - chargerLoss
        - portLoss
        - delivered
        - deliveredDc;
  }

  /** All that moved, Wh: what the imbalance is held against. */
  public double turnover() {
    return storedAtStart + taken;
  }
}

package org.wiseember.bench.simulated;

/**
 * A battery pack: open-circuit volts by charge, resistance, two relaxation times, and an account of
 * where its energy went.
 */
final class Pack {
  /** Relaxation: share of the ohmic resistance and time constant, s, of the two poles. */
  private static final double[] POLE_SHARE = {0.4, 0.6};

  private static final double[] POLE_SECONDS = {20, 600};

  private final UnitDesign design;
  private final double[] poleVolts = new double[2];
  private double charge;
  private double lossWattHours;

  Pack(UnitDesign design, double stateOfCharge) {
    this.design = design;
    this.charge = stateOfCharge * design.ampHours();
  }

  double stateOfCharge() {
    return charge / design.ampHours();
  }

  /** Energy between empty and now, Wh, as the open-circuit curve has it, and in the relaxation. */
  double storedWattHours() {
    double cells =
        design.chemistry().storedWattHours(stateOfCharge())
            * design.ampHours()
            * design.seriesCells();
    double relaxing = 0;
    for (int k = 0; k < 2; k++) {
      double farads = POLE_SECONDS[k] / (design.ohms() * POLE_SHARE[k]);
      relaxing += farads * poleVolts[k] * poleVolts[k] / 2 / 3600;
    }
    return cells + relaxing;
  }

  /** Energy turned to heat inside the pack so far, Wh. */
  double lossWattHours() {
    return lossWattHours;
  }

  double openCircuitVolts() {
    return design.chemistry().openCircuitVolts(stateOfCharge()) * design.seriesCells();
  }

  double restVolts() {
    return openCircuitVolts() - poleVolts[0] - poleVolts[1];
  }

  /** Volts at the terminals when these watts are drawn; 0 where the pack cannot give them. */
  double voltsAt(double watts) {
    double source = restVolts();
    double root = source * source - 4 * design.ohms() * watts;
    return root < 0 ? 0 : (source + Math.sqrt(root)) / 2;
  }

  /**
   * Draws constant power for a short time.
   *
   * @param watts at the terminals
   * @param seconds short against the relaxation times
   * @return energy that left the terminals, Wh
   */
  double draw(double watts, double seconds) {
    double volts = voltsAt(watts);
    double amps = volts > 0 ? watts / volts : 0;
    double hours = seconds / 3600;
    double loss = amps * amps * design.ohms() * hours;
    for (int k = 0; k < 2; k++) {
      double ohms = design.ohms() * POLE_SHARE[k];
      double tau = POLE_SECONDS[k];
      double before = poleVolts[k];
      double after = amps * ohms + (before - amps * ohms) * Math.exp(-seconds / tau);
      double stored = tau / ohms * (after * after - before * before) / 2 / 3600;
      double mean =
          amps * ohms + (before - amps * ohms) * tau / seconds * (1 - Math.exp(-seconds / tau));
      loss += amps * mean * hours - stored;
      poleVolts[k] = after;
    }
    charge -= amps * hours;
    lossWattHours += loss;
    return volts * amps * hours;
  }

  boolean mustCutOff(double watts) {
    double cellVolts = voltsAt(watts) / design.seriesCells();
    return stateOfCharge() <= design.reserve() || cellVolts < design.chemistry().cutOffVolts();
  }
}

package org.wiseember.bench.simulated.design;

/**
 * Open-circuit volts of one cell against state of charge, and the volts it is cut off at under
 * load. The curves are rounded typical shapes: common practice, no published source.
 */
public enum Chemistry {
  LFP(
      2.60,
      3.60,
      new double[] {0, .02, .05, .10, .20, .30, .40, .50, .60, .70, .80, .90, .97, 1},
      new double[] {
        2.50, 2.92, 3.06, 3.18, 3.235, 3.265, 3.285, 3.295, 3.305, 3.32, 3.33, 3.34, 3.36, 3.45
      }),
  NMC(
      3.00,
      4.20,
      new double[] {0, .05, .10, .20, .30, .40, .50, .60, .70, .80, .90, 1},
      new double[] {3.00, 3.30, 3.42, 3.53, 3.60, 3.65, 3.71, 3.79, 3.88, 3.97, 4.07, 4.18}),
  LEAD_ACID(
      1.75,
      2.40,
      new double[] {0, .10, .20, .30, .40, .50, .60, .70, .80, .90, 1},
      new double[] {1.93, 1.955, 1.975, 1.99, 2.005, 2.02, 2.04, 2.06, 2.08, 2.10, 2.125});

  private final double cutOffVolts;
  private final double fullVolts;

  @SuppressWarnings("ImmutableEnumChecker") // never handed out
  private final double[] charge;

  @SuppressWarnings("ImmutableEnumChecker") // never handed out
  private final double[] volts;

  Chemistry(double cutOffVolts, double fullVolts, double[] charge, double[] volts) {
    this.cutOffVolts = cutOffVolts;
    this.fullVolts = fullVolts;
    this.charge = charge;
    this.volts = volts;
  }

  /** Volts of a cell under load at which the management stops, V. */
  public double cutOffVolts() {
    return cutOffVolts;
  }

  /** Volts of a cell at which charging goes over to constant volts, V. */
  public double fullVolts() {
    return fullVolts;
  }

  /**
   * Open-circuit volts of one cell.
   *
   * @param stateOfCharge 0 empty to 1 full; held at the ends beyond
   */
  public double openCircuitVolts(double stateOfCharge) {
    if (stateOfCharge <= 0) {
      return volts[0];
    }
    for (int i = 1; i < charge.length; i++) {
      if (stateOfCharge <= charge[i]) {
        double share = (stateOfCharge - charge[i - 1]) / (charge[i] - charge[i - 1]);
        return volts[i - 1] + share * (volts[i] - volts[i - 1]);
      }
    }
    return volts[volts.length - 1];
  }

  /**
   * Energy a cell of 1 Ah holds between empty and this state of charge, Wh: the exact integral of
   * the curve.
   */
  public double storedWattHours(double stateOfCharge) {
    double soc = Math.max(0, Math.min(1, stateOfCharge));
    double sum = 0;
    for (int i = 1; i < charge.length && charge[i - 1] < soc; i++) {
      double to = Math.min(charge[i], soc);
      sum += (to - charge[i - 1]) * (volts[i - 1] + openCircuitVolts(to)) / 2;
    }
    return sum;
  }
}

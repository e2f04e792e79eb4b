package org.wiseember.bench.simulated;

import java.util.Set;
import org.wiseember.bench.simulated.design.ModelDeviation;
import org.wiseember.bench.simulated.design.PackDesign;

/**
 * A battery pack: open-circuit volts by charge, resistance by charge and temperature, two
 * relaxation times, its own warmth, and an account of where its energy went.
 */
final class Pack {
  /** Relaxation: share of the ohmic resistance and time constant, s, of the two poles. */
  private static final double[] POLE_SHARE = {0.4, 0.6};

  private static final double[] POLE_SECONDS = {20, 600};

  /** Heat flows to the case with this time constant, s. */
  private static final double TO_CASE_SECONDS = 1500;

  private final PackDesign design;
  private final double[] poleVolts = new double[2];
  private double charge;
  private double celsius;
  private double lossWattHours;

  /** Charge falls short with this power of the rate, from a twentieth of the capacity an hour. */
  private static final double RATE_POWER = 0.05;

  private static final double GENTLE = 20;

  /** The volts lag by this share behind a current. */
  private static final double LAG = 0.012;

  private final boolean rateLoss;
  private final boolean lags;
  private double lag;

  Pack(PackDesign design, double stateOfCharge, double celsius) {
    this(design, stateOfCharge, celsius, Set.of());
  }

  /**
   * A pack.
   *
   * @param departs in what it is not the pack the program takes it for
   */
  Pack(PackDesign design, double stateOfCharge, double celsius, Set<ModelDeviation> departs) {
    this.rateLoss = departs.contains(ModelDeviation.RATE_LOSS);
    this.lags = departs.contains(ModelDeviation.HYSTERESIS);
    this.design = design;
    this.charge = stateOfCharge * design.ampHours();
    this.celsius = celsius;
  }

  double stateOfCharge() {
    return charge / design.ampHours();
  }

  /** State of charge of the weakest cell, whose capacity is smaller by the imbalance. */
  double weakestCharge() {
    return 1 - (1 - stateOfCharge()) / (1 - design.imbalance());
  }

  double celsius() {
    return celsius;
  }

  /**
   * Resistance now: it doubles by −5 °C and towards empty. Common practice, no published source.
   */
  double ohms() {
    double cold = Math.exp((25 - Math.max(-20, Math.min(60, celsius))) / 43);
    double empty = 1 + Math.max(0, 0.10 - stateOfCharge()) / 0.10;
    return design.ohms() * cold * empty;
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
    return openCircuitVolts() * (1 - lag) - poleVolts[0] - poleVolts[1];
  }

  /**
   * Volts at the terminals when these watts are drawn, negative watts charging; 0 where the pack
   * cannot give them.
   */
  double voltsAt(double watts) {
    double source = restVolts();
    double root = source * source - 4 * ohms() * watts;
    return root < 0 ? 0 : (source + Math.sqrt(root)) / 2;
  }

  /** Most watts it takes before its volts pass their limit; 0 when it is full. */
  double mostChargeWatts() {
    double limit = design.chemistry().fullVolts() * design.seriesCells();
    double room = Math.max(0, limit - restVolts());
    return stateOfCharge() >= 1 ? 0 : limit * room / ohms();
  }

  /**
   * Draws constant power for a short time.
   *
   * @param watts at the terminals; negative charges
   * @param seconds short against the relaxation times
   * @param caseCelsius to which its heat flows
   * @return energy that left the terminals, Wh; negative where it came in
   */
  double draw(double watts, double seconds, double caseCelsius) {
    double volts = voltsAt(watts);
    double amps = volts > 0 ? watts / volts : 0;
    double hours = seconds / 3600;
    double loss = amps * amps * ohms() * hours;
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
    double gone = rateLoss ? amps * hours * Math.max(0, rateFactor(amps) - 1) : 0;
    double mid = openCircuitVolts();
    charge -= amps * hours + gone;
    lossWattHours += loss + gone * mid + amps * hours * lag * mid;
    lag = lags ? LAG * Math.signum(amps) : 0;
    celsius += loss / design.wattHoursPerKelvin();
    celsius += (caseCelsius - celsius) * (1 - Math.exp(-seconds / TO_CASE_SECONDS));
    return volts * amps * hours;
  }

  private double rateFactor(double amps) {
    double rate = GENTLE * amps / design.ampHours();
    return rate > 1 ? Math.pow(rate, RATE_POWER) : 1;
  }

  /** Volts of the weakest cell when these watts are drawn. */
  double weakestVolts(double watts) {
    double volts = voltsAt(watts);
    double mean = design.chemistry().openCircuitVolts(stateOfCharge());
    double weakest = design.chemistry().openCircuitVolts(Math.max(0, weakestCharge()));
    return volts / design.seriesCells() - (mean - weakest);
  }
}

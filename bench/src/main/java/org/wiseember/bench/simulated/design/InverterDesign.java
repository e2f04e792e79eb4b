package org.wiseember.bench.simulated.design;

import org.wiseember.bench.simulated.load.WaveShape;

/**
 * What the inverter of a simulated unit truly is.
 *
 * @param ratedWatts rating, W
 * @param acVolts output volts without load, V
 * @param hertz output frequency, Hz
 * @param droop output volts lost at full rating, share of acVolts
 * @param idleWatts draw without load, W (p0)
 * @param linearLoss loss per watt out (p1)
 * @param squareLoss loss per watt out squared, 1/W (p2)
 * @param shape of the output wave
 * @param overload when it trips
 * @param fanWatts draw of one fan step, W
 * @param ecoWatts below this load eco mode puts the output to sleep, W; 0 for no eco mode
 * @param ecoSeconds for how long the load must be below it
 * @param standbyWatts draw of the electronics with all outputs off, W
 */
public record InverterDesign(
    double ratedWatts,
    double acVolts,
    double hertz,
    double droop,
    double idleWatts,
    double linearLoss,
    double squareLoss,
    WaveShape shape,
    OverloadDesign overload,
    double fanWatts,
    double ecoWatts,
    double ecoSeconds,
    double standbyWatts) {
  public InverterDesign {
    if (!(ratedWatts > 0)
        || !(acVolts > 0)
        || !(hertz > 0)
        || !(droop >= 0 && droop < 0.5)
        || !(idleWatts >= 0)
        || !(linearLoss >= 0)
        || !(squareLoss >= 0)
        || !(fanWatts >= 0)
        || !(ecoWatts >= 0)
        || !(ecoSeconds >= 0)
        || !(standbyWatts >= 0)) {
      throw new IllegalArgumentException("a simulated inverter needs sensible figures");
    }
  }

  /** DC watts drawn for these AC watts, inverter losses in it, fans not. */
  public double dcWatts(double acWatts) {
    return acWatts + idleWatts + linearLoss * acWatts + squareLoss * acWatts * acWatts;
  }

  /** The same inverter with another output wave and another overload protection. */
  public InverterDesign with(WaveShape wave, OverloadDesign protection) {
    return new InverterDesign(
        ratedWatts,
        acVolts,
        hertz,
        droop,
        idleWatts,
        linearLoss,
        squareLoss,
        wave,
        protection,
        fanWatts,
        ecoWatts,
        ecoSeconds,
        standbyWatts);
  }

  /** The same inverter with an eco mode. */
  public InverterDesign withEco(double watts, double seconds) {
    return new InverterDesign(
        ratedWatts,
        acVolts,
        hertz,
        droop,
        idleWatts,
        linearLoss,
        squareLoss,
        shape,
        overload,
        fanWatts,
        watts,
        seconds,
        standbyWatts);
  }
}

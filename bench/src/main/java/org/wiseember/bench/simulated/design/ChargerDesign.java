package org.wiseember.bench.simulated.design;

import org.wiseember.core.solar.Port;

/**
 * How a simulated unit charges.
 *
 * @param wallWatts most it takes from the wall, W
 * @param efficiency of the charger, pack side over source side, 0 to 1
 * @param dcLeastVolts least volts its DC input works at, V
 * @param dcMostVolts most volts its DC input bears, V
 * @param dcAmps most amps its DC input draws, A
 * @param dcWatts most watts its DC input draws, W
 * @param usbWatts most it takes through USB-C, W
 * @param capWatts most it takes from all sources together, W
 * @param taperFrom state of charge from which it takes less, 0 to 1
 * @param hotCelsius pack temperature above which it takes less, °C
 * @param coldCelsius pack temperature below which it takes nothing, °C
 * @param transferSeconds until the inverter takes over when the mains it hands through goes, s
 */
public record ChargerDesign(
    double wallWatts,
    double efficiency,
    double dcLeastVolts,
    double dcMostVolts,
    double dcAmps,
    double dcWatts,
    double usbWatts,
    double capWatts,
    double taperFrom,
    double hotCelsius,
    double coldCelsius,
    double transferSeconds) {
  public ChargerDesign {
    if (!(wallWatts >= 0)
        || !(efficiency > 0 && efficiency <= 1)
        || !(dcLeastVolts >= 0 && dcMostVolts >= dcLeastVolts)
        || !(dcAmps >= 0)
        || !(dcWatts >= 0)
        || !(usbWatts >= 0)
        || !(capWatts >= 0)
        || !(transferSeconds >= 0)
        || !(taperFrom > 0 && taperFrom <= 1)) {
      throw new IllegalArgumentException("a simulated charger needs sensible figures");
    }
  }

  /** Its DC input. */
  public Port dcPort() {
    return new Port(dcLeastVolts, dcMostVolts, dcAmps, dcWatts);
  }

  /** The same with another charger and cap. */
  public ChargerDesign fromWall(double watts, double cap, double transfer) {
    return new ChargerDesign(
        watts,
        efficiency,
        dcLeastVolts,
        dcMostVolts,
        dcAmps,
        dcWatts,
        usbWatts,
        cap,
        taperFrom,
        hotCelsius,
        coldCelsius,
        transfer);
  }

  /** The same with another DC input. */
  public ChargerDesign at(Port port) {
    return new ChargerDesign(
        wallWatts,
        efficiency,
        port.leastVolts(),
        port.mostVolts(),
        port.amps(),
        port.watts(),
        usbWatts,
        capWatts,
        taperFrom,
        hotCelsius,
        coldCelsius,
        transferSeconds);
  }

  /** Share of its power the cells still take as they fill, 0 to 1. */
  public double taperShare(double stateOfCharge) {
    return stateOfCharge <= taperFrom
        ? 1
        : Math.max(0.08, 1 - 0.92 * (stateOfCharge - taperFrom) / (1 - taperFrom + 1e-9));
  }

  /** Share of its power the management allows at this warmth, 0 to 1. */
  public double warmthShare(double packCelsius) {
    if (packCelsius < coldCelsius) {
      return 0;
    }
    return packCelsius <= hotCelsius ? 1 : Math.max(0.3, 1 - (packCelsius - hotCelsius) / 15);
  }

  /**
   * Share of its power it takes in this state: the lesser of the two limits.
   *
   * @param stateOfCharge 0 to 1
   * @param packCelsius of the cells
   */
  public double share(double stateOfCharge, double packCelsius) {
    return Math.min(taperShare(stateOfCharge), warmthShare(packCelsius));
  }
}

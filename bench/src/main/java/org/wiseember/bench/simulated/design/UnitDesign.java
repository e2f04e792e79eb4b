package org.wiseember.bench.simulated.design;

import java.util.Set;
import org.wiseember.bench.simulated.load.WaveShape;
import org.wiseember.core.waveform.NominalFrequency;

/**
 * What a simulated unit truly is, whatever its label says.
 *
 * @param pack battery
 * @param inverter AC output
 * @param charger inputs
 * @param port 12 V output
 * @param display what it shows of itself
 * @param departs in what it, and the meters that read it, depart from the program's models
 */
public record UnitDesign(
    PackDesign pack,
    InverterDesign inverter,
    ChargerDesign charger,
    PortDesign port,
    DisplayDesign display,
    Set<ModelDeviation> departs) {
  public UnitDesign {
    departs = Set.copyOf(departs);
  }

  /** One that obeys the program's models. */
  public UnitDesign(
      PackDesign pack,
      InverterDesign inverter,
      ChargerDesign charger,
      PortDesign port,
      DisplayDesign display) {
    this(pack, inverter, charger, port, display, Set.of());
  }

  /** Output volts without load, V. */
  public double acVolts() {
    return inverter.acVolts();
  }

  /**
   * A unit whose label tells its capacity and rating, built the way such units usually are.
   *
   * @param share true capacity over the printed one
   */
  public static UnitDesign typical(
      Chemistry chemistry, double ratedWattHours, double ratedWatts, double acVolts, double share) {
    int cells = ratedWattHours > 700 ? 16 : 8;
    double volts = chemistry.openCircuitVolts(0.5) * cells;
    double ampHours = ratedWattHours * share / (chemistry.storedWattHours(1) * cells);
    double wallWatts = Math.min(0.8 * ratedWattHours, 1800);
    return new UnitDesign(
        new PackDesign(
            chemistry,
            cells,
            ampHours,
            0.02 * volts * volts / ratedWatts,
            0.02,
            0,
            // About 7 kg a kWh at 1 000 J/(kg·K): common practice, no published source.
            ratedWattHours * 0.002),
        new InverterDesign(
            ratedWatts,
            acVolts,
            NominalFrequency.at(acVolts),
            0.015,
            0.008 * ratedWatts + 3,
            0.055,
            0.02 / ratedWatts,
            WaveShape.SINE,
            OverloadDesign.usual(),
            1.5,
            0,
            0,
            0.8),
        new ChargerDesign(
            wallWatts,
            0.93,
            11,
            60,
            12,
            Math.min(400, wallWatts),
            100,
            wallWatts,
            0.88,
            40,
            0,
            0.014),
        PortDesign.usual(),
        DisplayDesign.usual());
  }

  public UnitDesign with(PackDesign other) {
    return new UnitDesign(other, inverter, charger, port, display, departs);
  }

  public UnitDesign with(InverterDesign other) {
    return new UnitDesign(pack, other, charger, port, display, departs);
  }

  public UnitDesign with(ChargerDesign other) {
    return new UnitDesign(pack, inverter, other, port, display, departs);
  }

  public UnitDesign with(DisplayDesign other) {
    return new UnitDesign(pack, inverter, charger, port, other, departs);
  }

  public UnitDesign with(PortDesign other) {
    return new UnitDesign(pack, inverter, charger, other, display, departs);
  }

  /** The same unit departing from the models in these ways. */
  public UnitDesign departing(Set<ModelDeviation> ways) {
    return new UnitDesign(pack, inverter, charger, port, display, ways);
  }

  /** The same unit with another overload protection. */
  public UnitDesign with(OverloadDesign overload) {
    return with(inverter.with(inverter.shape(), overload));
  }

  /** The same unit with another output wave. */
  public UnitDesign with(WaveShape shape) {
    return with(inverter.with(shape, inverter.overload()));
  }
}

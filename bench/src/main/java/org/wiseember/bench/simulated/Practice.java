package org.wiseember.bench.simulated;

import java.util.Set;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.bench.simulated.load.Load;
import org.wiseember.bench.simulated.load.PowerStrip;
import org.wiseember.bench.simulated.load.Rectifier;

/** The load to practise on. */
public final class Practice {
  private Practice() {}

  /**
   * A heater for these watts, as the faults want it: on its thermostat, or half of it a rectifier,
   * which is what shows that a meter averages.
   *
   * @param watts warm, at these volts
   */
  public static Load load(double watts, double volts, Set<Fault> faults) {
    boolean cycling = faults.contains(Fault.THERMOSTAT);
    double heater = faults.contains(Fault.AVERAGING_METER) ? watts / 2 : watts;
    Load heat = cycling ? Heater.cycling(heater, volts) : Heater.of(heater, volts);
    return faults.contains(Fault.AVERAGING_METER)
        ? PowerStrip.of(heat, new Rectifier(watts - heater, volts))
        : heat;
  }
}

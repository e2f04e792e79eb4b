package org.wiseember.bench.simulated;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.bench.simulated.design.ModelDeviation;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;

/** A voltmeter and an ammeter on the DC side, each lying within its class. */
final class DcMeters {
  /** A clamp and a multimeter at the inverter's battery terminals. */
  private static final MeterClass BATTERY_VOLTS = MeterClass.ofReading(0.2, 1, 0.01);

  private static final MeterClass CLAMP = MeterClass.ofReading(1, 2, 0.01);

  /** The electronic load's own readings, sensed at the unit's port. */
  private static final MeterClass PORT_VOLTS = MeterClass.ofReading(0.05, 2, 0.001);

  private static final MeterClass PORT_AMPS = MeterClass.ofReading(0.1, 2, 0.001);

  private final boolean port;
  private final SimulatedMeter volts;
  private final SimulatedMeter amps;

  /**
   * @param port whether they sit at the DC port instead of the battery terminals
   * @param departs in what the ammeter is no plain meter
   */
  DcMeters(boolean port, SplittableRandom random, Set<ModelDeviation> departs) {
    this.port = port;
    this.volts = new SimulatedMeter(port ? PORT_VOLTS : BATTERY_VOLTS, random);
    this.amps = new SimulatedMeter(port ? PORT_AMPS : CLAMP, random, departs);
  }

  Instrument instrument() {
    return new Instrument(
        port ? "Electronic load" : "DC clamp and voltmeter",
        List.of(Channel.DC_VOLTAGE, Channel.DC_CURRENT),
        Map.of(
            Channel.DC_VOLTAGE,
            port ? PORT_VOLTS : BATTERY_VOLTS,
            Channel.DC_CURRENT,
            port ? PORT_AMPS : CLAMP));
  }

  double volts(SimulatedUnit unit, double jitter) {
    return volts.read((port ? unit.portVolts() : unit.dcVolts()) * jitter);
  }

  double amps(SimulatedUnit unit, double jitter) {
    return amps.read((port ? unit.portAmps() : unit.dcAmps()) * jitter);
  }
}

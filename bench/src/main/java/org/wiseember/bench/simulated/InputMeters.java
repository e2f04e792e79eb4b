package org.wiseember.bench.simulated;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;

/** The meters on the inputs of a unit, each lying within its class. */
final class InputMeters {
  private static final MeterClass VOLTS = MeterClass.ofReading(0.2, 1, 0.01);
  private static final MeterClass AMPS = MeterClass.ofReading(1, 2, 0.01);
  private static final MeterClass USB = MeterClass.ofReading(0.5, 2, 0.01);
  private static final MeterClass LUX = MeterClass.ofReading(4, 5, 10);

  private final Set<SideInstrument> beside;
  private final boolean whole;
  private final SimulatedMeter wall;
  private final SimulatedMeter volts;
  private final SimulatedMeter amps;
  private final SimulatedMeter usb;
  private final SimulatedMeter lux;

  InputMeters(Set<SideInstrument> beside, SplittableRandom random) {
    this.beside = beside;
    this.whole =
        !beside.contains(SideInstrument.INPUT_METER) && !beside.contains(SideInstrument.USB_METER);
    this.wall = new SimulatedMeter(SimulatedBench.AC_POWER_CLASS, random);
    SplittableRandom more = random.split();
    this.volts = new SimulatedMeter(VOLTS, more);
    this.amps = new SimulatedMeter(AMPS, more);
    this.usb = new SimulatedMeter(USB, more);
    this.lux = new SimulatedMeter(LUX, more);
  }

  List<Instrument> instruments() {
    List<Instrument> all = new ArrayList<>();
    if (beside.contains(SideInstrument.WALL_METER)) {
      Channel channel = whole ? Channel.IN_POWER : Channel.WALL_POWER;
      all.add(one("Mains meter", channel, SimulatedBench.AC_POWER_CLASS));
    }
    if (beside.contains(SideInstrument.INPUT_METER)) {
      all.add(
          new Instrument(
              "DC input meter",
              List.of(Channel.IN_VOLTAGE, Channel.IN_CURRENT),
              Map.of(Channel.IN_VOLTAGE, VOLTS, Channel.IN_CURRENT, AMPS)));
    }
    if (beside.contains(SideInstrument.USB_METER)) {
      all.add(one("USB tester", Channel.USB_IN_POWER, USB));
    }
    if (beside.contains(SideInstrument.LUX_METER)) {
      all.add(one("Lux meter", Channel.ILLUMINANCE, LUX));
    }
    if (beside.contains(SideInstrument.TIME_TO_FULL)) {
      all.add(new Instrument("Display, time to full", List.of(Channel.DISPLAY_TIME), Map.of()));
    }
    return all;
  }

  private static Instrument one(String name, Channel channel, MeterClass accuracy) {
    return new Instrument(name, List.of(channel), Map.of(channel, accuracy));
  }

  /** What they show now, in the order of their instruments. */
  List<Double> read(SimulatedUnit unit, double jitter) {
    List<Double> all = new ArrayList<>();
    if (beside.contains(SideInstrument.WALL_METER)) {
      all.add(Math.max(0, wall.read(unit.wallWatts() * jitter)));
    }
    if (beside.contains(SideInstrument.INPUT_METER)) {
      all.add(volts.read(unit.dcInputVolts() * (1 + (jitter - 1) / 2)));
      all.add(Math.max(0, amps.read(unit.dcInputAmps() * jitter)));
    }
    if (beside.contains(SideInstrument.USB_METER)) {
      all.add(Math.max(0, usb.read(unit.usbInputWatts() * jitter)));
    }
    if (beside.contains(SideInstrument.LUX_METER)) {
      all.add(Double.isNaN(unit.lux()) ? Double.NaN : lux.read(unit.lux()));
    }
    if (beside.contains(SideInstrument.TIME_TO_FULL)) {
      all.add(Math.rint(unit.shownMinutes()));
    }
    return all;
  }
}

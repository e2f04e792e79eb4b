package org.wiseember.bench.simulated;

import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.wiseember.bench.instrument.Bench;
import org.wiseember.bench.instrument.Frame;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * A unit with a heater on its outlet, an AC meter between them, a probe on the case and one in the
 * room, and the unit's own display. The same seed gives the same readings.
 */
public final class SimulatedBench implements Bench {
  /** The AC meter's class for power: ± 0.5 % of reading ± 2 digits of 0.1 W. */
  public static final MeterClass AC_POWER_CLASS = MeterClass.ofReading(0.5, 2, 0.1);

  private static final List<Channel> CHANNELS =
      List.of(
          Channel.AC_POWER,
          Channel.AC_VOLTAGE,
          Channel.AC_CURRENT,
          Channel.AC_ENERGY,
          Channel.FREQUENCY,
          Channel.CASE_TEMPERATURE,
          Channel.ROOM_TEMPERATURE,
          Channel.DISPLAY_CHARGE);

  private static final MeterClass VOLTS = MeterClass.ofReading(0.3, 1, 0.1);
  private static final MeterClass AMPS = MeterClass.ofReading(0.5, 1, 0.01);
  private static final MeterClass ENERGY = MeterClass.ofReading(0.5, 0, 0.1);
  private static final MeterClass HERTZ = MeterClass.ofReading(0.02, 0, 0.01);
  private static final MeterClass PROBE = MeterClass.ofReading(0, 5, 0.1);

  private static final double STEP = 0.25;
  private static final double FAN_WATTS = 4;
  private static final double FAN_SECONDS = 90;
  private static final double CASE_SECONDS = 2400;
  private static final double CASE_KELVIN_PER_WATT = 0.28;

  private final UnitDesign design;
  private final Heater heater;
  private final Pack pack;
  private final SplittableRandom noise;
  private final SimulatedMeter watts;
  private final SimulatedMeter volts;
  private final SimulatedMeter amps;
  private final SimulatedMeter hertz;
  private final SimulatedMeter caseProbe;
  private final SimulatedMeter roomProbe;
  private final double roomCelsius = 21.8;
  private final double storedAtStart;

  private double seconds;
  private double secondsOn;
  private boolean loadOn;
  private boolean outputOn = true;
  private double fanSecondsLeft;
  private double overloadHeat;
  private double caseCelsius = roomCelsius;
  private double delivered;
  private double inverterLoss;
  private double meterTotal;
  private double displayCharge;

  /**
   * Sets up a bench with the output on and the load off.
   *
   * @param stateOfCharge of the pack at the start, 0 to 1
   * @param seed draws every meter's error and all noise
   */
  public SimulatedBench(UnitDesign design, Heater heater, double stateOfCharge, long seed) {
    this.design = design;
    this.heater = heater;
    this.pack = new Pack(design, stateOfCharge);
    SplittableRandom random = new SplittableRandom(seed);
    this.watts = new SimulatedMeter(AC_POWER_CLASS, random);
    this.volts = new SimulatedMeter(VOLTS, random);
    this.amps = new SimulatedMeter(AMPS, random);
    this.hertz = new SimulatedMeter(HERTZ, random);
    this.caseProbe = new SimulatedMeter(PROBE, random);
    this.roomProbe = new SimulatedMeter(PROBE, random);
    this.noise = random.split();
    this.storedAtStart = pack.storedWattHours();
    this.displayCharge = 100 * stateOfCharge;
  }

  @Override
  public List<Instrument> instruments() {
    return List.of(
        new Instrument(
            "AC meter",
            List.of(
                Channel.AC_POWER,
                Channel.AC_VOLTAGE,
                Channel.AC_CURRENT,
                Channel.AC_ENERGY,
                Channel.FREQUENCY),
            Map.of(
                Channel.AC_POWER, AC_POWER_CLASS,
                Channel.AC_VOLTAGE, VOLTS,
                Channel.AC_CURRENT, AMPS,
                Channel.AC_ENERGY, ENERGY,
                Channel.FREQUENCY, HERTZ)),
        new Instrument(
            "Case probe",
            List.of(Channel.CASE_TEMPERATURE),
            Map.of(Channel.CASE_TEMPERATURE, PROBE)),
        new Instrument(
            "Room", List.of(Channel.ROOM_TEMPERATURE), Map.of(Channel.ROOM_TEMPERATURE, PROBE)),
        new Instrument("Display", List.of(Channel.DISPLAY_CHARGE), Map.of()));
  }

  @Override
  public List<Channel> channels() {
    return CHANNELS;
  }

  @Override
  public void load(boolean on) {
    if (on != loadOn) {
      loadOn = on;
      secondsOn = 0;
    }
  }

  @Override
  public Frame advance(double span) {
    int steps = (int) Math.max(1, Math.ceil(span / STEP));
    double step = span / steps;
    double power = 0;
    for (int i = 0; i < steps; i++) {
      power = step(step);
    }
    return read(power);
  }

  /** The true account of energy, which no tester sees. */
  public EnergyAccount account() {
    return new EnergyAccount(
        storedAtStart, pack.storedWattHours(), pack.lossWattHours(), inverterLoss, delivered);
  }

  private double step(double dt) {
    seconds += dt;
    double outlet = outputOn ? outletVolts() : 0;
    double power = loadOn && outputOn ? heater.power(outlet, secondsOn) : 0;
    secondsOn += loadOn ? dt : 0;
    double dcWatts = outputOn ? design.dcWatts(power) : 0;
    if (outputOn && (pack.mustCutOff(dcWatts) || overloaded(power, dt))) {
      outputOn = false;
      fanSecondsLeft = FAN_SECONDS;
      power = 0;
      dcWatts = 0;
    }
    if (!outputOn && fanSecondsLeft > 0 && pack.voltsAt(FAN_WATTS) > 0) {
      fanSecondsLeft -= dt;
      dcWatts = FAN_WATTS;
    }
    double packLossBefore = pack.lossWattHours();
    double out = pack.draw(dcWatts, dt);
    double hours = dt / 3600;
    delivered += power * hours;
    inverterLoss += out - power * hours;
    meterTotal += watts.read(power) * hours;
    double heat = (pack.lossWattHours() - packLossBefore + out - power * hours) / hours;
    double target = roomCelsius + heat * CASE_KELVIN_PER_WATT;
    caseCelsius += (target - caseCelsius) * (1 - Math.exp(-dt / CASE_SECONDS));
    double truth = 100 * pack.stateOfCharge();
    displayCharge += (truth - displayCharge) * (1 - Math.exp(-dt / 60));
    return power;
  }

  private double outletVolts() {
    double nominal = loadOn ? heater.power(design.acVolts(), secondsOn) : 0;
    double share = Math.min(2, nominal / design.ratedWatts());
    return design.acVolts() * (1 - design.droop() * share);
  }

  /** Inverse-time limit: heat gathers above 108 % of rating, and 200 % trips at once. */
  private boolean overloaded(double power, double dt) {
    double excess = power / design.ratedWatts() - 1.08;
    overloadHeat = Math.max(0, overloadHeat + dt * (excess > 0 ? excess : -0.01));
    return overloadHeat > 20 || power > 2 * design.ratedWatts();
  }

  private Frame read(double power) {
    double outlet = outputOn ? outletVolts() : 0;
    double jitter = 1 + 0.0008 * (noise.nextDouble() - 0.5);
    double shownPower = Math.max(0, watts.read(power * jitter));
    double shownVolts = volts.read(outlet * (1 + 0.0004 * (noise.nextDouble() - 0.5)));
    return new Frame(
        seconds,
        CHANNELS,
        new double[] {
          shownPower,
          shownVolts,
          outlet > 0 ? amps.read(power / outlet) : 0,
          Math.floor(meterTotal / ENERGY.resolution()) * ENERGY.resolution(),
          outputOn ? hertz.read(design.hertz() * (1 + 0.0002 * (noise.nextDouble() - 0.5))) : 0,
          caseProbe.read(caseCelsius),
          roomProbe.read(roomCelsius),
          Math.rint(Math.max(0, displayCharge))
        });
  }
}

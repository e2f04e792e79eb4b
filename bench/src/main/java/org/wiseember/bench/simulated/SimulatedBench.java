package org.wiseember.bench.simulated;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.wiseember.bench.instrument.Bench;
import org.wiseember.bench.instrument.Instrument;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.simulated.design.PortDesign;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.feed.Feeds;
import org.wiseember.bench.simulated.load.ElectronicLoad;
import org.wiseember.bench.simulated.load.Load;
import org.wiseember.bench.simulated.load.LoadBank;
import org.wiseember.bench.simulated.load.LoadDraw;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.waveform.Capture;

/**
 * A simulated unit with two AC meters in line on its outlet, a probe on the case and one in the
 * room, and the unit's own display. The same seed gives the same readings. Practice faults can be
 * built in.
 */
public final class SimulatedBench implements Bench {
  /** Meter A's class for power: ± 0.5 % of reading ± 2 digits of 0.1 W. */
  public static final MeterClass AC_POWER_CLASS = MeterClass.ofReading(0.5, 2, 0.1);

  /** Meter B's class for power: ± 1 % of reading ± 2 digits of 0.1 W. */
  public static final MeterClass SECOND_POWER_CLASS = MeterClass.ofReading(1, 2, 0.1);

  private static final List<Channel> CHANNELS =
      List.of(
          Channel.AC_POWER,
          Channel.AC_VOLTAGE,
          Channel.AC_CURRENT,
          Channel.AC_ENERGY,
          Channel.FREQUENCY,
          Channel.SECOND_AC_POWER,
          Channel.SECOND_AC_VOLTAGE,
          Channel.SECOND_AC_ENERGY,
          Channel.CASE_TEMPERATURE,
          Channel.ROOM_TEMPERATURE,
          Channel.DISPLAY_CHARGE,
          Channel.DISPLAY_POWER);

  /** ± 1.5 dB, as a class 2 meter. */
  private static final MeterClass SOUND_CLASS = MeterClass.ofReading(0, 15, 0.1);

  /** ± 2 K, as thermal cameras are sold. */
  private static final MeterClass CAMERA_CLASS = MeterClass.ofReading(0, 20, 0.1);

  private static final double ROOM_DECIBELS = 31;
  private static final double[] FAN_DECIBELS = {15, 38, 46};
  private static final double CAPTURED_BEFORE = 0.1;
  private static final double STILL_SECONDS = 0.4;
  private static final double FREEZE_FROM = 0.25;
  private static final double FREEZE_SPAN = 0.3;

  private final SimulatedUnit unit;
  private final LoadBank loads;
  private final Optional<DcMeters> dcMeters;
  private final List<Channel> channels;
  private final Set<Fault> faults;
  private final SplittableRandom noise;
  private final SplittableRandom mischief;
  private final AcMeter meterA;
  private final AcMeter meterB;
  private final SimulatedMeter caseProbe;
  private final SimulatedMeter roomProbe;
  private final double freezesAt;
  private final Set<SideInstrument> beside;
  private final ScopeOnOutlet scope;
  private final InputMeters inputs;
  private final SimulatedMeter soundMeter;
  private final SimulatedMeter camera;
  private final WatchingEyes eyes = new WatchingEyes();
  private SetPoints wanted = SetPoints.NO_LOAD;
  private boolean armed;
  private boolean still;
  private boolean pulling;
  private Optional<Capture> captured = Optional.empty();
  private boolean acWanted = true;
  private boolean portWanted;
  private double dcWanted;
  private double ampsWanted;
  private boolean frozen;
  private double shownCharge;
  private double shownWatts;
  private double looseLeft;
  private double looseShare = 1;

  /**
   * Sets up a bench with the output on and the load off.
   *
   * @param stateOfCharge of the pack at the start, 0 to 1
   * @param seed draws every meter's error and all noise
   */
  public SimulatedBench(UnitDesign design, Load load, double stateOfCharge, long seed) {
    this(design, load, stateOfCharge, seed, Set.of());
  }

  /**
   * Sets up a bench with faults in it.
   *
   * @param faults to practise on; the averaging meter adds nothing to the load by itself
   */
  public SimulatedBench(
      UnitDesign design, Load load, double stateOfCharge, long seed, Set<Fault> faults) {
    this(design, LoadBank.of(load), stateOfCharge, seed, faults, Clamped.NOWHERE, Set.of());
  }

  /** A bench with several loads on hand, and meters on the DC side. */
  public SimulatedBench(
      UnitDesign design,
      LoadBank loads,
      double stateOfCharge,
      long seed,
      Set<Fault> faults,
      Clamped clamped) {
    this(design, loads, stateOfCharge, seed, faults, clamped, Set.of());
  }

  /**
   * Sets up a bench with all there is.
   *
   * @param clamped where DC volts and amps are measured
   * @param beside what else stands there
   */
  public SimulatedBench(
      UnitDesign design,
      LoadBank loads,
      double stateOfCharge,
      long seed,
      Set<Fault> faults,
      Clamped clamped,
      Set<SideInstrument> beside) {
    this(design, loads, Start.rested(stateOfCharge), seed, faults, clamped, beside, Feeds.NONE);
  }

  /**
   * Sets up a bench for a charge from whatever there is.
   *
   * @param feeds what stands by beside the wall
   */
  public SimulatedBench(
      UnitDesign design,
      LoadBank loads,
      Start start,
      long seed,
      Set<Fault> faults,
      Clamped clamped,
      Set<SideInstrument> beside,
      Feeds feeds) {
    this.unit =
        new SimulatedUnit(
            design, loads, start.stateOfCharge(), start.roomCelsius(), start.packCelsius());
    this.unit.standBy(feeds);
    this.loads = loads;
    this.faults = Set.copyOf(faults);
    SplittableRandom random = new SplittableRandom(seed);
    this.meterA =
        new AcMeter(
            AC_POWER_CLASS,
            random,
            faults.contains(Fault.AVERAGING_METER),
            clock(faults, random),
            design.departs());
    this.meterB = new AcMeter(SECOND_POWER_CLASS, random, false, 1, Set.of());
    this.caseProbe = new SimulatedMeter(AcMeter.PROBE, random);
    this.roomProbe = new SimulatedMeter(AcMeter.PROBE, random);
    this.noise = random.split();
    this.mischief = random.split();
    this.dcMeters =
        clamped == Clamped.NOWHERE
            ? Optional.empty()
            : Optional.of(new DcMeters(clamped == Clamped.PORT, random.split(), design.departs()));
    this.beside = Set.copyOf(beside);
    SplittableRandom more = new SplittableRandom(seed * 31 + 7);
    this.scope = new ScopeOnOutlet(more.split(), design.departs());
    this.inputs = new InputMeters(this.beside, more);
    this.soundMeter = new SimulatedMeter(SOUND_CLASS, more);
    this.camera = new SimulatedMeter(CAMERA_CLASS, more);
    List<Channel> all = new ArrayList<>(CHANNELS);
    if (dcMeters.isPresent()) {
      all.addAll(List.of(Channel.DC_VOLTAGE, Channel.DC_CURRENT));
    }
    inputs.instruments().forEach(i -> all.addAll(i.channels()));
    if (beside.contains(SideInstrument.SOUND_METER)) {
      all.add(Channel.SOUND_LEVEL);
    }
    if (beside.contains(SideInstrument.CAMERA)) {
      all.addAll(List.of(Channel.SPOT_TEMPERATURE, Channel.FAN_STEP));
    }
    if (beside.contains(SideInstrument.EYES)) {
      all.addAll(WatchingEyes.CHANNELS);
    }
    this.channels = List.copyOf(all);
    this.freezesAt = start.stateOfCharge() - FREEZE_FROM - FREEZE_SPAN * mischief.nextDouble();
  }

  /** A clock that is right, or off by 3 to 8 % either way. */
  private static double clock(Set<Fault> faults, SplittableRandom random) {
    double off = 0.03 + 0.05 * random.nextDouble();
    boolean fast = random.nextBoolean();
    return faults.contains(Fault.WRONG_METER_CLOCK) ? 1 + (fast ? off : -off) : 1;
  }

  @Override
  public List<Instrument> instruments() {
    List<Instrument> all = new ArrayList<>(onOutlet());
    dcMeters.map(DcMeters::instrument).ifPresent(all::add);
    all.addAll(inputs.instruments());
    if (beside.contains(SideInstrument.SOUND_METER)) {
      all.add(
          new Instrument(
              "Sound meter, 1 m",
              List.of(Channel.SOUND_LEVEL),
              Map.of(Channel.SOUND_LEVEL, SOUND_CLASS)));
    }
    if (beside.contains(SideInstrument.CAMERA)) {
      all.add(
          new Instrument(
              "Thermal camera",
              List.of(Channel.SPOT_TEMPERATURE),
              Map.of(Channel.SPOT_TEMPERATURE, CAMERA_CLASS)));
      all.add(new Instrument("Fan, by eye", List.of(Channel.FAN_STEP), Map.of()));
    }
    if (beside.contains(SideInstrument.EYES)) {
      all.add(new Instrument("Lamp and computer, by eye", WatchingEyes.CHANNELS, Map.of()));
    }
    return all;
  }

  private static List<Instrument> onOutlet() {
    return List.of(
        new Instrument(
            "AC meter A",
            List.of(
                Channel.AC_POWER,
                Channel.AC_VOLTAGE,
                Channel.AC_CURRENT,
                Channel.AC_ENERGY,
                Channel.FREQUENCY),
            Map.of(
                Channel.AC_POWER, AC_POWER_CLASS,
                Channel.AC_VOLTAGE, AcMeter.VOLTS,
                Channel.AC_CURRENT, AcMeter.AMPS,
                Channel.AC_ENERGY, AcMeter.ENERGY,
                Channel.FREQUENCY, AcMeter.HERTZ)),
        new Instrument(
            "AC meter B",
            List.of(Channel.SECOND_AC_POWER, Channel.SECOND_AC_VOLTAGE, Channel.SECOND_AC_ENERGY),
            Map.of(
                Channel.SECOND_AC_POWER, SECOND_POWER_CLASS,
                Channel.SECOND_AC_VOLTAGE, AcMeter.VOLTS,
                Channel.SECOND_AC_ENERGY, AcMeter.ENERGY)),
        new Instrument(
            "Case probe",
            List.of(Channel.CASE_TEMPERATURE),
            Map.of(Channel.CASE_TEMPERATURE, AcMeter.PROBE)),
        new Instrument(
            "Room",
            List.of(Channel.ROOM_TEMPERATURE),
            Map.of(Channel.ROOM_TEMPERATURE, AcMeter.PROBE)),
        new Instrument(
            "Display", List.of(Channel.DISPLAY_CHARGE, Channel.DISPLAY_POWER), Map.of()));
  }

  @Override
  public List<Channel> channels() {
    return channels;
  }

  @Override
  public boolean simulated() {
    return true;
  }

  @Override
  public void arrange(SetPoints next) {
    armed = next.captured() && !wanted.captured();
    still = armed && next.equals(wanted.onScope());
    pulling = armed && wanted.wall() && !next.wall();
    wanted = next;
    if (!armed) {
      apply();
    }
  }

  private void apply() {
    loads.plug(wanted.acWatts());
    unit.load(wanted.loaded());
    unit.eco(wanted.eco());
    if (wanted.acOutput() != acWanted) {
      acWanted = wanted.acOutput();
      unit.output(acWanted);
    }
    if (wanted.dcPort() != portWanted) {
      portWanted = wanted.dcPort();
      unit.port(portWanted);
    }
    unit.wall(wanted.wall());
    unit.passThrough(wanted.wall());
    unit.feedDc(wanted.fed().contains(Inlet.DC));
    unit.feedUsb(wanted.fed().contains(Inlet.USB_C));
    if (wanted.dcAmps() != ampsWanted) {
      ampsWanted = wanted.dcAmps();
      unit.dcLoad().mode(ElectronicLoad.Mode.CURRENT);
      unit.dcLoad().setting(ampsWanted);
      unit.dcLoad().on(ampsWanted > 0);
    } else if (wanted.dcWatts() != dcWanted) {
      dcWanted = wanted.dcWatts();
      unit.dcLoad().mode(ElectronicLoad.Mode.POWER);
      unit.dcLoad().setting(atLoad(dcWanted));
      unit.dcLoad().on(dcWanted > 0);
    }
  }

  @Override
  public Optional<Capture> captured() {
    return captured;
  }

  /** What the sound meter hears at one metre: the room and the fan steps, as energies. */
  private double sound() {
    double fan = FAN_DECIBELS[Math.min(unit.fans(), FAN_DECIBELS.length - 1)];
    return 10 * Math.log10(Math.pow(10, ROOM_DECIBELS / 10) + Math.pow(10, fan / 10));
  }

  /** Sensed at the port, so that the leads' share is on top: what is left at the load itself. */
  private double atLoad(double watts) {
    PortDesign port = unit.design().port();
    double amps = watts / port.volts();
    return Math.max(0, watts - amps * amps * port.leadOhms());
  }

  @Override
  public String unitShows() {
    BatteryManagement management = unit.management();
    return management == BatteryManagement.FINE ? "" : management.code() + " " + management.words();
  }

  @Override
  public Frame advance(double span) {
    double before = unit.seconds();
    captured = Optional.empty();
    if (armed) {
      armed = false;
      captured =
          Optional.of(
              still
                  ? scope.still(unit, Math.min(span, STILL_SECONDS))
                  : scope.catches(unit, Math.min(span, 1), CAPTURED_BEFORE, this::apply));
      if (pulling) {
        eyes.pulled(captured.get(), unit.design().inverter().hertz());
      }
    }
    double left = before + span - unit.seconds();
    if (left > 1e-9) {
      unit.advance(left);
    }
    double passed = unit.seconds() - before;
    looseLead(passed);
    double volts = unit.acVolts() * looseShare;
    LoadDraw truth = unit.draw();
    LoadDraw seen =
        looseShare == 1
            ? truth
            : new LoadDraw(
                truth.watts() * looseShare * looseShare,
                truth.amps() * looseShare,
                truth.averagedAmps() * looseShare);
    double jitter = 1 + 0.0008 * (noise.nextDouble() - 0.5);
    double voltJitter = 1 + 0.0004 * (noise.nextDouble() - 0.5);
    double hertz =
        unit.alive()
            ? unit.design().inverter().hertz() * (1 + 0.0002 * (noise.nextDouble() - 0.5))
            : 0;
    meterA.see(volts * voltJitter, seen, jitter, unit.design().inverter().shape(), passed);
    meterB.see(volts * voltJitter, seen, jitter, unit.design().inverter().shape(), passed);
    display();
    double[] values = {
      meterA.watts(),
      meterA.volts(),
      meterA.amps(),
      meterA.total(),
      meterA.hertz(hertz),
      meterB.watts(),
      meterB.volts(),
      meterB.total(),
      caseProbe.read(unit.caseCelsius()),
      roomProbe.read(unit.roomCelsius()),
      shownCharge,
      shownWatts
    };
    List<Double> all = new ArrayList<>(Arrays.stream(values).boxed().toList());
    dcMeters.ifPresent(
        dc -> {
          all.add(dc.volts(unit, voltJitter));
          all.add(dc.amps(unit, 1 + 0.0008 * (noise.nextDouble() - 0.5)));
        });
    all.addAll(inputs.read(unit, jitter));
    if (beside.contains(SideInstrument.SOUND_METER)) {
      all.add(soundMeter.read(sound() + 0.4 * (noise.nextDouble() - 0.5)));
    }
    if (beside.contains(SideInstrument.CAMERA)) {
      all.add(camera.read(unit.plugCelsius()));
      all.add((double) unit.fans());
    }
    if (beside.contains(SideInstrument.EYES)) {
      all.addAll(eyes.read(unit, wanted.wall()));
    }
    return new Frame(
        unit.seconds(), channels, all.stream().mapToDouble(Double::doubleValue).toArray());
  }

  /** A poor contact: now and then a few percent of the volts are lost for a moment. */
  private void looseLead(double passed) {
    if (!faults.contains(Fault.LOOSE_LEAD) || !unit.alive()) {
      return;
    }
    looseLeft -= passed;
    if (looseLeft <= 0) {
      looseShare = 1;
      if (unit.loadOn() && mischief.nextDouble() < passed / 75) {
        looseLeft = 1 + 2 * mischief.nextDouble();
        looseShare = 0.82 + 0.13 * mischief.nextDouble();
      }
    }
  }

  private void display() {
    frozen |= faults.contains(Fault.FROZEN_DISPLAY) && unit.stateOfCharge() < freezesAt;
    if (!frozen) {
      shownCharge = Math.rint(Math.max(0, unit.shownChargeNow()));
      shownWatts = Math.rint(unit.shownWatts());
    }
  }

  /** The unit itself, true values and all. */
  public SimulatedUnit unit() {
    return unit;
  }

  /** The true account of energy, which no tester sees. */
  public EnergyAccount account() {
    return unit.account();
  }
}

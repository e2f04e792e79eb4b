package org.wiseember.bench.simulated;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.wiseember.bench.simulated.design.ChargerDesign;
import org.wiseember.bench.simulated.design.DisplayDesign;
import org.wiseember.bench.simulated.design.ModelDeviation;
import org.wiseember.bench.simulated.design.PortDesign;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.feed.DcFeed;
import org.wiseember.bench.simulated.feed.DcSource;
import org.wiseember.bench.simulated.feed.Feeds;
import org.wiseember.bench.simulated.load.ElectronicLoad;
import org.wiseember.bench.simulated.load.Load;
import org.wiseember.bench.simulated.load.LoadDraw;
import org.wiseember.bench.simulated.load.PowerStrip;
import org.wiseember.bench.simulated.load.WaveShape;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.charge.LimitingFactor;

/**
 * A unit with a load on its outlet, an electronic load on its 12 V port, and sources on its inputs,
 * all obeying physics. True values only: meters and displays lie elsewhere.
 */
public final class SimulatedUnit {
  private static final double CASE_SECONDS = 2400;
  private static final double PLUG_SECONDS = 240;

  /**
   * A plug at 10 A is some 10 K warmer than what it sits in; common practice, no published source.
   */
  private static final double PLUG_KELVIN_PER_AMP_SQUARED = 0.1;

  private static final double CASE_KELVIN_PER_WATT = 0.28;
  private static final double FULL_SHARE = 0.03;
  private static final double FULL_FROM = 0.985;
  private static final double RECHARGE_BELOW = 0.95;

  private final UnitDesign design;
  private final Load load;
  private final Pack pack;
  private final Inverter inverter;
  private final ElectronicLoad dcLoad = new ElectronicLoad();
  private final DcSource dcSource = new DcSource();
  private static final double ROOM = 22;
  private static final double SECOND_SHARE = 0.4;
  private static final double SECOND_SLOWER = 4;

  private final boolean wanders;
  private final boolean warmsTwice;
  private double secondKelvin;
  private final double roomCelsius;
  private final double storedAtStart;

  private boolean loadOn;
  private boolean wall;
  private boolean passThrough;
  private double transferLeft;
  private boolean portOn;
  private boolean full;
  private BatteryManagement management = BatteryManagement.FINE;
  private double seconds;
  private double caseCelsius;
  private double plugKelvin;
  private double acVolts;
  private LoadDraw draw = LoadDraw.NONE;
  private double dcVolts;
  private double dcAmps;
  private double portVolts;
  private double portAmps;
  private double loadVolts;
  private double wallWatts;
  private Feeds feeds = Feeds.NONE;
  private boolean dcFed;
  private boolean usbFed;
  private Intake intake = Intake.NOTHING;
  private double displayCharge;
  private double taken;
  private double inverterLoss;
  private double chargerLoss;
  private double portLoss;
  private double delivered;
  private double deliveredDc;
  private double deliveredAtPort;

  /**
   * @param load plugged in, switched off
   * @param stateOfCharge of the pack at the start, 0 to 1
   */
  public SimulatedUnit(UnitDesign design, Load load, double stateOfCharge, double roomCelsius) {
    this(design, load, stateOfCharge, roomCelsius, roomCelsius);
  }

  /**
   * A unit that comes in from the cold, or from a hard drain.
   *
   * @param packCelsius of its cells and its case at the start
   */
  public SimulatedUnit(
      UnitDesign design, Load load, double stateOfCharge, double roomCelsius, double packCelsius) {
    this.design = design;
    this.load = load;
    this.pack = new Pack(design.pack(), stateOfCharge, packCelsius, design.departs());
    this.inverter =
        new Inverter(design.inverter(), design.departs().contains(ModelDeviation.STEPPED_TRIP));
    this.wanders = design.departs().contains(ModelDeviation.WANDERING_LOSS);
    this.warmsTwice = design.departs().contains(ModelDeviation.SECOND_WARMING);
    this.roomCelsius = roomCelsius;
    this.caseCelsius = packCelsius;
    this.storedAtStart = pack.storedWattHours();
    this.displayCharge = shownCharge();
    this.dcVolts = pack.restVolts();
    this.acVolts = inverter.volts(new PowerStrip(java.util.List.of()));
  }

  public UnitDesign design() {
    return design;
  }

  public ElectronicLoad dcLoad() {
    return dcLoad;
  }

  public DcSource dcSource() {
    return dcSource;
  }

  /** What stands by to charge it beside the wall; nothing of it is plugged in yet. */
  public void standBy(Feeds others) {
    feeds = others;
  }

  /** Plugs what stands by into the DC input, or out. */
  public void feedDc(boolean on) {
    dcFed = on;
  }

  /** Plugs the USB-C charger in or out. */
  public void feedUsb(boolean on) {
    usbFed = on;
  }

  /** Switches the load at the outlet. */
  public void load(boolean on) {
    loadOn = on;
  }

  public boolean loadOn() {
    return loadOn;
  }

  /** Plugs the wall charger in or out. */
  public void wall(boolean pluggedIn) {
    if (wall && passThrough && !pluggedIn) {
      transferLeft = design.charger().transferSeconds();
    }
    wall = pluggedIn;
  }

  /** Whether the mains are handed through to the outlet now. */
  public boolean handingThrough() {
    return wall && passThrough && management != BatteryManagement.TOO_HOT;
  }

  /** Whether the load is fed from the wall while that is plugged in. */
  public void passThrough(boolean on) {
    passThrough = on;
  }

  /** Switches the AC output; on also clears a trip. */
  public void output(boolean on) {
    inverter.press(on);
    if (on) {
      management = BatteryManagement.FINE;
    }
  }

  /** Switches the eco mode, where the unit has one. */
  public void eco(boolean on) {
    inverter.eco(on);
  }

  public boolean ecoOn() {
    return inverter.ecoOn();
  }

  public boolean portOn() {
    return portOn;
  }

  public boolean pluggedIn() {
    return wall;
  }

  /** Switches the 12 V port. */
  public void port(boolean on) {
    portOn = on;
  }

  /** Lets time pass. */
  public void advance(double span) {
    double left = span;
    while (left > 1e-9) {
      double step = Math.min(left, loadOn ? load.longestStep() : 0.25);
      step = transferLeft > 0 ? Math.min(step, transferLeft) : step;
      step(step);
      left -= step;
    }
  }

  private void step(double dt) {
    seconds += dt;
    double hours = dt / 3600;
    boolean through = handingThrough();
    boolean changing = transferLeft > 1e-9;
    transferLeft -= changing ? dt : transferLeft;
    Load plugged = loadOn ? load : PowerStrip.of();
    acVolts = through ? design.acVolts() : changing ? 0 : inverter.volts(plugged);
    draw = plugged.at(acVolts, design.inverter().shape());
    boolean limited =
        !through
            && !changing
            && inverter.on()
            && acVolts < design.acVolts() * (1 - 2.01 * design.inverter().droop());
    load.pass(loadOn ? acVolts : 0, dt);
    inverter.pass(through ? 0 : draw.watts(), limited, caseCelsius, dt);

    stepPort();
    double fromPack = inverter.dcWatts(through ? 0 : draw.watts()) * wandering();
    if (!inverter.on()) {
      fromPack = inverter.dcWatts(0);
      if (!through) {
        draw = LoadDraw.NONE;
        acVolts = 0;
      }
    }
    double portWatts =
        portOn ? portVolts * portAmps / design.port().efficiency() + design.port().idleWatts() : 0;
    fromPack += portWatts;
    double charge = chargeWatts(fromPack);
    BatteryManagement next = BatteryManagement.discharging(pack, design.pack(), fromPack - charge);
    if (next != BatteryManagement.FINE && fromPack > charge) {
      management = next;
      if (inverter.on() && !through) {
        inverter.cutOff();
      }
      if (!through) {
        draw = LoadDraw.NONE;
        acVolts = 0;
      }
      portOn = false;
      portAmps = 0;
      portWatts = 0;
      loadVolts = 0;
      // The fan that runs on is all that still draws, as long as the cells bear it.
      double fan = inverter.dcWatts(0);
      fromPack = pack.stateOfCharge() > 0.002 && pack.voltsAt(fan) > 0 ? fan : 0;
    }
    double out = pack.draw(fromPack - charge, dt, caseCelsius);
    dcVolts = pack.voltsAt(fromPack - charge);
    dcAmps = dcVolts > 0 ? (fromPack - charge) / dcVolts : 0;

    double throughWatts = through ? draw.watts() : 0;
    double acFromPack = through ? 0 : draw.watts();
    double chargeTaken = charge / design.charger().efficiency();
    wallWatts = intake.wallWatts() + throughWatts;
    taken += (chargeTaken + throughWatts) * hours;
    delivered += draw.watts() * hours;
    deliveredDc += loadVolts * portAmps * hours;
    deliveredAtPort += portVolts * portAmps * hours;
    double portHeat = portWatts - loadVolts * portAmps;
    portLoss += portHeat * hours;
    chargerLoss += (chargeTaken - charge) * hours;
    double fromPackEnergy = out + charge * hours;
    inverterLoss += fromPackEnergy - (acFromPack + portWatts) * hours;
    double packHeat = dcAmps * dcAmps * pack.ohms();
    double heat =
        packHeat
            + (fromPackEnergy / hours - acFromPack - portWatts)
            + portHeat
            + chargeTaken
            - charge;
    double share = warmsTwice ? SECOND_SHARE : 0;
    secondKelvin +=
        (share * heat * CASE_KELVIN_PER_WATT - secondKelvin)
            * (1 - Math.exp(-dt / (SECOND_SLOWER * CASE_SECONDS)));
    double target = roomCelsius + (1 - share) * heat * CASE_KELVIN_PER_WATT + secondKelvin;
    caseCelsius += (target - caseCelsius) * (1 - Math.exp(-dt / CASE_SECONDS));
    plugKelvin +=
        (draw.amps() * draw.amps() * PLUG_KELVIN_PER_AMP_SQUARED - plugKelvin)
            * (1 - Math.exp(-dt / PLUG_SECONDS));
    displayCharge +=
        (shownCharge() - displayCharge) * (1 - Math.exp(-dt / design.display().lagSeconds()));
  }

  /** What the inverter takes over what it takes by its design. */
  private double wandering() {
    if (!wanders || !inverter.on()) {
      return 1;
    }
    double nominal = design.pack().chemistry().openCircuitVolts(0.5) * design.pack().seriesCells();
    return 1 + 0.0012 * (caseCelsius - ROOM) + 0.08 * (1 - dcVolts / nominal);
  }

  private void stepPort() {
    PortDesign port = design.port();
    if (!portOn) {
      portVolts = 0;
      portAmps = 0;
      loadVolts = 0;
      return;
    }
    portAmps = dcLoad.amps(port.volts(), port.ohms() + port.leadOhms());
    if (portAmps > port.tripAmps()) {
      portOn = false;
      portAmps = 0;
    }
    portVolts = portOn ? port.volts() - port.ohms() * portAmps : 0;
    loadVolts = portVolts - portAmps * port.leadOhms();
    dcLoad.watch(loadVolts);
  }

  /** Watts that reach the pack's side from all sources. */
  private double chargeWatts(double demand) {
    ChargerDesign charger = design.charger();
    if (pack.stateOfCharge() < RECHARGE_BELOW) {
      full = false;
    }
    Feeds in = fed();
    if (full || (!wall && in.equals(Feeds.NONE))) {
      intake = Intake.closed(in, wall, LimitingFactor.NOTHING, seconds);
      return 0;
    }
    if (management == BatteryManagement.TOO_COLD && pack.celsius() >= charger.coldCelsius()) {
      management = BatteryManagement.FINE;
    }
    if (charger.warmthShare(pack.celsius()) == 0) {
      management = BatteryManagement.TOO_COLD;
      intake = Intake.closed(in, wall, LimitingFactor.TEMPERATURE, seconds);
      return 0;
    }
    intake =
        Intake.of(
            charger,
            in,
            wall,
            pack.stateOfCharge(),
            pack.celsius(),
            (pack.mostChargeWatts() + demand) / charger.efficiency(),
            seconds);
    double watts = intake.watts() * charger.efficiency();
    double rated = design.pack().wattHours();
    if (pack.stateOfCharge() > FULL_FROM && watts - demand < FULL_SHARE * rated) {
      full = true;
      intake = Intake.closed(in, wall, LimitingFactor.NOTHING, seconds);
      return 0;
    }
    return watts;
  }

  /** What of all that stands by is plugged in; the bench supply is, once it is on. */
  private Feeds fed() {
    Optional<DcFeed> dc = dcFed ? feeds.dc() : Optional.empty();
    return new Feeds(
        dc.isPresent() || !dcSource.isOn() ? dc : Optional.of(dcSource),
        usbFed ? feeds.usbWatts() : 0);
  }

  private double shownCharge() {
    double soc = Math.max(0, Math.min(1, pack.stateOfCharge()));
    return 100 * Math.pow(soc, design.display().bend());
  }

  /** The true account of energy, which no tester sees. */
  public EnergyAccount account() {
    return new EnergyAccount(
        storedAtStart,
        pack.storedWattHours(),
        taken,
        pack.lossWattHours(),
        inverterLoss,
        chargerLoss,
        portLoss,
        delivered,
        deliveredDc);
  }

  /** Energy out of the DC port at its own terminals, leads not counted, Wh. */
  public double deliveredAtPort() {
    return deliveredAtPort;
  }

  public double seconds() {
    return seconds;
  }

  public double stateOfCharge() {
    return pack.stateOfCharge();
  }

  public double packCelsius() {
    return pack.celsius();
  }

  /** At the outlet, V; 0 when it is dead. */
  public double acVolts() {
    return acVolts;
  }

  /** What the load takes. */
  public LoadDraw draw() {
    return draw;
  }

  /** Whether the outlet is alive. */
  public boolean alive() {
    return acVolts > 0;
  }

  /** At the pack's terminals, V. */
  public double dcVolts() {
    return dcVolts;
  }

  /** Out of the pack, A; negative while it charges. */
  public double dcAmps() {
    return dcAmps;
  }

  /** At the 12 V port, V. */
  public double portVolts() {
    return portVolts;
  }

  public double portAmps() {
    return portAmps;
  }

  /** At the electronic load's terminals, behind the leads, V. */
  public double dcLoadVolts() {
    return loadVolts;
  }

  /** From the wall, W: charging and pass-through together. */
  public double wallWatts() {
    return wallWatts;
  }

  /** Into the DC input, W. */
  public double dcInputWatts() {
    return intake.dc().watts();
  }

  /** At the DC input, V; those of the open source where nothing flows. */
  public double dcInputVolts() {
    return intake.dc().volts();
  }

  /** Into the DC input, A. */
  public double dcInputAmps() {
    return intake.dc().amps();
  }

  /** Into the USB-C port, W. */
  public double usbInputWatts() {
    return intake.usbWatts();
  }

  /** Light on what feeds the DC input, lx; NaN where it is no panel. */
  public double lux() {
    return feeds.dc().map(f -> f.lux(seconds)).orElse(Double.NaN);
  }

  /** What keeps each inlet that is fed from more, which no tester sees. */
  public Map<Inlet, LimitingFactor> limits() {
    return intake.limits();
  }

  public double caseCelsius() {
    return caseCelsius;
  }

  /** At the plug in the outlet, whose contacts warm with the square of the current. */
  public double plugCelsius() {
    return caseCelsius + plugKelvin;
  }

  public double roomCelsius() {
    return roomCelsius;
  }

  /** The fan steps that run. */
  public int fans() {
    return inverter.fans();
  }

  /** Why the output is off; the state's name in lower case, such as {@code tripped}. */
  public String outputState() {
    return inverter.state().name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  public BatteryManagement management() {
    return management;
  }

  /** Charge as the display shows it, before rounding, %. */
  double shownChargeNow() {
    return displayCharge;
  }

  /** Minutes to full as the display reckons them: what is missing at the watts of now. */
  double shownMinutes() {
    double watts = intake.watts();
    double missing = (100 - displayCharge) / 100 * design.pack().wattHours();
    return watts > 1 ? 60 * missing / watts : Double.NaN;
  }

  /** Output watts as the display shows them. */
  double shownWatts() {
    DisplayDesign display = design.display();
    double shown = draw.watts() * display.powerScale() + display.powerOffset();
    return draw.watts() < display.floorWatts() ? 0 : shown;
  }

  /** The current of the load at one point of the period of its volts, A. */
  public double currentAt(double turn) {
    double apparent = acVolts * draw.amps();
    double factor = apparent > 0 ? Math.min(1, draw.watts() / apparent) : 1;
    double lag = Math.acos(factor) / (2 * Math.PI);
    return draw.amps() * shape().at(turn - lag, inverter.share());
  }

  /** The output wave now at one point of its period, V. */
  public double waveAt(double turn) {
    return acVolts * shape().at(turn, inverter.share());
  }

  /** The mains' own while they are handed through. */
  private WaveShape shape() {
    return handingThrough() ? WaveShape.MAINS : design.inverter().shape();
  }
}

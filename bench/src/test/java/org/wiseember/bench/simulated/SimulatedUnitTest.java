package org.wiseember.bench.simulated;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.SplittableRandom;
import java.util.function.Consumer;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.simulated.design.ChargerDesign;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.InverterDesign;
import org.wiseember.bench.simulated.design.OverloadDesign;
import org.wiseember.bench.simulated.design.PackDesign;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.ElectronicLoad;
import org.wiseember.bench.simulated.load.Fridge;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.bench.simulated.load.Load;
import org.wiseember.bench.simulated.load.LoadDraw;
import org.wiseember.bench.simulated.load.Motor;
import org.wiseember.bench.simulated.load.PowerStrip;
import org.wiseember.bench.simulated.load.Rectifier;
import org.wiseember.bench.simulated.load.WaveShape;
import org.wiseember.core.Thorough;

public class SimulatedUnitTest {
  private static final UnitDesign PLAIN = UnitDesign.typical(Chemistry.LFP, 1000, 1000, 230, 1);

  private static SimulatedUnit unit(Load load, double charge) {
    return new SimulatedUnit(PLAIN, load, charge, 22);
  }

  private static Load load(int kind, double rated, double volts) {
    return switch (kind) {
      case 0 -> Heater.of(0.6 * rated, volts);
      case 1 -> Heater.cycling(0.7 * rated, volts);
      case 2 -> new Rectifier(0.3 * rated, volts);
      case 3 -> new Fridge(90, volts, 250);
      case 4 -> new Motor(0.2 * rated, volts, 5, 0.5);
      default ->
          PowerStrip.of(Heater.of(0.3 * rated, volts), new Motor(0.1 * rated, volts, 6, 0.4));
    };
  }

  @DataProvider
  Object[][] procedures() {
    Consumer<SimulatedUnit> drain = u -> u.load(true);
    Consumer<SimulatedUnit> charge = u -> u.wall(true);
    Consumer<SimulatedUnit> dcCharge =
        u -> {
          u.dcSource().volts(30);
          u.dcSource().limitAmps(8);
          u.dcSource().on(true);
        };
    Consumer<SimulatedUnit> mixed = charge.andThen(dcCharge);
    Consumer<SimulatedUnit> pass = charge.andThen(drain).andThen(u -> u.passThrough(true));
    Consumer<SimulatedUnit> port =
        u -> {
          u.port(true);
          u.dcLoad().mode(ElectronicLoad.Mode.POWER);
          u.dcLoad().setting(80);
          u.dcLoad().on(true);
        };
    return new Object[][] {
      {"drain", drain},
      {"idle", (Consumer<SimulatedUnit>) u -> {}},
      {"wall charge", charge},
      {"DC charge", dcCharge},
      {"mixed charge", mixed},
      {"pass-through", pass},
      {"12 V port", port},
      {"port and outlet", drain.andThen(port)},
      {"charge under load", mixed.andThen(drain)},
    };
  }

  /** In = out + loss + stored, within 0.1 % of what moved, for every procedure, unit and load. */
  @Test(dataProvider = "procedures")
  public void energyIsConserved(String name, Consumer<SimulatedUnit> procedure) {
    for (long seed = 1; seed <= Thorough.tries(9, 24); seed++) {
      SplittableRandom random = new SplittableRandom(seed * 77);
      Chemistry chemistry = Chemistry.values()[random.nextInt(3)];
      double wattHours = 200 + 1500 * random.nextDouble();
      double rated = wattHours * (0.6 + random.nextDouble());
      UnitDesign design = UnitDesign.typical(chemistry, wattHours, rated, 230, 1);
      design = design.with(design.pack().withImbalance(0.1 * random.nextDouble()));
      double start = name.contains("charge") ? 0.1 + 0.3 * random.nextDouble() : 1;
      SimulatedUnit unit = new SimulatedUnit(design, load((int) (seed % 6), rated, 230), start, 22);
      procedure.accept(unit);
      for (int i = 0; i < 240; i++) {
        unit.advance(60);
      }
      EnergyAccount account = unit.account();
      assertEquals(
          account.imbalance(), 0, 0.001 * account.turnover(), name + ", seed " + seed + account);
      assertTrue(
          account.storedNow() <= design.pack().wattHours() * 1.01, "overfull, " + name + account);
    }
  }

  /** The thermal image has an exact solution at constant load; IEC 60255-149, from memory. */
  @Test
  public void overloadTripsWhenTheThermalImageSays() {
    for (double share : new double[] {1.15, 1.25, 1.5, 1.8}) {
      for (double before : new double[] {0, 0.7}) {
        OverloadDesign overload = PLAIN.inverter().overload();
        Load step = new TwoStep(before * 1000, share * 1000, 900);
        SimulatedUnit unit = unit(step, 1);
        unit.load(true);
        double expected = overload.tripSeconds(share, before);
        unit.advance(900);
        assertTrue(unit.alive());
        double held = 0;
        while (unit.alive()) {
          unit.advance(0.25);
          held += 0.25;
        }
        assertEquals(held, expected, 0.03 * expected + 0.5, share + " after " + before);
        assertEquals(unit.outputState(), "tripped");
      }
    }
  }

  /** Constant power, first one, then another. */
  private static final class TwoStep implements Load {
    private final double first;
    private final double second;
    private final double after;
    private double seconds;

    TwoStep(double first, double second, double after) {
      this.first = first;
      this.second = second;
      this.after = after;
    }

    @Override
    public LoadDraw at(double volts, WaveShape shape) {
      double watts = volts <= 0 ? 0 : seconds < after ? first : second;
      double amps = volts > 0 ? watts / volts : 0;
      return new LoadDraw(watts, amps, amps);
    }

    @Override
    public void pass(double volts, double passed) {
      seconds += passed;
    }
  }

  @Test
  public void aLatchedTripWaitsForAHandAndRemembersItsHeat() {
    SimulatedUnit unit = unit(new TwoStep(1300, 1300, 1e9), 1);
    unit.load(true);
    double first = secondsAlive(unit);
    unit.advance(5);
    assertFalse(unit.alive(), "it latches");
    unit.output(true);
    double second = secondsAlive(unit);
    assertTrue(second < 0.5 * first, "warm from the first try: " + first + " then " + second);
    unit.load(false);
    unit.advance(1200);
    unit.output(true);
    unit.load(true);
    assertEquals(secondsAlive(unit), first, 0.05 * first, "after a rest it holds as at first");
  }

  private static double secondsAlive(SimulatedUnit unit) {
    double seconds = 0;
    unit.advance(0.25);
    while (unit.alive() && seconds < 4000) {
      unit.advance(0.25);
      seconds += 0.25;
    }
    return seconds;
  }

  @Test
  public void aMotorStartsWhereTheInverterIsStrongEnough() {
    Motor small = new Motor(150, 230, 6, 0.5);
    SimulatedUnit strong = unit(small, 1);
    strong.load(true);
    strong.advance(5);
    assertTrue(small.running() && strong.alive());
    assertEquals(strong.draw().watts(), 150, 1);

    Motor large = new Motor(700, 230, 7, 0.5);
    SimulatedUnit weak = unit(large, 1);
    weak.load(true);
    weak.advance(5);
    assertFalse(large.running());
    assertEquals(weak.outputState(), "tripped", "the current limit gives up");
  }

  /** A weaker source limits its own inrush: common practice, no published source. */
  @Test
  public void theCurrentLimitHoldsTheInrushDown() {
    double strong = firstAmps(UnitDesign.typical(Chemistry.LFP, 3000, 3000, 230, 1));
    double weak = firstAmps(PLAIN);
    assertTrue(weak < 0.8 * strong, weak + " and " + strong);
  }

  private static double firstAmps(UnitDesign design) {
    SimulatedUnit unit = new SimulatedUnit(design, new Motor(500, 230, 6, 0.5), 1, 22);
    unit.load(true);
    unit.advance(0.02);
    return unit.draw().amps();
  }

  @Test
  public void chargingTapersAndEnds() {
    SimulatedUnit unit = unit(PowerStrip.of(), 0.3);
    unit.wall(true);
    unit.advance(60);
    double peak = unit.wallWatts();
    assertEquals(peak, PLAIN.charger().wallWatts(), 1);
    double knee = Double.NaN;
    for (int i = 0; i < 600 && unit.wallWatts() > 0; i++) {
      unit.advance(30);
      if (Double.isNaN(knee) && unit.wallWatts() < 0.98 * peak) {
        knee = unit.stateOfCharge();
      }
    }
    assertEquals(knee, PLAIN.charger().taperFrom(), 0.02);
    assertEquals(unit.wallWatts(), 0, 0);
    assertTrue(unit.stateOfCharge() > 0.97, "full: " + unit.stateOfCharge());
  }

  @Test
  public void aHotPackChargesSlowerAndAColdOneNotAtAll() {
    ChargerDesign charger = PLAIN.charger();
    assertEquals(charger.share(0.5, 25), 1.0);
    assertTrue(charger.share(0.5, 50) < 0.5);
    assertEquals(charger.share(0.5, -3), 0.0);
    SimulatedUnit cold = new SimulatedUnit(PLAIN, PowerStrip.of(), 0.5, -10);
    cold.wall(true);
    cold.advance(60);
    assertEquals(cold.wallWatts(), 0.0);
    assertEquals(cold.management(), BatteryManagement.TOO_COLD);
  }

  @Test
  public void theDcInputKeepsItsWindow() {
    SimulatedUnit unit = unit(PowerStrip.of(), 0.3);
    unit.dcSource().on(true);
    unit.dcSource().limitAmps(20);
    for (double[] pair : new double[][] {{9, 0}, {13, 156}, {30, 360}, {50, 400}, {61, 0}}) {
      unit.dcSource().volts(pair[0]);
      unit.advance(5);
      assertEquals(unit.dcInputWatts(), pair[1], 0.5, pair[0] + " V");
    }
  }

  @Test
  public void mixedSourcesShareTheCap() {
    SimulatedUnit unit = unit(PowerStrip.of(), 0.3);
    unit.wall(true);
    unit.dcSource().volts(40);
    unit.dcSource().on(true);
    unit.advance(30);
    assertEquals(unit.dcInputWatts(), 400, 1, "the DC input comes first");
    assertEquals(unit.wallWatts() + unit.dcInputWatts(), PLAIN.charger().capWatts(), 1);
  }

  @Test
  public void passThroughGivesWhatTheWallGives() {
    SimulatedUnit unit = unit(Heater.of(600, 230), 1);
    unit.wall(true);
    unit.passThrough(true);
    unit.load(true);
    double before = unit.stateOfCharge();
    unit.advance(1800);
    assertTrue(unit.wallWatts() > 590);
    assertEquals(unit.stateOfCharge(), before, 0.02, "the pack does not feed the load");
  }

  @Test
  public void anElectronicLoadMayStopBeforeTheUnitDoes() {
    SimulatedUnit unit = unit(PowerStrip.of(), 1);
    unit.port(true);
    unit.dcLoad().setting(9);
    unit.dcLoad().stopVolts(12.5);
    unit.dcLoad().on(true);
    unit.advance(10);
    assertTrue(unit.dcLoad().stoppedItself(), "the leads lose 1.35 V of 13.3 V");
    assertTrue(unit.portVolts() > 13);
    unit.dcLoad().setting(11);
    unit.dcLoad().stopVolts(0);
    unit.dcLoad().on(true);
    unit.advance(1);
    assertEquals(unit.portVolts(), 0.0, "11 A trips a port for 10 A");
  }

  @Test
  public void ecoModePutsASmallLoadToSleep() {
    InverterDesign eco = PLAIN.inverter().withEco(15, 600);
    SimulatedUnit unit = new SimulatedUnit(PLAIN.with(eco), Heater.of(8, 230), 1, 22);
    unit.load(true);
    unit.advance(590);
    assertTrue(unit.alive());
    unit.advance(20);
    assertEquals(unit.outputState(), "asleep");
  }

  @Test
  public void anUnevenPackStopsOnItsWeakCell() {
    SimulatedUnit unit =
        new SimulatedUnit(PLAIN.with(PLAIN.pack().withImbalance(0.15)), Heater.of(500, 230), 1, 22);
    unit.load(true);
    while (unit.alive()) {
      unit.advance(1);
    }
    assertEquals(unit.management(), BatteryManagement.LOW_CELL);
    assertTrue(unit.stateOfCharge() > 0.08, "charge left in the others: " + unit.stateOfCharge());
  }

  @Test
  public void fadeTakesCapacityAndAddsResistance() {
    PackDesign old = PLAIN.pack().faded(0.2);
    assertEquals(old.wattHours(), 0.8 * PLAIN.pack().wattHours(), 1e-9);
    assertEquals(old.ohms(), 1.2 * PLAIN.pack().ohms(), 1e-12);
  }

  /** A cycling load is on about two minutes and off under one; its compressor starts anew. */
  @Test
  public void fridgeAndThermostatCycle() {
    for (Load load : new Load[] {Heater.cycling(600, 230), new Fridge(90, 230, 0)}) {
      SimulatedUnit unit =
          new SimulatedUnit(UnitDesign.typical(Chemistry.LFP, 4000, 1000, 230, 1), load, 1, 22);
      unit.load(true);
      int changes = 0;
      boolean was = false;
      for (int i = 0; i < 6 * 3600; i += 5) {
        unit.advance(5);
        boolean on = unit.draw().watts() > 40;
        changes += on != was ? 1 : 0;
        was = on;
      }
      assertTrue(changes >= 6, load + " changed " + changes + " times");
    }
  }

  /**
   * RMS is 1 whatever the shape; an averaging meter shows 0.7854 of a stepped wave that rests half
   * of the time and 1.1107 of a square wave: π√d ÷ (2√2), exact.
   */
  @Test
  public void wavesAreScaledAndFoolAveragingMeters() {
    for (WaveShape shape : WaveShape.values()) {
      int n = 4000;
      double squares = 0;
      double mean = 0;
      for (int k = 0; k < n; k++) {
        double v = shape.at((k + 0.5) / n, 0.5);
        squares += v * v / n;
        mean += Math.abs(v) / n;
      }
      assertEquals(Math.sqrt(squares), 1, 1e-6, shape.name());
      assertEquals(
          shape.averagingFactor(0.5), mean * Math.PI / (2 * Math.sqrt(2)), 2e-3, shape.name());
    }
    assertEquals(WaveShape.MODIFIED.averagingFactor(0), 0.7854, 5e-5);
    assertEquals(WaveShape.SQUARE.averagingFactor(0), 1.1107, 5e-5);
  }
}

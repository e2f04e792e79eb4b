package org.wiseember.bench.emulator;

import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.BiConsumer;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import org.wiseember.bench.simulated.SimulatedMeter;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.load.ElectronicLoad;
import org.wiseember.core.uncertainty.MeterClass;

/** The six instruments on a stand-in bench, each as true as its class. */
final class Emulators {
  static final MeterClass AC_POWER = MeterClass.ofReading(0.5, 2, 0.1);
  static final MeterClass AC_VOLTS = MeterClass.ofReading(0.3, 1, 0.1);
  static final MeterClass AC_AMPS = MeterClass.ofReading(0.5, 1, 0.01);
  static final MeterClass HERTZ = MeterClass.ofReading(0.02, 0, 0.01);
  static final MeterClass DC_VOLTS = MeterClass.ofReading(0.1, 1, 0.01);
  static final MeterClass DC_AMPS = MeterClass.ofReading(0.5, 1, 0.01);
  static final MeterClass FINE_VOLTS = MeterClass.ofReading(0.05, 2, 0.001);
  static final MeterClass FINE_AMPS = MeterClass.ofReading(0.1, 2, 0.001);
  static final MeterClass CELSIUS = MeterClass.ofReading(0, 5, 0.1);

  private final EmulatedBench bench;
  private final Map<String, SimulatedMeter> meters = new TreeMap<>();
  private double energyZero;

  Emulators(EmulatedBench bench) {
    this.bench = bench;
  }

  /** What a meter of the bench shows now. */
  synchronized double shown(
      String meter, MeterClass meterClass, ToDoubleFunction<SimulatedUnit> truth) {
    SimulatedMeter drawn =
        meters.computeIfAbsent(
            meter, m -> new SimulatedMeter(meterClass, new SplittableRandom(bench.seed(m))));
    double jitter = bench.jitter(0.0004);
    return drawn.read(bench.with(truth::applyAsDouble) * jitter);
  }

  double acVolts() {
    return shown("ac volts", AC_VOLTS, SimulatedUnit::acVolts);
  }

  double acAmps() {
    return Math.max(0, shown("ac amps", AC_AMPS, u -> u.draw().amps()));
  }

  double acWatts() {
    return Math.max(0, shown("ac watts", AC_POWER, u -> u.draw().watts()));
  }

  double hertz() {
    return shown("hertz", HERTZ, u -> u.alive() ? u.design().inverter().hertz() : 0);
  }

  double acWattHours() {
    double truth = bench.with(u -> u.account().delivered()) - energyZero;
    return Math.floor(truth * energyGain() * 10) / 10;
  }

  private synchronized double energyGain() {
    SimulatedMeter drawn =
        meters.computeIfAbsent(
            "ac energy",
            m ->
                new SimulatedMeter(
                    MeterClass.ofReading(0.5, 0, 0), new SplittableRandom(bench.seed(m))));
    return drawn.read(1);
  }

  void clearEnergy() {
    energyZero = bench.with(u -> u.account().delivered());
  }

  double dcVolts() {
    return shown("dc volts", DC_VOLTS, SimulatedUnit::dcVolts);
  }

  double dcAmps() {
    return shown("dc amps", DC_AMPS, SimulatedUnit::dcAmps);
  }

  double loadVolts() {
    return shown("load volts", FINE_VOLTS, SimulatedUnit::dcLoadVolts);
  }

  double loadAmps() {
    return shown("load amps", FINE_AMPS, SimulatedUnit::portAmps);
  }

  double sourceVolts() {
    return shown("source volts", FINE_VOLTS, u -> u.dcSource().isOn() ? u.dcSource().volts() : 0);
  }

  double sourceAmps() {
    return shown(
        "source amps",
        FINE_AMPS,
        u ->
            u.dcSource().isOn() && u.dcSource().volts() > 0
                ? u.dcInputWatts() / u.dcSource().volts()
                : 0);
  }

  double caseCelsius() {
    return shown("case", CELSIUS, SimulatedUnit::caseCelsius);
  }

  double roomCelsius() {
    return shown("room", CELSIUS, SimulatedUnit::roomCelsius);
  }

  private static String text(double value) {
    return ScpiInstrument.number(value);
  }

  ScpiInstrument acMeter() {
    CommandTree tree = new CommandTree();
    for (String verb : new String[] {"MEASure", "FETCh", "READ"}) {
      tree.ask(verb + "[:SCALar]:VOLTage[:AC]?", () -> text(acVolts()))
          .ask(verb + "[:SCALar]:CURRent[:AC]?", () -> text(acAmps()))
          .ask(verb + "[:SCALar]:POWer[:AC][:REAL]?", () -> text(acWatts()))
          .ask(verb + "[:SCALar]:POWer[:AC]:APParent?", () -> text(acVolts() * acAmps()))
          .ask(verb + "[:SCALar]:FREQuency?", () -> text(hertz()))
          .ask(verb + "[:SCALar]:ENERgy?", () -> text(acWattHours()));
    }
    tree.command(
            "[SENSe:]ENERgy:CLEar",
            a -> {
              a.none();
              clearEnergy();
            })
        .command(
            "OUTPut[:STATe]",
            a -> {
              boolean on = a.bool();
              use(u -> u.load(on));
            })
        .ask("OUTPut[:STATe]?", () -> bool(bench.with(SimulatedUnit::loadOn)));
    return new ScpiInstrument("AC meter", tree, () -> use(u -> u.load(false)));
  }

  ScpiInstrument dcMeter() {
    CommandTree tree = new CommandTree();
    for (String verb : new String[] {"MEASure", "FETCh", "READ"}) {
      tree.ask(verb + "[:SCALar]:VOLTage[:DC]?", () -> text(dcVolts()))
          .ask(verb + "[:SCALar]:CURRent[:DC]?", () -> text(dcAmps()))
          .ask(verb + "[:SCALar]:POWer[:DC]?", () -> text(dcVolts() * dcAmps()));
    }
    return new ScpiInstrument("DC meter", tree, () -> {});
  }

  ScpiInstrument dcLoad() {
    CommandTree tree = new CommandTree();
    setting(tree, "CURRent", ElectronicLoad.Mode.CURRENT, 0, 40, "A");
    setting(tree, "POWer", ElectronicLoad.Mode.POWER, 0, 400, "W");
    setting(tree, "RESistance", ElectronicLoad.Mode.RESISTANCE, 0.1, 10_000, "OHM");
    String[] modes = {"CURRent", "POWer", "RESistance"};
    tree.command(
            "[SOURce:]FUNCtion[:MODE]",
            a -> {
              ElectronicLoad.Mode mode = ElectronicLoad.Mode.values()[a.choice(modes)];
              useLoad(l -> l.mode(mode));
            })
        .ask(
            "[SOURce:]FUNCtion[:MODE]?",
            () -> Arguments.shortForm(modes[bench.with(u -> u.dcLoad().mode().ordinal())]))
        .command(
            "[SOURce:]VOLTage:LIMit:LOW",
            a -> {
              double volts = a.number(0, 60, 0, "V");
              useLoad(l -> l.stopVolts(volts));
            })
        .level(
            "[SOURce:]VOLTage:LIMit:LOW?", 0, 60, 0, () -> bench.with(u -> u.dcLoad().stopVolts()))
        .command(
            "INPut[:STATe]",
            a -> {
              boolean on = a.bool();
              useLoad(l -> l.on(on));
            })
        .ask("INPut[:STATe]?", () -> bool(bench.with(u -> u.dcLoad().isOn())))
        .ask("MEASure[:SCALar]:VOLTage[:DC]?", () -> text(loadVolts()))
        .ask("MEASure[:SCALar]:CURRent[:DC]?", () -> text(loadAmps()))
        .ask("MEASure[:SCALar]:POWer[:DC]?", () -> text(loadVolts() * loadAmps()));
    return new ScpiInstrument(
        "DC load",
        tree,
        () ->
            useLoad(
                l -> {
                  l.on(false);
                  l.mode(ElectronicLoad.Mode.CURRENT);
                  l.clear();
                  l.stopVolts(0);
                }));
  }

  private void setting(
      CommandTree tree,
      String header,
      ElectronicLoad.Mode mode,
      double least,
      double most,
      String unit) {
    tree.command(
            "[SOURce:]" + header + "[:LEVel][:IMMediate][:AMPLitude]",
            a -> {
              double value = a.number(least, most, least, unit);
              useLoad(
                  l -> {
                    l.mode(mode);
                    l.setting(value);
                  });
            })
        .level(
            "[SOURce:]" + header + "[:LEVel][:IMMediate][:AMPLitude]?",
            least,
            most,
            least,
            () -> bench.with(u -> u.dcLoad().setting(mode)));
  }

  ScpiInstrument dcSource() {
    CommandTree tree = new CommandTree();
    tree.command(
            "[SOURce:]VOLTage[:LEVel][:IMMediate][:AMPLitude]",
            a -> {
              double volts = a.number(0, 60, 0, "V");
              use(u -> u.dcSource().volts(volts));
            })
        .level(
            "[SOURce:]VOLTage[:LEVel][:IMMediate][:AMPLitude]?",
            0,
            60,
            0,
            () -> bench.with(u -> u.dcSource().volts()))
        .command(
            "[SOURce:]CURRent[:LEVel][:IMMediate][:AMPLitude]",
            a -> {
              double amps = a.number(0, 30, 0, "A");
              use(u -> u.dcSource().limitAmps(amps));
            })
        .level(
            "[SOURce:]CURRent[:LEVel][:IMMediate][:AMPLitude]?",
            0,
            30,
            0,
            () -> bench.with(u -> u.dcSource().limitAmps()))
        .command(
            "OUTPut[:STATe]",
            a -> {
              boolean on = a.bool();
              use(u -> u.dcSource().on(on));
            })
        .ask("OUTPut[:STATe]?", () -> bool(bench.with(u -> u.dcSource().isOn())))
        .ask("MEASure[:SCALar]:VOLTage[:DC]?", () -> text(sourceVolts()))
        .ask("MEASure[:SCALar]:CURRent[:DC]?", () -> text(sourceAmps()))
        .ask("MEASure[:SCALar]:POWer[:DC]?", () -> text(sourceVolts() * sourceAmps()));
    return new ScpiInstrument(
        "DC source",
        tree,
        () ->
            use(
                u -> {
                  u.dcSource().on(false);
                  u.dcSource().volts(0);
                  u.dcSource().limitAmps(10);
                }));
  }

  ScpiInstrument thermometer() {
    CommandTree tree = new CommandTree();
    for (String verb : new String[] {"MEASure", "FETCh", "READ"}) {
      tree.query(
          verb + "[:SCALar]:TEMPerature?",
          a -> text(a.channel(101, 102) == 101 ? caseCelsius() : roomCelsius()));
    }
    return new ScpiInstrument("Thermometer", tree, () -> {});
  }

  /** The unit's own buttons and its plug, for whoever stands at the bench. */
  ScpiInstrument buttons() {
    CommandTree tree = new CommandTree();
    button(tree, "BUTTon:AC", SimulatedUnit::output, SimulatedUnit::alive);
    button(tree, "BUTTon:DC", SimulatedUnit::port, SimulatedUnit::portOn);
    button(tree, "BUTTon:ECO", SimulatedUnit::eco, SimulatedUnit::ecoOn);
    button(tree, "PLUG:WALL", SimulatedUnit::wall, SimulatedUnit::pluggedIn);
    return new ScpiInstrument("Unit", tree, () -> {});
  }

  private void button(
      CommandTree tree,
      String header,
      BiConsumer<SimulatedUnit, Boolean> press,
      Predicate<SimulatedUnit> lit) {
    tree.command(
            header,
            a -> {
              boolean on = a.bool();
              use(u -> press.accept(u, on));
            })
        .ask(header + "?", () -> bool(bench.with(lit::test)));
  }

  ScpiInstrument scope() {
    return new Scope(bench).instrument();
  }

  private static String bool(boolean on) {
    return on ? "1" : "0";
  }

  private void use(java.util.function.Consumer<SimulatedUnit> change) {
    bench.with(
        u -> {
          change.accept(u);
          return u;
        });
  }

  private void useLoad(java.util.function.Consumer<ElectronicLoad> change) {
    use(u -> change.accept(u.dcLoad()));
  }
}

package org.wiseember.trial.rig;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.Start;
import org.wiseember.bench.simulated.design.ChargerDesign;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.OverloadDesign;
import org.wiseember.bench.simulated.design.PackDesign;
import org.wiseember.bench.simulated.design.PortDesign;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.bench.simulated.load.WaveShape;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.solar.Port;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestSettings;

/**
 * Puts a stand-in for a unit on the simulated bench. What it truly holds is drawn from its name and
 * differs from its label, as with real units.
 */
public final class SimulatedUnits {
  /** Below this load for this long, eco mode puts the output to sleep. */
  private static final double ECO_WATTS = 8;

  private static final double ECO_SECONDS = 120;

  /** A battery for an inverter holds so many times 500 Wh. */
  private static final double BATTERY_SHARE = 3;

  private SimulatedUnits() {}

  /** A rested stand-in with what the plan wants on the bench. */
  public static SimulatedBench bench(
      String unitName, Label label, TestPlan plan, long seed, Set<Fault> faults) {
    TestSettings settings = plan.settings();
    double outlet = settings.atPort() ? FromLabel.volts(label) : settings.volts();
    SimulatedRig rig = settings.simulated(outlet, faults, seed);
    return new SimulatedBench(
        design(unitName, label, settings.designWatts(), outlet),
        rig.loads(),
        Start.rested(rig.charge()),
        seed,
        faults,
        rig.clamped(),
        rig.beside(),
        rig.feeds());
  }

  /** The same stand-in without meters, for the servers. */
  public static SimulatedUnit unit(String unitName, Label label, double roomCelsius) {
    double volts = FromLabel.volts(label);
    double watts = label.ratedWatts().map(w -> w / 2).orElse(FromLabel.USUAL_WATTS);
    return new SimulatedUnit(
        design(unitName, label, watts, volts), Heater.of(watts, volts), 1, roomCelsius);
  }

  private static UnitDesign design(String unitName, Label label, double watts, double outletVolts) {
    double rated = label.ratedWatts().orElse(Math.max(2 * watts, FromLabel.USUAL_WATTS));
    double wattHours = label.ratedWattHours().orElse(500.0);
    // 93 to 105 % of the printed capacity in the cells; the outlet sees less.
    double share = 0.93 + 0.12 * Math.floorMod(spread(unitName), 1000) / 1000.0;
    UnitDesign design =
        UnitDesign.typical(chemistry(label), wattHours, Math.max(rated, watts), outletVolts, share)
            .with(shape(label));
    UnitDesign own =
        onBattery(label, design).with(design.inverter().withEco(ECO_WATTS, ECO_SECONDS));
    return withItsLimits(unitName, label, own);
  }

  /** Overload, switch-over and port differ from unit to unit, as the name has it. */
  private static UnitDesign withItsLimits(String unitName, Label label, UnitDesign design) {
    double a = Math.floorMod(spread(unitName + "overload"), 1000) / 1000.0;
    double b = Math.floorMod(spread(unitName + "transfer"), 1000) / 1000.0;
    double c = Math.floorMod(spread(unitName + "port"), 1000) / 1000.0;
    OverloadDesign usual = OverloadDesign.usual();
    ChargerDesign charger = design.charger();
    double amps = label.claim(Subject.DC_PORT_CURRENT).map(Claim::figure).orElse(10.0);
    PortDesign port = PortDesign.usual();
    return design
        .with(
            new OverloadDesign(
                usual.pickUp() + 0.05 * a,
                60 + 130 * a,
                usual.peak(),
                usual.peakSeconds(),
                a < 0.7,
                a < 0.7 ? 0 : 20))
        .with(
            charger
                .fromWall(
                    wallWatts(label, charger, b),
                    Math.max(charger.capWatts(), wallWatts(label, charger, b)),
                    0.008 + 0.015 * b)
                .at(dcPort(label, charger, b)))
        .with(
            new PortDesign(
                port.volts(),
                0.03 * c,
                amps * (0.98 + 0.1 * c),
                port.efficiency(),
                port.idleWatts(),
                port.leadOhms()));
  }

  /** A DC input that keeps its printed volts, and draws a little less or more than printed. */
  private static Port dcPort(Label label, ChargerDesign usual, double spread) {
    Optional<Port> printed = LabelInputs.port(label);
    if (printed.isEmpty()) {
      return usual.dcPort();
    }
    double off = 0.95 + 0.07 * spread;
    Port port = printed.get();
    return new Port(
        port.leastVolts(),
        port.mostVolts(),
        off * Math.min(port.amps(), 30),
        off * Math.min(port.watts(), 30 * port.mostVolts()));
  }

  /** What it truly takes from the wall: 92 to 103 % of what the label says. */
  private static double wallWatts(Label label, ChargerDesign usual, double spread) {
    return label
        .claim(Subject.MAINS_POWER)
        .map(c -> c.figure() * (0.92 + 0.11 * spread))
        .orElse(usual.wallWatts());
  }

  /** An inverter on a battery of its own gets one of the volts its label asks for. */
  private static UnitDesign onBattery(Label label, UnitDesign design) {
    Optional<Double> volts = label.claim(Subject.INPUT_VOLTAGE).map(Claim::figure);
    if (volts.isEmpty() || label.ratedWattHours().isPresent()) {
      return design;
    }
    PackDesign pack = design.pack();
    int cells = (int) Math.max(1, Math.round(volts.get() / pack.chemistry().openCircuitVolts(0.3)));
    double share = (double) pack.seriesCells() / cells;
    return design.with(
        new PackDesign(
            pack.chemistry(),
            cells,
            BATTERY_SHARE * pack.ampHours() * share,
            pack.ohms() / (share * share * BATTERY_SHARE),
            pack.reserve(),
            pack.imbalance(),
            pack.wattHoursPerKelvin() * BATTERY_SHARE));
  }

  private static int spread(String name) {
    int h = 17;
    for (char c : name.toLowerCase(Locale.ROOT).toCharArray()) {
      h = h * 131 + c;
    }
    return h ^ (h >>> 15);
  }

  private static WaveShape shape(Label label) {
    String word = label.claim(Subject.WAVEFORM).map(Claim::word).orElse("");
    return word.contains("modified")
        ? WaveShape.MODIFIED
        : word.contains("square") ? WaveShape.SQUARE : WaveShape.SINE;
  }

  private static Chemistry chemistry(Label label) {
    return switch (label.claim(Subject.CHEMISTRY).map(Claim::word).orElse("LFP")) {
      case "NMC", "lithium-ion" -> Chemistry.NMC;
      case "lead-acid" -> Chemistry.LEAD_ACID;
      default -> Chemistry.LFP;
    };
  }
}

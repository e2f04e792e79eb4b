package org.wiseember.trial;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.simulated.ChargerDesign;
import org.wiseember.bench.simulated.Chemistry;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.Feeds;
import org.wiseember.bench.simulated.Fridge;
import org.wiseember.bench.simulated.Heater;
import org.wiseember.bench.simulated.LoadBank;
import org.wiseember.bench.simulated.Motor;
import org.wiseember.bench.simulated.OverloadDesign;
import org.wiseember.bench.simulated.PackDesign;
import org.wiseember.bench.simulated.PortDesign;
import org.wiseember.bench.simulated.Practice;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.Start;
import org.wiseember.bench.simulated.UnitDesign;
import org.wiseember.bench.simulated.WaveShape;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.solar.Port;
import org.wiseember.core.start.Nameplate;

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

  private static final double HALF_FULL = 0.6;

  /** Where its management stopped the drain. */
  private static final double EMPTY = 0.02;

  private static final double MOTOR_FACTOR = 0.8;
  private static final double SOFT = 0.45;
  private static final double START_SECONDS = 0.3;

  private SimulatedUnits() {}

  /** A rested stand-in with the loads of the plan; fully charged but for a switch-over. */
  public static SimulatedBench bench(
      String unitName, Label label, TestPlan plan, long seed, Set<Fault> faults) {
    boolean atPort = plan.kind() == TestKind.DC_DRAIN || plan.kind() == TestKind.PORT;
    double outlet = atPort ? TestPlan.volts(label) : plan.volts();
    return new SimulatedBench(
        design(
            unitName, label, atPort || plan.kind() == TestKind.OVERLOAD ? 0 : plan.watts(), outlet),
        loads(plan, outlet, faults),
        Start.rested(
            plan.kind() == TestKind.SWITCH_OVER
                ? HALF_FULL
                : plan.kind() == TestKind.CHARGE ? EMPTY : 1),
        seed,
        faults,
        plan.kind().clamped(),
        plan.kind().beside(plan.charging()),
        plan.kind() == TestKind.CHARGE ? Sources.of(plan.charging(), seed) : Feeds.NONE);
  }

  private static LoadBank loads(TestPlan plan, double outlet, Set<Fault> faults) {
    return switch (plan.kind()) {
      case DC_DRAIN, PORT, IDLE, CHARGE, USB, TWO_LEGS -> new LoadBank(List.of(), List.of());
      case STARTS -> LoadBank.of(motor(plan.motor().orElse(OnHand.usualMotor())));
      case SOAK ->
          plan.watts() > 0
              ? LoadBank.of(new Fridge(plan.watts(), outlet, 0))
              : new LoadBank(List.of(), List.of());
      case OVERLOAD -> heaters(Particulars.onHand(plan.particulars()), outlet, faults);
      default -> heaters(plan.loads(), outlet, faults);
    };
  }

  private static LoadBank heaters(List<Double> watts, double outlet, Set<Fault> faults) {
    return new LoadBank(watts.stream().map(w -> Practice.load(w, outlet, faults)).toList(), watts);
  }

  /** What a motor of such a plate does at its start: common practice, no published source. */
  private static Motor motor(Nameplate plate) {
    double running = plate.volts() * (plate.amps() > 0 ? plate.amps() : 3) * MOTOR_FACTOR;
    double inrush =
        switch (plate.kind()) {
          case INDUCTION -> 5.5;
          case UNIVERSAL -> 2.6;
          case ELECTRONIC -> 1.05;
        };
    double eased = plate.eased() == Nameplate.Eased.SOFT_STARTER ? SOFT : 1;
    return new Motor(running, plate.volts(), Math.max(1.02, inrush * eased), START_SECONDS);
  }

  /** The same stand-in without meters, for the servers. */
  public static SimulatedUnit unit(String unitName, Label label, double roomCelsius) {
    TestPlan plan =
        TestPlan.acDrain(label)
            .orElse(TestPlan.acDrain(TestPlan.USUAL_WATTS, TestPlan.USUAL_VOLTS, ""));
    return new SimulatedUnit(
        design(unitName, label, plan.watts(), plan.volts()),
        Heater.of(plan.watts(), plan.volts()),
        1,
        roomCelsius);
  }

  private static UnitDesign design(String unitName, Label label, double watts, double outletVolts) {
    double rated = label.ratedWatts().orElse(Math.max(2 * watts, TestPlan.USUAL_WATTS));
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

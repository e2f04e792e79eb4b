package org.wiseember.trial;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.simulated.Chemistry;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.Heater;
import org.wiseember.bench.simulated.LoadBank;
import org.wiseember.bench.simulated.PackDesign;
import org.wiseember.bench.simulated.Practice;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.UnitDesign;
import org.wiseember.bench.simulated.WaveShape;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;

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

  /** A fully charged, rested stand-in with the loads of the plan. */
  public static SimulatedBench bench(
      String unitName, Label label, TestPlan plan, long seed, Set<Fault> faults) {
    double outlet =
        plan.kind() == TestKind.DC_DRAIN
            ? label.claim(Subject.OUTPUT_VOLTAGE).map(Claim::figure).orElse(TestPlan.USUAL_VOLTS)
            : plan.volts();
    List<Double> watts = plan.kind() == TestKind.DC_DRAIN ? List.of() : plan.loads();
    LoadBank loads =
        new LoadBank(watts.stream().map(w -> Practice.load(w, outlet, faults)).toList(), watts);
    return new SimulatedBench(
        design(unitName, label, plan.watts(), outlet),
        loads,
        1,
        seed,
        faults,
        plan.kind().clamped());
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
    return onBattery(label, design).with(design.inverter().withEco(ECO_WATTS, ECO_SECONDS));
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

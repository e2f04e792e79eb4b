package org.wiseember.trial;

import java.util.Locale;
import java.util.Set;
import org.wiseember.bench.simulated.Chemistry;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.Heater;
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
  private SimulatedUnits() {}

  /** A fully charged, rested stand-in with a load for the plan. */
  public static SimulatedBench bench(
      String unitName, Label label, DrainPlan plan, long seed, Set<Fault> faults) {
    return new SimulatedBench(
        design(unitName, label, plan),
        Practice.load(plan.watts(), plan.volts(), faults),
        1,
        seed,
        faults);
  }

  /** The same stand-in without meters, for the servers. */
  public static SimulatedUnit unit(String unitName, Label label, double roomCelsius) {
    DrainPlan plan =
        DrainPlan.of(label).orElse(new DrainPlan(DrainPlan.USUAL_WATTS, DrainPlan.USUAL_VOLTS, ""));
    return new SimulatedUnit(
        design(unitName, label, plan), Heater.of(plan.watts(), plan.volts()), 1, roomCelsius);
  }

  private static UnitDesign design(String unitName, Label label, DrainPlan plan) {
    double rated = label.ratedWatts().orElse(plan.watts() * 2);
    double wattHours = label.ratedWattHours().orElse(500.0);
    // 93 to 105 % of the printed capacity in the cells; the outlet sees less.
    double share = 0.93 + 0.12 * Math.floorMod(spread(unitName), 1000) / 1000.0;
    return UnitDesign.typical(
            chemistry(label), wattHours, Math.max(rated, plan.watts()), plan.volts(), share)
        .with(shape(label));
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

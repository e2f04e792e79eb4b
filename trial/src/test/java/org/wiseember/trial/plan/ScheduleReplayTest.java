package org.wiseember.trial.plan;

import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.simulated.Clamped;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.bench.simulated.load.Load;
import org.wiseember.bench.simulated.load.LoadBank;
import org.wiseember.core.quantity.Figures;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.plan.CampaignNotes;

/**
 * Plans that are played step by step on the simulated bench, whose cells, inverter and charger know
 * nothing of the plan's rates: every test finds the charge it needs, and none runs the unit empty
 * that was not to.
 */
public class ScheduleReplayTest {
  private static final Instant MORNING = Instant.parse("2026-05-04T08:00:00Z");

  /** A display is read to whole percents, and cells are full before the last one. */
  private static final double FULL = 97;

  /** Where management stops a drain some charge is left in the cells. */
  private static final double EMPTY = 10;

  private static final double SPAN = 20;

  @DataProvider
  Object[][] seeds() {
    return new Object[][] {{1}, {2}, {3}, {4}, {5}, {6}};
  }

  @Test(dataProvider = "seeds")
  public void everyTestFindsWhatItNeeds(int seed) throws IOException {
    SplittableRandom random = new SplittableRandom(seed);
    double rated = 200 + 400 * random.nextDouble();
    double watts = 200 + 300 * random.nextDouble();
    Chemistry chemistry = Chemistry.values()[seed % Chemistry.values().length];
    UnitDesign design =
        UnitDesign.typical(chemistry, rated, watts, 230, 0.85 + 0.15 * random.nextDouble());
    double charge = random.nextInt(101);
    String label =
        "Capacity "
            + Math.round(rated)
            + " Wh\nAC out 230 V, "
            + Math.round(watts)
            + " W\nIdle draw 12 W\nAC charging "
            + Math.round(design.charger().wallWatts())
            + " W\nFull charge in 2.5 h\nNoise 50 dB\n";
    Path folder = Files.createTempDirectory("replay");
    try (Workbook workbook =
        Workbook.open(folder.resolve("r.ember"), Clock.fixed(MORNING, ZoneOffset.UTC))) {
      long id = workbook.units().add("Lamp").id();
      workbook.units().label(id, label, List.of());
      Judgement unit = Judgement.of(workbook, workbook.units().byId(id).orElseThrow(), true);
      CampaignNotes notes =
          CampaignNotes.USUAL.charged(id, new CampaignNotes.Charge(charge, MORNING));
      Schedule schedule =
          ScheduleMaker.of(
              List.of(unit),
              OnHand.of(List.of(50.0, 100.0, 200.0, 400.0)),
              Optional.empty(),
              notes,
              MORNING,
              ZoneOffset.UTC,
              0.5);
      assertTrue(schedule.tests() >= 4, schedule.steps().toString());
      replay(schedule, bench(design, charge / 100, seed));
    }
  }

  private static SimulatedBench bench(UnitDesign design, double charge, int seed) {
    List<Load> loads = new ArrayList<>();
    List<Double> watts = new ArrayList<>();
    for (double w : new double[] {25, 50, 100, 100, 200, 400}) {
      loads.add(Heater.of(w, 230));
      watts.add(w);
    }
    return new SimulatedBench(
        design, new LoadBank(loads, watts), charge, seed, Set.of(), Clamped.BATTERY);
  }

  private static void replay(Schedule schedule, SimulatedBench bench) {
    for (ScheduleStep step : schedule.steps()) {
      switch (step.kind()) {
        case CHARGE -> fill(bench, step.chargeTo());
        case RUN_DOWN -> runDown(bench, step.chargeTo());
        case TEST -> test(step, bench);
        case RUNNING -> throw new AssertionError("nothing runs");
      }
    }
  }

  private static double percent(SimulatedBench bench) {
    return 100 * bench.unit().stateOfCharge();
  }

  private static void fill(SimulatedBench bench, double to) {
    bench.arrange(SetPoints.idle(false, false, false).fromTheWall());
    double before = -1;
    for (int i = 0; percent(bench) < to - 0.2 && i < 5000; i++) {
      bench.advance(SPAN);
      if (i % 30 == 29) {
        // It takes no more.
        if (percent(bench) - before < 0.02) {
          break;
        }
        before = percent(bench);
      }
    }
    bench.arrange(SetPoints.idle(false, false, false));
    bench.advance(1);
  }

  private static void runDown(SimulatedBench bench, double to) {
    load(bench, bench.unit().design().inverter().ratedWatts() / 2);
    for (int i = 0; i < 5000 && percent(bench) > to && bench.unit().alive(); i++) {
      bench.advance(SPAN);
    }
    bench.arrange(SetPoints.idle(false, false, false));
    bench.advance(1);
  }

  /** The output is on from the first moment after it. */
  private static void load(SimulatedBench bench, double watts) {
    bench.arrange(SetPoints.atOutlet(watts));
    bench.advance(1);
    assertTrue(bench.unit().alive() || percent(bench) < EMPTY, "it does not switch on");
  }

  private static void test(ScheduleStep step, SimulatedBench bench) {
    Wanted wanted = step.wanted().orElseThrow();
    Needs needs = wanted.needs();
    String where = step.words() + " begins at " + Figures.fixed(percent(bench), 1) + " %";
    if (needs.most() == 0) {
      assertTrue(percent(bench) <= EMPTY, where);
    } else {
      assertTrue(percent(bench) >= Math.min(FULL, needs.least() - 2), where);
    }
    if (needs.leaves() == 100) {
      fill(bench, 100);
      assertTrue(percent(bench) >= FULL, "it takes no more at " + percent(bench));
    } else if (needs.leaves() == 0) {
      load(bench, wanted.plan().watts());
      for (int i = 0; i < 5000 && bench.unit().alive(); i++) {
        bench.advance(SPAN);
      }
    } else {
      // All of what the test is planned to take at most, at its heaviest load within the rating.
      double rating = bench.unit().design().inverter().ratedWatts();
      load(bench, Math.max(25, Math.min(rating, wanted.plan().watts())));
      double until = Math.max(0, percent(bench) + needs.leaves());
      for (int i = 0; i < 5000 && percent(bench) > until; i++) {
        bench.advance(SPAN);
        assertTrue(bench.unit().alive(), step.words() + " ran it empty");
      }
      bench.arrange(SetPoints.idle(false, false, false));
      bench.advance(1);
    }
  }
}

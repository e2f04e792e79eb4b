package org.wiseember.trial.byhand;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.bench.procedure.IdleWatch;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.procedure.PortSteps;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.bench.simulated.Clamped;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.InverterDesign;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.bench.simulated.load.LoadBank;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.overload.Hold;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.verdict.Standing;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.drain.DrainRun;
import org.wiseember.trial.kind.idle.IdleRun;
import org.wiseember.trial.kind.ladder.LadderRun;
import org.wiseember.trial.kind.overload.OverloadRun;
import org.wiseember.trial.kind.port.PortRun;
import org.wiseember.trial.kind.soak.SoakRun;

/**
 * Tests made by hand on units whose truth is known: figures lie within their ± of it in nine of
 * ten, hardly a verdict is wrong, and none comes from what was not read.
 */
public class ByHandTruthTest {
  private static Label label(SplittableRandom random) {
    int rated = 400 + 50 * random.nextInt(13);
    int wattHours = 200 + 50 * random.nextInt(9);
    return Label.read(
        wattHours
            + " Wh LFP\n230 V, "
            + rated
            + " W\nOverload "
            + Math.round(1.25 * rated / 10) * 10
            + " W for "
            + (30 + 10 * random.nextInt(12))
            + " s\n12 V port 10 A\nIdle draw 12 W");
  }

  @Test(dataProvider = "habits", dataProviderClass = Habit.Each.class)
  public void alternatingDrains(Habit habit) {
    Tally tally = new Tally("AC drain, " + habit);
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(new SplittableRandom(seed));
      Tester tester = new Tester(label, Tester.plan(Drain.AC, label), seed);
      tester.writeSurely("100 %, 0 Wh");
      tester.set(SetPoints.WHOLE_LOAD);
      tester.pass(1);
      double before = tester.shown(Channel.AC_ENERGY);
      tester.press(OperatorEvent.LOAD_ON);
      double looked = tester.now();
      while (tester.alive()) {
        tester.pass(5);
        if (tester.alive() && tester.now() - looked > 900) {
          looked = tester.now();
          tester.write(
              Tester.figure(tester.shown(Channel.AC_ENERGY), 0)
                  + " Wh, "
                  + Tester.watts(tester.shown(Channel.AC_POWER))
                  + ", display "
                  + Tester.figure(tester.shown(Channel.DISPLAY_CHARGE), 0)
                  + " %");
        }
      }
      tester.press(OperatorEvent.DROPPED_OUT);
      tester.write(Tester.figure(tester.shown(Channel.AC_ENERGY), 0) + " Wh");
      assertTrue(before < 2, "the meter began at nought");
      tester.press(OperatorEvent.DONE);
      DrainRun run = (DrainRun) habit.worked(tester);
      double truth = tester.bench().account().delivered();
      tally.figure(seed, run.finding().deliveredEnergy(), truth);
      tally.verdict(
          seed,
          Tester.verdict(label, run, Tester.claim(label, Subject.CAPACITY)),
          truth >= Tester.claim(label, Subject.CAPACITY).figure());
    }
    tally.holds(Tally.UNITS * 9 / 10, Tally.UNITS / 3);
  }

  @Test(dataProvider = "habits", dataProviderClass = Habit.Each.class)
  public void directDrains(Habit habit) {
    Tally tally = new Tally("DC drain, " + habit);
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(new SplittableRandom(seed));
      TestPlan plan = Tester.plan(Drain.DC, label);
      Tester tester = new Tester(label, plan, seed);
      boolean totals = seed % 2 == 0;
      tester.writeSurely("100 %, 0 Wh, 0 Ah");
      tester.set(SetPoints.atPort(plan.watts()));
      tester.pass(1);
      tester.press(OperatorEvent.LOAD_ON);
      double looked = tester.now();
      double ampHours = 0;
      while (tester.bench().unit().portVolts() > 1) {
        tester.pass(5);
        ampHours += tester.shown(Channel.DC_CURRENT) * 5 / 3600;
        if (tester.bench().unit().portVolts() > 1 && tester.now() - looked > 1200) {
          looked = tester.now();
          tester.write(
              totals
                  ? Tester.figure(tester.bench().unit().deliveredAtPort(), 0) + " Wh"
                  : Tester.figure(tester.shown(Channel.DC_VOLTAGE), 2)
                      + " V, "
                      + Tester.figure(tester.shown(Channel.DC_CURRENT), 2)
                      + " A");
        }
      }
      tester.press(OperatorEvent.DROPPED_OUT);
      if (totals) {
        tester.write(
            Tester.figure(tester.bench().unit().deliveredAtPort(), 0)
                + " Wh, "
                + Tester.figure(ampHours, 2)
                + " Ah");
      }
      tester.press(OperatorEvent.DONE);
      DrainRun run = (DrainRun) habit.worked(tester);
      assertTrue(run.direct());
      assertTrue(run.complete() || habit == Habit.AFTERWARDS);
      tally.figure(seed, run.finding().deliveredEnergy(), tester.bench().unit().deliveredAtPort());
    }
    tally.holds(Tally.UNITS * 9 / 10, 0);
  }

  @Test(dataProvider = "habits", dataProviderClass = Habit.Each.class)
  public void overloads(Habit habit) {
    Tally tally = new Tally("Overload, " + habit);
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(new SplittableRandom(seed));
      Tester tester = new Tester(label, Tester.plan(OverloadHolds.KIND, label), seed);
      double truth = Double.NaN;
      double truthWatts = Double.NaN;
      tester.press(OperatorEvent.DONE);
      while (tester.goesOn()) {
        if (tester.canPress(OperatorEvent.DONE) && tester.canPress(OperatorEvent.TRIPPED)) {
          tester.set(SetPoints.atOutlet(base(tester)));
          tester.pass(60);
          tester.write(Tester.watts(tester.shown(Channel.AC_POWER)));
          tester.press(OperatorEvent.DONE);
        }
        if (tester.canPress(OperatorEvent.LOAD_ON)) {
          double load = tester.subject();
          tester.set(SetPoints.atOutlet(load));
          double on = tester.now();
          tester.pass(0.1);
          tester.press(OperatorEvent.LOAD_ON);
          double sum = 0;
          int n = 0;
          double next = on + 5;
          double longest = 600;
          while (tester.alive() && tester.now() - on < longest) {
            sum += tester.bench().unit().draw().watts();
            n++;
            if (tester.now() > next) {
              next += 30;
              tester.write(Tester.watts(tester.shown(Channel.AC_POWER)));
            }
            tester.pass(0.2);
          }
          boolean tripped = !tester.alive();
          if (tripped && Double.isNaN(truth)) {
            truth = tester.now() - on;
            truthWatts = sum / n;
          }
          tester.press(tripped ? OperatorEvent.TRIPPED : OperatorEvent.TAKEN_OFF);
        }
        tester.set(SetPoints.NO_LOAD);
        if (tester.canPress(OperatorEvent.CAME_BACK)) {
          boolean back = tester.passUntil(45, 1, tester::alive);
          tester.set(SetPoints.idle(false, false, false));
          tester.pass(3);
          tester.set(SetPoints.NO_LOAD);
          tester.pass(15);
          tester.press(
              back
                  ? OperatorEvent.CAME_BACK
                  : tester.alive() ? OperatorEvent.CAME_BY_BUTTON : OperatorEvent.LATCHED);
        }
        if (!tester.goesOn() || !tester.alive()) {
          break;
        }
        tester.pass(1200);
        tester.press(OperatorEvent.DONE);
      }
      OverloadRun run = (OverloadRun) habit.worked(tester);
      assertEquals(run.finding().tripTime().isPresent(), !run.finding().trips().isEmpty());
      if (!Double.isNaN(truth) && firstTripWasRead(run, truth)) {
        tally.figure(seed, run.finding().tripTime(), truth);
        tally.figure(seed, run.finding().heldPower(), truthWatts);
      }
      for (Subject subject : List.of(Subject.OVERLOAD, Subject.CONTINUOUS_POWER)) {
        Claim claim = Tester.claim(label, subject);
        tally.verdict(seed, Tester.verdict(label, run, claim), withstands(tester, claim));
      }
    }
    tally.holds(Tally.UNITS, Tally.UNITS / 2);
  }

  /** By the design of the unit, from rest: the watts for the seconds, ten minutes without any. */
  private static boolean withstands(Tester tester, Claim claim) {
    InverterDesign inverter = tester.bench().unit().design().inverter();
    double seconds = claim.condition(Condition.Kind.FOR_SECONDS).orElse(600);
    return inverter.overload().tripSeconds(claim.figure() / inverter.ratedWatts(), 0) >= seconds;
  }

  private static double base(Tester tester) {
    return 0.4 * tester.bench().unit().design().inverter().ratedWatts();
  }

  /** A first trip whose watts were forgotten is no figure; the next one is another load's. */
  private static boolean firstTripWasRead(OverloadRun run, double truth) {
    return run.finding().trips().stream()
        .findFirst()
        .filter(h -> Math.abs(h.seconds() - truth) < 0.2 * truth + 3)
        .isPresent();
  }

  /** A load that tripped, with nobody to say so, is neither held nor tripped. */
  @Test
  public void whatNobodySaidIsNotKnown() {
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(new SplittableRandom(seed));
      Tester tester = new Tester(label, Tester.plan(OverloadHolds.KIND, label), seed);
      tester.press(OperatorEvent.DONE);
      if (tester.canPress(OperatorEvent.DONE)) {
        tester.press(OperatorEvent.DONE);
      }
      tester.set(SetPoints.atOutlet(tester.subject()));
      tester.pass(2);
      tester.press(OperatorEvent.LOAD_ON);
      tester.pass(3);
      tester.writeSurely(Tester.watts(tester.shown(Channel.AC_POWER)));
      tester.pass(700);
      OverloadRun run = (OverloadRun) tester.worked();
      assertTrue(run.finding().trips().isEmpty());
      assertTrue(run.finding().holds().stream().allMatch(h -> h.end() == Hold.End.NOT_SAID));
      assertTrue(run.finding().holds().get(0).seconds() < 10, "held since it was last read");
      for (Subject subject : List.of(Subject.OVERLOAD, Subject.CONTINUOUS_POWER)) {
        Optional<Standing> said =
            Tester.verdict(label, run, Tester.claim(label, subject)).map(v -> v.standing());
        assertFalse(said.equals(Optional.of(Standing.KEPT)), subject + " " + said);
        assertFalse(said.equals(Optional.of(Standing.SHORT)), subject + " " + said);
      }
    }
  }

  @Test(dataProvider = "habits", dataProviderClass = Habit.Each.class)
  public void efficiencies(Habit habit) {
    Tally tally = new Tally("Efficiency, " + habit);
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(new SplittableRandom(seed));
      Tester tester = new Tester(label, Tester.plan(LoadLadder.KIND, label), seed);
      tester.press(OperatorEvent.READ);
      java.util.Map<Double, Double> truth = new java.util.TreeMap<>();
      while (tester.goesOn()) {
        if (tester.canPress(OperatorEvent.LOAD_ON)) {
          tester.set(SetPoints.atOutlet(tester.subject()));
          tester.pass(1);
          tester.press(OperatorEvent.LOAD_ON);
          tester.pass(40);
          var unit = tester.bench().unit();
          truth.put(
              unit.draw().watts(), 100 * unit.draw().watts() / (unit.dcVolts() * unit.dcAmps()));
          tester.write(
              Tester.figure(tester.shown(Channel.AC_POWER), 1)
                  + " W, "
                  + Tester.figure(tester.shown(Channel.DC_VOLTAGE), 2)
                  + " V, "
                  + Tester.figure(tester.shown(Channel.DC_CURRENT), 2)
                  + " A");
        }
        tester.press(OperatorEvent.READ);
      }
      LadderRun run = (LadderRun) habit.worked(tester);
      for (var point : run.finding().points()) {
        double nearest =
            truth.keySet().stream()
                .min(java.util.Comparator.comparingDouble(w -> Math.abs(w - point.acWatts())))
                .orElseThrow();
        tally.figure(seed, Optional.of(point.efficiency()), truth.get(nearest));
      }
    }
    tally.holds(2 * Tally.UNITS, 0);
  }

  /** Units that draw unlike each other at rest, so that no rounding is the same for all. */
  private static SimulatedBench atRest(Label label, long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    UnitDesign usual =
        UnitDesign.typical(Chemistry.LFP, 500, label.ratedWatts().orElseThrow(), 230, 1);
    InverterDesign i = usual.inverter();
    InverterDesign own =
        new InverterDesign(
            i.ratedWatts(),
            i.acVolts(),
            i.hertz(),
            i.droop(),
            i.idleWatts() * (0.5 + random.nextDouble()),
            i.linearLoss(),
            i.squareLoss(),
            i.shape(),
            i.overload(),
            i.fanWatts(),
            8,
            120,
            0.3 + 2 * random.nextDouble());
    return new SimulatedBench(
        usual.with(own), LoadBank.of(Heater.of(1, 230)), 1, seed, Set.of(), Clamped.BATTERY);
  }

  @Test
  public void idleDraws() {
    Tally tally = new Tally("Idle");
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(new SplittableRandom(seed));
      Tester tester =
          new Tester(label, Tester.plan(IdleWatch.KIND, label), seed, atRest(label, seed));
      double[] truth = new double[IdleState.values().length];
      for (IdleState state : IdleState.values()) {
        tester.set(state.setPoints());
        tester.pass(5);
        tester.press(OperatorEvent.DONE);
        // Eco mode takes its time to put an output to sleep.
        tester.pass(200);
        double sum = 0;
        int n = 0;
        for (int i = 0; i < 3; i++) {
          for (int k = 0; k < 12; k++) {
            tester.pass(5);
            sum += tester.bench().unit().dcVolts() * tester.bench().unit().dcAmps();
            n++;
          }
          tester.write(
              Tester.figure(tester.shown(Channel.DC_VOLTAGE), 2)
                  + " V, "
                  + Tester.figure(tester.shown(Channel.DC_CURRENT), 2)
                  + " A");
        }
        truth[state.ordinal()] = sum / n;
        tester.press(OperatorEvent.READ);
      }
      IdleRun run = (IdleRun) tester.worked();
      for (IdleRun.InState in : run.states()) {
        in.state()
            .ifPresent(s -> tally.figure(s.ordinal(), in.finding().power(), truth[s.ordinal()]));
      }
    }
    tally.holds(4 * Tally.UNITS, 0);
  }

  @Test
  public void ports() {
    Tally tally = new Tally("12 V port");
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(new SplittableRandom(seed));
      Tester tester = new Tester(label, Tester.plan(PortSteps.KIND, label), seed);
      double truth = tester.bench().unit().design().port().tripAmps();
      tester.press(OperatorEvent.DONE);
      boolean on = true;
      while (tester.goesOn() && on) {
        tester.set(SetPoints.ampsAtPort(tester.subject()));
        tester.pass(1);
        tester.press(OperatorEvent.LOAD_ON);
        on = !tester.passUntil(20, 1, () -> tester.bench().unit().portVolts() < 1);
        if (on) {
          tester.write(
              Tester.figure(tester.shown(Channel.DC_VOLTAGE), 2)
                  + " V, "
                  + Tester.figure(tester.shown(Channel.DC_CURRENT), 2)
                  + " A");
        }
        tester.press(on ? OperatorEvent.READ : OperatorEvent.WENT_OFF);
      }
      PortRun run = (PortRun) tester.worked();
      Optional<Figure> trip = run.finding().tripAmps();
      tally.figure(seed, trip, truth);
      tally.verdict(
          seed,
          Tester.verdict(label, run, Tester.claim(label, Subject.DC_PORT_CURRENT)),
          truth >= Tester.claim(label, Subject.DC_PORT_CURRENT).figure());
    }
    tally.holds(Tally.UNITS * 8 / 10, 0);
  }

  /** Looked at in the evening and in the morning: what happened between is both moments. */
  @Test
  public void soaks() {
    int off = 0;
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(new SplittableRandom(seed));
      Tester tester = new Tester(label, Tester.plan(Watching.KIND, label), seed);
      tester.set(SetPoints.WHOLE_LOAD);
      tester.pass(5);
      double began = tester.now();
      tester.press(OperatorEvent.LOAD_ON);
      double went = Double.NaN;
      for (int look = 0; look < 4 && tester.canPress(OperatorEvent.STILL_ON); look++) {
        double hours = 1 + 3 * tester.random().nextDouble();
        for (double end = tester.now() + 3600 * hours; tester.now() < end; ) {
          tester.pass(10);
          went = Double.isNaN(went) && !tester.alive() ? tester.now() - began : went;
        }
        tester.press(tester.alive() ? OperatorEvent.STILL_ON : OperatorEvent.WENT_OFF);
      }
      tester.press(OperatorEvent.ENOUGH);
      SoakRun run = (SoakRun) tester.worked();
      assertEquals(run.off().isPresent(), !Double.isNaN(went), run.words());
      if (run.off().isPresent()) {
        off++;
        double middle = run.off().get().at();
        assertTrue(Math.abs(middle - went) <= run.off().get().within() + 1, run.words());
      }
    }
    assertTrue(off > 0, "some of them went off");
  }
}

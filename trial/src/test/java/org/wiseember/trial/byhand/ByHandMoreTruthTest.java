package org.wiseember.trial.byhand;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.StaysOn;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.kind.charge.ChargeRun;
import org.wiseember.trial.kind.heat.HeatRun;
import org.wiseember.trial.kind.legs.LegsRun;
import org.wiseember.trial.kind.start.StartsRun;
import org.wiseember.trial.kind.stays.StaysRun;
import org.wiseember.trial.kind.usb.UsbRun;
import org.wiseember.trial.kind.waveform.WaveRun;

/** The rest of the tests made by hand on units whose truth is known. */
public class ByHandMoreTruthTest {
  private static Label label(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    int rated = 400 + 50 * random.nextInt(13);
    int wattHours = 200 + 50 * random.nextInt(9);
    return Label.read(
        wattHours
            + " Wh LFP\n230 V, "
            + rated
            + " W\nPure sine, distortion below 3 %\nMains charging "
            + (150 + 10 * random.nextInt(40))
            + " W\nSurge "
            + 2 * rated
            + " W\nUSB-C 60 W");
  }

  @Test(dataProvider = "habits", dataProviderClass = Habit.Each.class)
  public void chargesFromTheWall(Habit habit) {
    Tally tally = new Tally("Charge, " + habit);
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(seed);
      Tester tester = new Tester(label, Tester.plan(Charge.KIND, label), seed);
      tester.set(SetPoints.idle(false, false, false));
      tester.pass(1);
      tester.writeSurely(
          "display 0 %, case " + Tester.figure(tester.shown(Channel.CASE_TEMPERATURE), 1) + " °C");
      tester.press(OperatorEvent.DONE);
      tester.set(SetPoints.idle(false, false, false).fed(Set.of(Inlet.WALL)));
      double before = tester.bench().account().taken();
      tester.press(OperatorEvent.LOAD_ON);
      double looked = Double.NEGATIVE_INFINITY;
      double most = 0;
      double began = tester.now();
      while (tester.bench().unit().stateOfCharge() < 0.9995 && tester.now() - began < 12 * 3600) {
        tester.pass(5);
        most = Math.max(most, tester.bench().unit().wallWatts());
        if (tester.now() - looked > 300) {
          looked = tester.now();
          tester.write(
              Tester.watts(tester.shown(Channel.IN_POWER))
                  + " in, "
                  + Tester.figure(tester.shown(Channel.DISPLAY_CHARGE), 0)
                  + " %");
        }
      }
      tester.press(OperatorEvent.FULL);
      tester.press(OperatorEvent.DONE);
      ChargeRun run = (ChargeRun) habit.worked(tester);
      double taken = tester.bench().account().taken() - before;
      tally.figure(seed, run.finding().energyIn(), taken);
      tally.verdict(
          seed,
          Tester.verdict(label, run, Tester.claim(label, Subject.MAINS_POWER)),
          most >= Tester.claim(label, Subject.MAINS_POWER).figure());
    }
    tally.holds(Tally.UNITS * 9 / 10, 0);
  }

  /** A meter that leaves the high orders out, and eyes that see a step and nothing finer. */
  @Test
  public void waves() {
    Tally tally = new Tally("Waves");
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(seed);
      Tester tester = new Tester(label, Tester.plan(WaveSteps.KIND, label), seed);
      double thd = 1 + 6 * tester.random().nextDouble();
      tester.press(OperatorEvent.READ);
      boolean wrote = false;
      while (tester.goesOn()) {
        if (tester.canPress(OperatorEvent.LOAD_ON)) {
          tester.set(SetPoints.atOutlet(tester.subject()));
          tester.press(OperatorEvent.LOAD_ON);
        }
        tester.pass(10);
        double shown = thd * (1 - 0.04 * tester.random().nextDouble());
        if (tester.random().nextInt(4) > 0) {
          tester.writeSurely(
              Tester.figure(tester.shown(Channel.AC_VOLTAGE), 1)
                  + " V, "
                  + Tester.figure(tester.shown(Channel.FREQUENCY), 2)
                  + " Hz, "
                  + Tester.figure(shown, 1)
                  + " % THD, "
                  + Tester.watts(tester.shown(Channel.AC_POWER)));
          wrote = true;
        }
        tester.press(OperatorEvent.READ);
      }
      WaveRun run = (WaveRun) tester.worked();
      assertEquals(!run.ownRead().isEmpty(), wrote);
      for (var read : run.ownRead()) {
        tally.figure(seed, read.distortion(), thd);
      }
      tally.verdict(
          seed, Tester.verdict(label, run, Tester.claim(label, Subject.DISTORTION)), thd <= 3);
      tally.verdict(
          seed, Tester.verdict(label, run, Tester.claim(label, Subject.WAVEFORM)), thd <= 5);
    }
    tally.holds(2 * Tally.UNITS, 0);
  }

  /** A look without a meter: a stepped wave is no pure sine, a smooth one may be. */
  @Test
  public void wavesByEyeAlone() {
    Label label = label(1);
    for (OperatorEvent look : List.of(OperatorEvent.LOOKS_SINE, OperatorEvent.LOOKS_STEPPED)) {
      Tester tester = new Tester(label, Tester.plan(WaveSteps.KIND, label), 1);
      tester.press(OperatorEvent.READ);
      tester.press(look);
      WaveRun run = (WaveRun) tester.worked();
      Optional<Standing> said =
          Tester.verdict(label, run, Tester.claim(label, Subject.WAVEFORM)).map(Verdict::standing);
      assertEquals(said, Optional.of(Standing.RIG_CANNOT_SHOW), look.words());
      tester.writeSurely("226 V");
      Optional<Standing> with =
          Tester.verdict(label, tester.worked(), Tester.claim(label, Subject.WAVEFORM))
              .map(Verdict::standing);
      assertEquals(
          with,
          Optional.of(
              look == OperatorEvent.LOOKS_SINE ? Standing.RIG_CANNOT_SHOW : Standing.SHORT));
    }
  }

  /**
   * How starts went is what was pressed; a surge is told by a peak that was read, or not at all.
   */
  @Test
  public void starts() {
    Tally tally = new Tally("Starts");
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(seed);
      Tester tester = new Tester(label, Tester.plan(MotorStarts.KIND, label), seed);
      boolean clamp = seed % 2 == 0;
      double limit = Tester.claim(label, Subject.SURGE).figure();
      double can = limit * (0.7 + 0.6 * tester.random().nextDouble());
      double takes = limit * (0.5 + 0.8 * tester.random().nextDouble());
      int started = 0;
      int tries = 0;
      tester.press(OperatorEvent.DONE);
      while (tester.goesOn()) {
        boolean goes = takes <= can;
        started += goes ? 1 : 0;
        tries++;
        tester.press(goes ? OperatorEvent.STARTED : OperatorEvent.TRIPPED);
        tester.pass(3);
        if (clamp && goes) {
          tester.write(Tester.figure(takes / 230, 1) + " A peak, 230 V");
        }
        tester.pass(60);
        tester.press(OperatorEvent.DONE);
      }
      StartsRun run = (StartsRun) tester.worked();
      assertEquals(
          run.headline().orElseThrow().answer(),
          started + " of " + tries,
          run.headline().orElseThrow().answer());
      Optional<Verdict> verdict = Tester.verdict(label, run, Tester.claim(label, Subject.SURGE));
      tally.verdict(seed, verdict, can >= limit);
      if (!clamp) {
        assertTrue(
            verdict.stream().allMatch(v -> v.standing() == Standing.RIG_CANNOT_SHOW),
            "nothing was read");
      }
    }
    tally.holds(0, 0);
  }

  @Test
  public void whatStaysOn() {
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(seed);
      Tester tester = new Tester(label, Tester.plan(StaysOn.KIND, label), seed);
      OperatorEvent[] ways = {
        OperatorEvent.BOTH_STAYED, OperatorEvent.LAMP_BLINKED, OperatorEvent.COMPUTER_WENT
      };
      int[] count = new int[3];
      tester.press(OperatorEvent.DONE);
      while (tester.goesOn()) {
        int way = tester.random().nextInt(3);
        count[way]++;
        tester.press(ways[way]);
        tester.pass(30);
        tester.press(OperatorEvent.DONE);
      }
      StaysRun run = (StaysRun) tester.worked();
      assertEquals(run.pulls().orElseThrow().pulls(), 5);
      assertEquals(run.pulls().orElseThrow().lampSteady(), count[0]);
      assertEquals(run.pulls().orElseThrow().computerStayed(), count[0] + count[1]);
      assertTrue(run.alive().isEmpty(), "nobody looked at the outputs");
    }
  }

  /** What a port gave at most is what was read; what the tester cannot ask for convicts nobody. */
  @Test
  public void usb() {
    Tally tally = new Tally("USB");
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(seed);
      Tester tester = new Tester(label, Tester.plan(ByHand.USB, label), seed);
      double can = 40 + 50 * tester.random().nextDouble();
      while (tester.goesOn()) {
        double amps = Math.min(3, can / 5);
        tester.write("5.05 V, " + Tester.figure(amps, 2) + " A");
        tester.press(OperatorEvent.READ);
      }
      UsbRun run = (UsbRun) tester.worked();
      tally.verdict(
          seed, Tester.verdict(label, run, Tester.claim(label, Subject.USB_C_POWER)), can >= 60);
      run.port().most().ifPresent(m -> assertTrue(m.value() < 16, m.words()));
    }
    tally.holds(0, 0);
  }

  @Test
  public void heat() {
    Tally tally = new Tally("Heat");
    for (int seed = 0; seed < Tally.UNITS; seed++) {
      Label label = label(seed);
      Tester tester = new Tester(label, Tester.plan(HeatNoise.KIND, label), seed);
      double warmest = 0;
      note(tester);
      tester.press(OperatorEvent.READ);
      while (tester.goesOn()) {
        tester.set(SetPoints.atOutlet(tester.subject()));
        tester.pass(1);
        tester.press(OperatorEvent.LOAD_ON);
        for (int i = 0; i < 6 && tester.alive(); i++) {
          for (int k = 0; k < 50 && tester.alive(); k++) {
            tester.pass(10);
            warmest =
                Math.max(
                    warmest,
                    tester.bench().unit().caseCelsius() - tester.bench().unit().roomCelsius());
          }
          note(tester);
        }
        tester.press(tester.alive() ? OperatorEvent.READ : OperatorEvent.TRIPPED);
        if (!tester.alive()) {
          tester.press(OperatorEvent.DONE);
        }
      }
      HeatRun run = (HeatRun) tester.worked();
      Optional<Figure> now = run.rise().map(r -> r.reached());
      tally.figure(seed, now, warmest);
    }
    tally.holds(0, 0);
  }

  private static void note(Tester tester) {
    tester.write(
        Tester.figure(tester.shown(Channel.SOUND_LEVEL), 0)
            + " dB, case "
            + Tester.figure(tester.shown(Channel.CASE_TEMPERATURE), 1)
            + " °C, room "
            + Tester.figure(tester.shown(Channel.ROOM_TEMPERATURE), 1)
            + " °C, "
            + Tester.watts(tester.shown(Channel.AC_POWER)));
  }

  /**
   * Common practice, no published source: 3 000 W over both legs, of which 300 W were on before.
   */
  @Test
  public void twoLegs() {
    Label label = label(1);
    Tester tester = new Tester(label, Tester.plan(ByHand.TWO_LEGS, label), 1);
    tester.writeSurely("160 W, other leg 140 W");
    tester.press(OperatorEvent.READ);
    tester.writeSurely("1 600 W, other leg 1 400 W");
    tester.press(OperatorEvent.READ);
    LegsRun run = (LegsRun) tester.worked();
    assertEquals(run.legs().orElseThrow().load(), 2700.0);
  }
}

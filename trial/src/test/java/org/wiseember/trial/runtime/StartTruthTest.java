package org.wiseember.trial.runtime;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.testng.Reporter;
import org.testng.annotations.Test;
import org.wiseember.bench.simulated.SimulatedUnit;
import org.wiseember.bench.simulated.design.Chemistry;
import org.wiseember.bench.simulated.design.UnitDesign;
import org.wiseember.bench.simulated.load.Heater;
import org.wiseember.bench.simulated.load.Load;
import org.wiseember.bench.simulated.load.LoadDraw;
import org.wiseember.bench.simulated.load.Motor;
import org.wiseember.bench.simulated.load.WaveShape;
import org.wiseember.core.Thorough;
import org.wiseember.core.runtime.Endured;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.start.StartSeries;

/**
 * Starts foretold from the starts of other motors, then made on the simulated unit: its inverter
 * limits its current, its volts fall, it trips after a while, and a motor runs up only with volts
 * enough. Of those called sure, either way, 95 in 100 come out so.
 */
public class StartTruthTest {
  private static final int UNITS = Thorough.tries(30, 200);
  private static final double VOLTS = 230;

  /** Of the probe and the clamp, whole width. */
  private static final double METER = 0.03;

  /** A motor that is started over a heater that is on. */
  private record Both(Load base, Motor motor) implements Load {
    @Override
    public LoadDraw at(double volts, WaveShape shape) {
      return base.at(volts, shape).plus(motor.at(volts, shape));
    }

    @Override
    public void pass(double volts, double seconds) {
      base.pass(volts, seconds);
      motor.pass(volts, seconds);
    }

    @Override
    public double longestStep() {
      return Math.min(base.longestStep(), motor.longestStep());
    }
  }

  /** A motor by its figures, and what is on beside it. */
  private record Wanted(double watts, double lockedRotor, double seconds, double base) {
    static Wanted of(SplittableRandom random, double rating) {
      return new Wanted(
          rating * (0.05 + 1.1 * random.nextDouble()),
          4 + 3 * random.nextDouble(),
          0.2 + 0.5 * random.nextDouble(),
          rating * 0.3 * random.nextDouble());
    }

    /** Asked at its full volts with what is on beside it, VA. */
    double asked() {
      return watts / 0.8 * lockedRotor + base;
    }
  }

  private static StartSeries.Try made(UnitDesign design, Wanted wanted, double off) {
    Motor motor = new Motor(wanted.watts(), VOLTS, wanted.lockedRotor(), wanted.seconds());
    Load base = Heater.of(Math.max(1, wanted.base()), VOLTS);
    SimulatedUnit unit = new SimulatedUnit(design, new Both(base, motor), 0.7, 21);
    unit.load(true);
    double most = 0;
    double least = VOLTS;
    for (int i = 0; i < 250 && unit.alive(); i++) {
      unit.advance(0.02);
      most = Math.max(most, unit.acVolts() * unit.draw().amps());
      least = unit.alive() ? Math.min(least, unit.acVolts()) : least;
    }
    MotorStart.Outcome outcome =
        !unit.alive()
            ? MotorStart.Outcome.TRIPPED
            : motor.running() ? MotorStart.Outcome.STARTED : MotorStart.Outcome.SAGGED;
    return new StartSeries.Try(outcome, most * off, Double.NaN, least, "");
  }

  @Test
  public void whatIsCalledSureComesOutSo() {
    int sure = 0;
    int right = 0;
    int held = 0;
    int asked = 0;
    List<String> wrong = new ArrayList<>();
    for (int seed = 0; seed < UNITS; seed++) {
      SplittableRandom random = new SplittableRandom(1800 + seed);
      double rating = 500 + 1500 * random.nextDouble();
      UnitDesign design =
          UnitDesign.typical(
              Chemistry.values()[seed % Chemistry.values().length], 1000, rating, VOLTS, 0.95);
      double off = 1 + METER * (random.nextDouble() - 0.5);
      List<Endured.Start> tried = new ArrayList<>();
      for (int i = 0; i < 1 + random.nextInt(3); i++) {
        Wanted motor = Wanted.of(random, rating);
        for (int k = 0; k < 3; k++) {
          tried.add(
              MeasuredSupply.start(made(design, motor, off), METER, OptionalDouble.empty(), VOLTS));
        }
      }
      Endured endured = new Endured(List.of(), tried);
      for (int i = 0; i < 6; i++) {
        Wanted next = Wanted.of(random, rating);
        asked++;
        Endured.Call call = endured.starting(next.asked(), 0.05).call();
        if (call != Endured.Call.OPEN) {
          boolean went = made(design, next, 1).outcome() == MotorStart.Outcome.STARTED;
          sure++;
          held += call == Endured.Call.HOLDS ? 1 : 0;
          boolean so = went == (call == Endured.Call.HOLDS);
          right += so ? 1 : 0;
          if (!so) {
            wrong.add(seed + ": " + call + " " + Math.round(next.asked()) + " VA");
          }
        }
      }
    }
    Reporter.log(
        "Starts: "
            + right
            + " of "
            + sure
            + " called sure ("
            + held
            + " that they go) of "
            + asked
            + " come out so "
            + wrong,
        true);
    assertTrue(held > 0 && sure - held > 0, "some are called sure either way");
    assertTrue(right >= 0.95 * sure, right + " of " + sure + ": " + wrong);
  }
}

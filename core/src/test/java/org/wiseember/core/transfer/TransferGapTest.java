package org.wiseember.core.transfer;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.waveform.Capture;

/** Switch-overs whose gap is known. */
public class TransferGapTest {
  private enum Shape {
    SINE,
    MODIFIED
  }

  private static double wave(Shape shape, double turn) {
    double x = turn - Math.floor(turn);
    return shape == Shape.SINE
        ? Math.sin(2 * Math.PI * x) + 0.02 * Math.sin(6 * Math.PI * x)
        : x >= 0.125 && x < 0.375 ? 1 : x >= 0.625 && x < 0.875 ? -1 : 0;
  }

  /**
   * Mains until {@code at}, nothing for the gap, then an inverter of its own phase and frequency.
   */
  private static Capture capture(
      double rate, double hertz, double at, double gap, Shape after, double noise, long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    int n = (int) (0.3 * rate);
    double own = random.nextDouble();
    double ownHertz = hertz * (1 + 0.004 * (random.nextDouble() - 0.5));
    double[] v = new double[n];
    for (int i = 0; i < n; i++) {
      double t = i / rate;
      double clean =
          t < at
              ? 325 * wave(Shape.SINE, hertz * t)
              : t < at + gap ? 0 : 318 * wave(after, own + ownHertz * (t - at - gap));
      v[i] = clean + noise * 325 * 2 * (random.nextDouble() - 0.5);
    }
    return Capture.of(rate, v);
  }

  @DataProvider
  Object[][] gaps() {
    double[] gaps = {0.005, 0.010, 0.020, 0.030};
    double[] rates = {4000, 10_000, 50_000};
    Object[][] all = new Object[gaps.length * rates.length * 2][];
    int k = 0;
    for (double gap : gaps) {
      for (double rate : rates) {
        all[k++] = new Object[] {gap, rate, 50.0};
        all[k++] = new Object[] {gap, rate, 60.0};
      }
    }
    return all;
  }

  /** At any phase, with 1 % noise, within 0.5 ms and within its own uncertainty. */
  @Test(dataProvider = "gaps")
  public void aKnownGapIsFound(double gap, double rate, double hertz) {
    for (int i = 0; i < 13; i++) {
      double at = 0.1 + i / 13.0 / hertz;
      TransferGap found =
          TransferGap.of(capture(rate, hertz, at, gap, Shape.SINE, 0.01, i), hertz)
              .gap()
              .orElseThrow();
      assertEquals(found.seconds(), gap, 0.0005, "phase " + i);
      assertEquals(found.seconds(), gap, found.u95() + 1 / rate, "phase " + i);
      double turns = hertz * at;
      double degrees = 360 * (turns - Math.floor(turns));
      double off = Math.IEEEremainder(found.phaseDegrees() - degrees, 360);
      assertEquals(off, 0, 12, "phase " + i);
    }
  }

  /** Into a stepped wave, whose rests at zero look like a gap. */
  @Test
  public void intoAModifiedWave() {
    for (int i = 0; i < 13; i++) {
      double at = 0.1 + i / 13.0 / 50;
      TransferGap found =
          TransferGap.of(capture(20_000, 50, at, 0.012, Shape.MODIFIED, 0.005, i), 50)
              .gap()
              .orElseThrow();
      // Where the new wave begins with its own rest of 5 ms, nobody can tell the two apart.
      double off = found.seconds() - 0.012;
      assertTrue(off > -found.u95() && off < 0.005 + found.u95(), "phase " + i + ": " + found);
      assertTrue(found.u95() < 0.006, "phase " + i + ": " + found);
    }
  }

  /**
   * A relay with a filter behind it, whose charge goes in its own time, or with a motor, which goes
   * on for a while: the volts do not fall to nothing, and the gap is what it is.
   */
  @Test(dataProvider = "tails")
  public void aTailDoesNotShortenTheGap(double gap, double pace, boolean motor) {
    SplittableRandom random = new SplittableRandom((long) (1e6 * (gap + pace)));
    int held = 0;
    int rounds = 26;
    for (int i = 0; i < rounds; i++) {
      double at = 0.1 + i / 26.0 / 50;
      double own = random.nextDouble();
      double rate = 10_000;
      double[] v = new double[3000];
      for (int k = 0; k < v.length; k++) {
        double t = k / rate;
        double dying = Math.exp(-(t - at) / pace);
        double hole =
            motor
                ? 325 * wave(Shape.SINE, 50 * at + 48 * (t - at)) * dying
                : 325 * wave(Shape.SINE, 50 * at) * dying;
        double clean =
            t < at
                ? 325 * wave(Shape.SINE, 50 * t)
                : t < at + gap ? hole : 318 * wave(Shape.SINE, own + 50.05 * (t - at - gap));
        v[k] = clean + 1.5 * (random.nextDouble() - 0.5);
      }
      TransferGap found = TransferGap.of(Capture.of(rate, v), 50).gap().orElseThrow();
      held += Math.abs(found.seconds() - gap) <= found.u95() + 1 / rate ? 1 : 0;
    }
    assertTrue(held >= 0.9 * rounds, held + " of " + rounds + " held " + gap);
  }

  @DataProvider
  Object[][] tails() {
    return new Object[][] {
      {0.008, 0.002, false},
      {0.008, 0.006, false},
      {0.012, 0.004, false},
      {0.018, 0.010, false},
      {0.008, 0.004, true},
      {0.015, 0.008, true},
      {0.025, 0.015, true},
    };
  }

  @Test
  public void noGapIsNone() {
    Capture none = capture(10_000, 50, 9, 0, Shape.SINE, 0.01, 3);
    assertEquals(TransferGap.of(none, 50).gap().orElseThrow().seconds(), 0.0);
  }

  @Test
  public void whatCannotBeMeasuredIsSaid() {
    assertTrue(
        TransferGap.of(Capture.of(1000, new double[1000]), 50)
            .trouble()
            .contains("Capture faster"));
    assertTrue(
        TransferGap.of(Capture.of(10_000, new double[500]), 50).trouble().contains("too short"));
    assertTrue(
        TransferGap.of(Capture.of(10_000, new double[5000]), 50)
            .trouble()
            .contains("no steady wave at the start"));
    double[] dies = capture(10_000, 50, 0.12, 9, Shape.SINE, 0.01, 1).volts();
    assertTrue(
        TransferGap.of(Capture.of(10_000, dies), 50)
            .trouble()
            .contains("no steady wave at the end"));
    dies[7] = Double.NaN;
    assertTrue(TransferGap.of(Capture.of(10_000, dies), 50).trouble().contains("no number"));
  }

  /** ITI (CBEMA) curve, 2000, recalled from memory. */
  @Test
  public void itiCurve() {
    assertTrue(ItiCurve.bears(0, 0.02));
    assertFalse(ItiCurve.bears(0, 0.021));
    assertTrue(ItiCurve.bears(70, 0.5));
    assertFalse(ItiCurve.bears(69, 0.5));
    assertTrue(ItiCurve.bears(80, 10));
    assertFalse(ItiCurve.bears(85, 11));
    assertTrue(ItiCurve.bears(90, 3600) && ItiCurve.bears(110, 3600));
    assertFalse(ItiCurve.bears(111, 3600));
    assertTrue(ItiCurve.bears(120, 0.5) && ItiCurve.bears(140, 0.003));
    assertTrue(ItiCurve.bears(200, 0.001));
    assertFalse(ItiCurve.bears(141, 0.003));
  }
}

package org.wiseember.core.waveform;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * One-cycle RMS every half cycle, IEC 61000-4-30 (recalled from memory), against analytic waves.
 */
public class HalfCycleRmsTest {
  private static double[] sine(double rate, double hertz, double rms, double seconds) {
    double[] v = new double[(int) (rate * seconds)];
    for (int i = 0; i < v.length; i++) {
      v[i] = Math.sqrt(2) * rms * Math.sin(2 * Math.PI * hertz * i / rate + 0.7);
    }
    return v;
  }

  @DataProvider
  Object[][] rates() {
    return new Object[][] {{4000.0, 50.0}, {5000.0, 60.0}, {10_000.0, 49.7}, {48_000.0, 60.3}};
  }

  @Test(dataProvider = "rates")
  public void aSineIsFlat(double rate, double hertz) {
    HalfCycleRms rms = HalfCycleRms.of(sine(rate, hertz, 230, 0.5), rate, hertz);
    assertEquals(rms.step(), 0.5 / hertz, 1e-9);
    assertTrue(rms.size() > 2 * hertz * 0.4);
    for (int i = 0; i < rms.size(); i++) {
      assertEquals(rms.value(i), 230, 0.25);
    }
  }

  /** A sag of five whole cycles to 70 %: the windows inside read it, those outside do not. */
  @Test
  public void aSagIsAsLongAsItIs() {
    double[] v = sine(10_000, 50, 230, 0.6);
    for (int i = 2000; i < 3000; i++) {
      v[i] *= 0.7;
    }
    HalfCycleRms rms = HalfCycleRms.of(v, 10_000, 50);
    assertEquals(rms.least(), 161, 1);
    assertEquals(rms.most(), 230, 0.3);
    assertEquals(rms.secondsBelow(0.9 * 230), 0.1, 0.021);
  }

  @Test
  public void lessThanACycleIsNothing() {
    assertEquals(HalfCycleRms.of(new double[10], 10_000, 50).size(), 0);
    assertEquals(HalfCycleRms.of(new double[0], 10_000, 50).size(), 0);
  }

  /** The wave that repeats is carried on: fitted over two cycles, right ten cycles later. */
  @Test
  public void aRepeatingWaveIsCarriedOn() {
    double[] v = sine(10_000, 50.2, 230, 0.3);
    double hertz = RepeatingWave.frequency(v, 0, 500, 10_000, 50, 3);
    assertEquals(hertz, 50.2, 1e-4);
    RepeatingWave wave = RepeatingWave.fit(v, 0, 500, 10_000, hertz, 5);
    assertEquals(wave.amplitude(), 230 * Math.sqrt(2), 1e-3);
    assertEquals(wave.at(0.2), v[2000], 0.05);
    assertEquals(wave.phase(0), Math.toDegrees(0.7), 0.05);
  }
}

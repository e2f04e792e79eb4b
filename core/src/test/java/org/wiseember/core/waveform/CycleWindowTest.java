package org.wiseember.core.waveform;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.OptionalDouble;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Cells that need not fall on samples, and the frequency they are cut by. */
public class CycleWindowTest {
  private static double[] sine(double cyclesPerSample, int n, double phase) {
    double[] v = new double[n];
    for (int i = 0; i < n; i++) {
      v[i] = Math.sin(2 * Math.PI * (cyclesPerSample * i + phase));
    }
    return v;
  }

  /** What straight lines and means leave of a sine is what the formula says. */
  @Test
  public void theGainIsKnown() {
    for (double f : new double[] {0.002, 0.013, 0.05, 0.21}) {
      int cycles = 20;
      double length = cycles / f;
      double[] cells = new CycleWindow(sine(f, (int) length + 3, 0.1)).cells(0, length, 4096);
      double re = 0;
      double im = 0;
      for (int i = 0; i < cells.length; i++) {
        double angle = 2 * Math.PI * cycles * (i + 0.5) / cells.length;
        re += cells[i] * Math.cos(angle) * 2 / cells.length;
        im += cells[i] * Math.sin(angle) * 2 / cells.length;
      }
      double gain = CycleWindow.gain(f, (double) cycles / cells.length);
      assertEquals(Math.hypot(re, im), gain, 0.004, "at " + f);
      assertTrue(gain <= 1);
    }
  }

  /** Cells hold all of the area, wherever they begin. */
  @Test
  public void nothingIsLostBetweenCells() {
    double[] ramp = new double[101];
    Arrays.setAll(ramp, i -> i);
    CycleWindow w = new CycleWindow(ramp);
    double[] cells = w.cells(3.25, 60.5, 7);
    double sum = Arrays.stream(cells).sum() * 60.5 / 7;
    assertEquals(sum, (63.75 * 63.75 - 3.25 * 3.25) / 2, 1e-9);
  }

  @DataProvider
  Object[][] frequencies() {
    return new Object[][] {{47.0}, {49.99}, {50.0}, {55.5}, {60.0}, {62.97}, {400.0}};
  }

  @Test(dataProvider = "frequencies")
  public void aFrequencyIsFoundToAMillihertz(double hertz) {
    for (double rate : new double[] {4000, 20_000, 200_000}) {
      for (double phase : new double[] {0, 0.13, 0.5, 0.77}) {
        double[] v = sine(hertz / rate, (int) (0.2 * rate) + 1, phase);
        OptionalDouble f = Frequency.of(v, new CycleWindow(v), 15 / rate, 450 / rate);
        assertEquals(f.orElseThrow() * rate, hertz, 1e-3, rate + " S/s, phase " + phase);
      }
    }
  }

  @Test
  public void whatIsNoWaveHasNone() {
    double[] v = new double[1000];
    v[500] = 1;
    OptionalDouble none = Frequency.of(v, new CycleWindow(v), 1e-5, 1e-4);
    assertTrue(none.isEmpty() || none.getAsDouble() * v.length < 2, none.toString());
  }
}

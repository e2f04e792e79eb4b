package org.wiseember.core.waveform;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import org.jtransforms.fft.DoubleFFT_1D;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.uncertainty.MeterClass;

/** Figures of waves that are known by formula, at many rates, frequencies, bits and noises. */
public class WaveformAnalysisTest {
  private static final WaveMethod METHOD =
      WaveMethod.measuredWith(40, MeterClass.ofReading(0.1, 0, 0));

  private static WaveformFinding of(Capture capture) throws WaveformUnreadable {
    return WaveformAnalysis.of(capture, METHOD);
  }

  /** THD cut at an order, from the Fourier coefficients of the wave. */
  private static double cut(int orders, java.util.function.IntToDoubleFunction amplitude) {
    double sum = 0;
    for (int n = 2; n <= orders; n++) {
      sum += Math.pow(amplitude.applyAsDouble(n), 2);
    }
    return 100 * Math.sqrt(sum) / Math.abs(amplitude.applyAsDouble(1));
  }

  /**
   * RMS = V_p·√d and THD of a quasi-square cut at order 40: 47.032, 29.679, 47.032 % for d = 1,
   * 2/3, 1/2, computed numerically and independently; triangle and saw from their coefficients
   * 1/n².
   */
  @DataProvider
  Object[][] shapes() {
    return new Object[][] {
      {AnalyticWave.quasiSquare(1), 1.0, 47.032, WaveClass.SQUARE},
      {AnalyticWave.quasiSquare(2.0 / 3), Math.sqrt(2.0 / 3), 29.679, WaveClass.MODIFIED},
      {AnalyticWave.quasiSquare(0.5), Math.sqrt(0.5), 47.032, WaveClass.MODIFIED},
      {
        AnalyticWave.triangle(),
        1 / Math.sqrt(3),
        cut(40, n -> n % 2 == 0 ? 0 : 1.0 / (n * n)),
        WaveClass.OTHER
      },
      {AnalyticWave.saw(), 1 / Math.sqrt(3), cut(40, n -> 1.0 / n), WaveClass.OTHER},
      {AnalyticWave.harmonics(), Math.sqrt(0.5), 0.0, WaveClass.SINE},
      {
        AnalyticWave.harmonics(
            new double[] {3, 0.03, 0.2}, new double[] {5, 0.02, 0.7}, new double[] {12, 0.01, 0.1}),
        Math.sqrt(0.5 * (1 + 0.0009 + 0.0004 + 0.0001)),
        100 * Math.sqrt(0.0009 + 0.0004 + 0.0001),
        WaveClass.SINE
      },
      {
        AnalyticWave.harmonics(new double[] {3, 0.06, 0.5}, new double[] {7, 0.05, 0.3}),
        Math.sqrt(0.5 * (1 + 0.0036 + 0.0025)),
        100 * Math.sqrt(0.0036 + 0.0025),
        WaveClass.ROUGH_SINE
      }
    };
  }

  @Test(dataProvider = "shapes")
  public void shapesAtEveryRateAndFrequency(
      DoubleUnaryOperator wave, double rms, double thd, WaveClass type) throws Exception {
    SplittableRandom random = new SplittableRandom(4);
    for (double rate : new double[] {20_000, 50_000, 250_000, 1_000_000}) {
      for (double hertz : new double[] {47, 49.83, 50, 60, 60.21, 63}) {
        Capture c =
            AnalyticWave.of(
                wave, 325, hertz, rate, 0.25, random.nextDouble(), 0.002, 12, random.nextLong());
        WaveformFinding f = of(c);
        String where = rate + " S/s, " + hertz + " Hz: ";
        assertEquals(f.frequency().value(), hertz, 0.01, where + "frequency");
        assertEquals(
            f.rms().value(),
            325 * rms,
            325 * rms * rmsLimit(type, rms, rate / hertz),
            where + "RMS");
        assertEquals(f.thdF().value(), thd, Math.max(0.1, 0.01 * thd), where + "THD");
        assertEquals(f.shape(), type, where + f.reason());
      }
    }
  }

  /**
   * 0.1 %. Where every cycle has the same whole number of samples, steps that are on for a share d
   * of N samples cannot be told to better than a sample: 1 ÷ (d·N) of the RMS.
   */
  private static double rmsLimit(WaveClass type, double rms, double samples) {
    boolean locked = Math.abs(samples - Math.rint(samples)) < 1e-9;
    return type == WaveClass.MODIFIED && locked
        ? Math.max(0.001, 1 / (rms * rms * samples))
        : 0.001;
  }

  /** Sums of harmonics at 4 to 1 000 kS/s, 47 to 63 Hz, 8 to 16 bits, noise, any phase. */
  @Test
  public void sumsOfHarmonicsAnywhere() throws Exception {
    SplittableRandom random = new SplittableRandom(17);
    for (int i = 0; i < 120; i++) {
      double rate = 4000 * Math.pow(250, random.nextDouble());
      double hertz = 47 + 16 * random.nextDouble();
      int bits = 8 + random.nextInt(9);
      double[][] parts = new double[1 + random.nextInt(4)][];
      double square = 0;
      for (int k = 0; k < parts.length; k++) {
        // Orders apart, all of them below what 4 kS/s carry at 63 Hz.
        parts[k] =
            new double[] {
              2 + 7 * k + random.nextInt(6), 0.08 * random.nextDouble(), random.nextDouble()
            };
        square += parts[k][1] * parts[k][1];
      }
      Capture c =
          AnalyticWave.of(
              AnalyticWave.harmonics(parts),
              325,
              hertz,
              rate,
              0.25 + random.nextDouble() / 4,
              random.nextDouble(),
              0.003 * random.nextDouble(),
              bits,
              random.nextLong());
      WaveformFinding f = of(c);
      String where = i + ": " + rate + " S/s, " + hertz + " Hz, " + bits + " bits: ";
      double rms = 325 * Math.sqrt((1 + square) / 2);
      double thd = 100 * Math.sqrt(square);
      assertEquals(f.frequency().value(), hertz, 0.01, where + "frequency");
      assertEquals(f.rms().value(), rms, 0.001 * rms, where + "RMS");
      assertEquals(f.thdF().value(), thd, Math.max(0.1, 0.01 * thd), where + "THD");
    }
  }

  /** Jumps sampled slowly, locked to the wave or not: what folds back is taken off. */
  @Test
  public void jumpsSampledSlowly() throws Exception {
    Object[][] waves = {
      {AnalyticWave.quasiSquare(1), cut(39, n -> n % 2 == 0 ? 0 : 1.0 / n), 0.0},
      {AnalyticWave.quasiSquare(0.5), cut(39, n -> Math.sin(n * Math.PI / 4) / n * (n % 2)), 0.125},
      {AnalyticWave.saw(), cut(39, n -> 1.0 / n), 0.0},
    };
    for (double rate : new double[] {4000, 5000, 8000, 10_000}) {
      for (double hertz : new double[] {50, 49.87, 50.0125}) {
        for (Object[] w : waves) {
          // Edges half way between samples, so that the wave that was sampled is the one meant.
          double phase = (double) w[2] + 0.5 * hertz / rate;
          Capture c =
              AnalyticWave.of((DoubleUnaryOperator) w[0], 325, hertz, rate, 0.4, phase, 0, 0, 1);
          WaveformFinding f =
              WaveformAnalysis.of(c, WaveMethod.measuredWith(39, MeterClass.ofReading(0.1, 0, 0)));
          double thd = (double) w[1];
          assertEquals(f.thdF().value(), thd, 0.01 * thd, rate + " S/s, " + hertz + " Hz");
        }
      }
    }
  }

  /** Band-limited waves are told exactly even where samples are few. */
  @Test
  public void slowSamplingOfHarmonics() throws Exception {
    DoubleUnaryOperator wave =
        AnalyticWave.harmonics(
            new double[] {2, 0.01, 0.1},
            new double[] {3, 0.05, 0.4},
            new double[] {11, 0.03, 0.8},
            new double[] {25, 0.02, 0.3});
    double thd = 100 * Math.sqrt(0.0001 + 0.0025 + 0.0009 + 0.0004);
    for (double hertz : new double[] {47.3, 50, 59.9, 60}) {
      WaveformFinding f = of(AnalyticWave.of(wave, 170, hertz, 4000, 0.5, 0.3, 0, 0, 1));
      assertEquals(f.thdF().value(), thd, 0.1, hertz + " Hz");
      assertEquals(f.rms().value(), 170 * Math.sqrt(0.5 * 1.0039), 0.15);
      assertEquals(f.harmonics().get(3).value(), 5, 0.05);
      assertEquals(f.harmonics().get(25).value(), 2, 0.05);
      assertEquals(f.frequency().value(), hertz, 0.005);
    }
  }

  /** Eight bits and 1 % of noise: what they add is taken off, and the doubt says so. */
  @Test
  public void fewBitsAndNoise() throws Exception {
    for (long seed = 0; seed < 12; seed++) {
      DoubleUnaryOperator wave = AnalyticWave.harmonics(new double[] {5, 0.03, 0.2});
      WaveformFinding f = of(AnalyticWave.of(wave, 325, 50.4, 50_000, 0.4, 0.1, 0.01, 8, seed));
      assertEquals(f.thdF().value(), 3, 0.1, "seed " + seed);
      assertTrue(Math.abs(f.thdF().value() - 3) <= f.thdF().u95() + 0.02, f.thdF().toString());
      assertEquals(f.frequency().value(), 50.4, 0.01);
      assertTrue(f.warnings().stream().noneMatch(w -> w.code().equals("clipped")));
    }
  }

  /** An averaging meter reads 1.1107, 0.9069, 0.7854 of true for d = 1, 2/3, 1/2. */
  @Test
  public void whatAnAveragingMeterReads() throws Exception {
    double[][] known = {{1, 1.1107}, {2.0 / 3, 0.9069}, {0.5, 0.7854}};
    for (double[] k : known) {
      WaveformFinding f =
          of(AnalyticWave.of(AnalyticWave.quasiSquare(k[0]), 325, 50, 100_000, 0.2, 0.1, 0, 0, 1));
      assertEquals(f.averagingMeter().value() / f.rms().value(), k[1], 0.002);
      assertEquals(f.crestFactor().value(), 1 / Math.sqrt(k[0]), 0.003);
    }
    WaveformFinding sine =
        of(AnalyticWave.of(AnalyticWave.harmonics(), 325, 50, 100_000, 0.2, 0.1, 0, 0, 1));
    assertEquals(sine.averagingMeter().value(), sine.rms().value(), 0.05);
    assertEquals(sine.formFactor().value(), Math.PI / (2 * Math.sqrt(2)), 1e-4);
    assertEquals(sine.crestFactor().value(), Math.sqrt(2), 1e-3);
    assertEquals(sine.peakToPeak().value(), 650, 0.2);
  }

  @Test
  public void anOffsetIsFound() throws Exception {
    double[] v =
        Arrays.stream(
                AnalyticWave.of(AnalyticWave.harmonics(), 325, 50.2, 20_000, 0.3, 0.4, 0, 0, 1)
                    .volts())
            .map(x -> x + 4.5)
            .toArray();
    WaveformFinding f = of(Capture.of(20_000, v));
    assertEquals(f.dcOffset().value(), 4.5, 0.05);
    assertEquals(f.thdF().value(), 0, 0.05);
  }

  /** Between harmonics: 2 % at 87 Hz is no harmonic distortion. */
  @Test
  public void whatLiesBetweenTheHarmonicsIsKeptApart() throws Exception {
    double[] v = new double[40_000];
    for (int i = 0; i < v.length; i++) {
      double t = i / 20_000.0;
      v[i] = 325 * (Math.sin(2 * Math.PI * 50 * t) + 0.02 * Math.sin(2 * Math.PI * 130 * t));
    }
    WaveformFinding f = of(Capture.of(20_000, v));
    assertEquals(f.interharmonics(), 2, 0.05);
    assertEquals(f.thdF().value(), 0, 0.1);
    assertEquals(f.windows(), 9, 1);
  }

  @DataProvider
  Object[][] absurd() {
    double[] nan = AnalyticWave.of(x -> x, 1, 50, 10_000, 0.3, 0, 0, 0, 1).volts();
    nan[1234] = Double.NaN;
    double[] flat = new double[5000];
    Arrays.fill(flat, 2047);
    return new Object[][] {
      {new double[] {1}, 10_000.0, "has 1 sample;"},
      {new double[0], 10_000.0, "has 0 samples"},
      {flat, 10_000.0, "All samples are 2\u2009047"},
      {nan, 10_000.0, "Sample 1\u2009235 is no number".replace("\u2009", "")},
      {
        AnalyticWave.of(AnalyticWave.harmonics(), 1, 50, 10_000, 0.04, 0, 0, 0, 1).volts(),
        10_000.0,
        "No 3 whole cycles"
      },
      // A wrong time base makes the mains a kilohertz.
      {
        AnalyticWave.of(AnalyticWave.harmonics(), 1, 50, 10_000, 0.3, 0, 0, 0, 1).volts(),
        1_000_000.0,
        "Check the time base"
      }
    };
  }

  @Test(dataProvider = "absurd")
  public void absurdCapturesAreOneSentence(double[] v, double rate, String words) {
    WaveformUnreadable e = expectThrows(WaveformUnreadable.class, () -> of(Capture.of(rate, v)));
    assertTrue(e.getMessage().contains(words), e.getMessage());
    assertTrue(e.getMessage().endsWith("."));
  }

  @Test
  public void clippingIsNoticedButNotOnASquare() throws Exception {
    double[] clipped =
        Arrays.stream(
                AnalyticWave.of(AnalyticWave.harmonics(), 325, 50, 50_000, 0.3, 0.4, 0, 0, 1)
                    .volts())
            .map(x -> Math.max(-300, Math.min(300, x)))
            .toArray();
    assertTrue(
        of(Capture.of(50_000, clipped)).warnings().stream()
            .anyMatch(w -> w.code().equals("clipped")));
    assertTrue(
        of(AnalyticWave.of(AnalyticWave.quasiSquare(1), 325, 50, 50_000, 0.3, 0.4, 0, 0, 1))
            .warnings()
            .stream()
            .noneMatch(w -> w.code().equals("clipped")));
  }

  /** A sine ten times too large for the scope looks square and is said to be clipped. */
  @Test
  public void aSineDrivenFarBeyondTheRange() throws Exception {
    for (double rate : new double[] {10_000, 50_000, 250_000}) {
      double[] v =
          Arrays.stream(
                  AnalyticWave.of(AnalyticWave.harmonics(), 3250, 50, rate, 0.3, 0.4, 0, 0, 1)
                      .volts())
              .map(x -> Math.max(-300, Math.min(300, x)))
              .toArray();
      assertTrue(
          of(Capture.of(rate, v)).warnings().stream().anyMatch(w -> w.code().equals("clipped")),
          rate + " S/s");
    }
  }

  /** The library's transform against a second one's. */
  @Test
  public void asSecondLibraryAgrees() {
    SplittableRandom random = new SplittableRandom(2);
    int n = 4096;
    double[][] ours = new double[2][n];
    double[] theirs = new double[2 * n];
    for (int i = 0; i < n; i++) {
      ours[0][i] = random.nextDouble() - 0.5;
      theirs[2 * i] = ours[0][i];
    }
    org.hipparchus.transform.FastFourierTransformer.transformInPlace(
        ours,
        org.hipparchus.transform.DftNormalization.STANDARD,
        org.hipparchus.transform.TransformType.FORWARD);
    new DoubleFFT_1D(n).complexForward(theirs);
    for (int k = 0; k < n; k++) {
      assertEquals(ours[0][k], theirs[2 * k], 1e-9);
      assertEquals(ours[1][k], theirs[2 * k + 1], 1e-9);
    }
  }
}

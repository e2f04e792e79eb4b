package org.wiseember.core.waveform;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.testng.annotations.Test;
import org.wiseember.core.uncertainty.MeterClass;

/** Power, residual, notches, ringing, half waves and windows, on waves with known answers. */
public class WaveDetailsTest {
  private static final WaveMethod METHOD =
      WaveMethod.measuredWith(40, MeterClass.ofReading(0.1, 0, 0));
  private static final double RATE = 50_000;

  private static WaveformFinding of(DoubleUnaryOperator wave) throws Exception {
    return WaveformAnalysis.of(
        AnalyticWave.of(wave, 325, 50.03, RATE, 0.4, 0.2, 0.0005, 0, 3), METHOD);
  }

  /** P = U·I·cos φ, S = U·I by hand; a lag of 60° has half of the VA as watts. */
  @Test
  public void powerOfALaggingLoad() throws Exception {
    int n = 25_000;
    double[] u = new double[n];
    double[] i = new double[n];
    for (int k = 0; k < n; k++) {
      double w = 2 * Math.PI * 49.97 * k / RATE;
      u[k] = 325 * Math.sin(w + 0.3);
      i[k] = 7 * Math.sin(w + 0.3 - Math.PI / 3) + 0.7 * Math.sin(3 * w);
    }
    AcPower p = WaveformAnalysis.of(Capture.of(RATE, u, i), METHOD).power().orElseThrow();
    double amps = Math.sqrt((49 + 0.49) / 2);
    assertEquals(p.watts().value(), 325 * 7 / 4.0, 0.5);
    assertEquals(p.amps().value(), amps, 1e-3 * amps);
    assertEquals(p.voltAmperes().value(), 325 / Math.sqrt(2) * amps, 1);
    assertEquals(p.powerFactor().value(), 0.5 * 7 / Math.sqrt(49.49), 0.001);
    assertEquals(p.displacementFactor(), 0.5, 0.001);
    assertEquals(p.ampsThd().value(), 10, 0.1);
  }

  /** Harmonics of 3 and 4 % leave 5 % after the best sine; an offset is no part of it. */
  @Test
  public void residualAfterTheBestSine() throws Exception {
    DoubleUnaryOperator wave =
        AnalyticWave.harmonics(new double[] {3, 0.03, 0.1}, new double[] {7, 0.04, 0.4});
    WaveformFinding f = of(x -> wave.applyAsDouble(x) + 0.02);
    assertEquals(f.residual().value(), 5, 0.1);
    assertEquals(f.worstOrder(), 7);
    assertEquals(f.worst().value(), 4, 0.05);
  }

  /** A dent at each crossing is a notch, the same harmonics spread over the wave are none. */
  @Test
  public void notchesAtTheCrossings() throws Exception {
    WaveformFinding kinked =
        of(
            x -> {
              double s = Math.sin(2 * Math.PI * x);
              return Math.abs(s) < 0.09 ? s * 0.2 : s;
            });
    assertTrue(kinked.cycle().notch().isPresent());
    assertEquals(kinked.cycle().notch().get().percent(), 7, 2);
    WaveformFinding smooth =
        of(AnalyticWave.harmonics(new double[] {3, 0.05, 0}, new double[] {5, 0.03, 0.5}));
    assertTrue(smooth.cycle().notch().isEmpty(), "" + smooth.cycle().notch());
    assertTrue(of(AnalyticWave.harmonics()).cycle().notch().isEmpty());
    assertTrue(of(AnalyticWave.quasiSquare(0.5)).cycle().notch().isEmpty());
  }

  /** Edges that swing at 1 200 Hz and overshoot by 25 %. */
  @Test
  public void ringingAfterEdges() throws Exception {
    DoubleUnaryOperator steps = AnalyticWave.quasiSquare(0.7);
    WaveformFinding f =
        of(
            x -> {
              double level = steps.applyAsDouble(x);
              // Each half wave of the steps begins where it is on for 70 % around its middle.
              double since = ((x < 0.5 ? x : x - 0.5) - 0.075) / 50.03;
              double swing =
                  level == 0
                      ? 0
                      : 0.25 * Math.exp(-since * 900) * Math.cos(2 * Math.PI * 1200 * since);
              return level * (1 + swing);
            });
    assertEquals(f.shape(), WaveClass.MODIFIED);
    CycleShape.Ringing ringing = f.cycle().ringing().orElseThrow();
    assertEquals(ringing.overshootPercent(), 25, 6);
    assertEquals(ringing.hertz(), 1200, 150);
    assertTrue(of(AnalyticWave.quasiSquare(0.7)).cycle().ringing().isEmpty());
  }

  /** Even harmonics are what the half waves do not share: 4 % of the 2nd is 4 %. */
  @Test
  public void halfWavesThatDiffer() throws Exception {
    WaveformFinding f = of(AnalyticWave.harmonics(new double[] {2, 0.04, 0.25}));
    assertEquals(f.cycle().evenPercent(), 4, 0.1);
    // sin w + 0.04 cos 2w: 0.96 up and 1.04 down.
    assertEquals(f.cycle().peakAsymmetryPercent(), 8, 0.3);
    assertEquals(of(AnalyticWave.harmonics()).cycle().evenPercent(), 0, 0.1);
  }

  /** A unit whose volts fall and whose frequency wanders over ten seconds. */
  @Test
  public void everyWindowOfALongRecord() throws Exception {
    int n = 100_000;
    double[] v = new double[n];
    double turn = 0;
    for (int k = 0; k < n; k++) {
      double share = (double) k / n;
      turn += (50 + 0.1 * share) / 10_000;
      v[k] = (325 - 6.5 * share) * Math.sin(2 * Math.PI * turn);
    }
    WaveformFinding f = WaveformAnalysis.of(Capture.of(10_000, v), METHOD);
    assertEquals(f.windows(), 50, 1);
    assertEquals(f.over().rms().most() / f.over().rms().least(), 1.02, 0.002);
    assertEquals(f.over().frequency().least(), 50.0, 0.01);
    assertEquals(f.over().frequency().most(), 50.1, 0.01);
    assertEquals(f.frequency().value(), 50.05, 0.01);
    assertTrue(f.over().thd().most() < 0.5, "" + f.over().thd());
  }

  /** Folded lines are said: a square sampled at 4 kS/s; a sine at the same rate is not. */
  @Test
  public void aliasingIsNoticed() throws Exception {
    Capture square =
        AnalyticWave.of(AnalyticWave.quasiSquare(1), 325, 49.7, 4000, 0.4, 0.2, 0, 0, 3);
    assertTrue(codes(WaveformAnalysis.of(square, METHOD)).contains("aliasing"));
    Capture sine = AnalyticWave.of(AnalyticWave.harmonics(), 325, 49.7, 4000, 0.4, 0.2, 0, 10, 3);
    assertFalse(codes(WaveformAnalysis.of(sine, METHOD)).contains("aliasing"));
  }

  /** Mains at 250 Hz are a time base that was read five times too fast. */
  @Test
  public void aWrongTimeBaseIsNoticed() throws Exception {
    Capture sine = AnalyticWave.of(AnalyticWave.harmonics(), 325, 50, 10_000, 0.5, 0.2, 0, 0, 3);
    WaveformFinding fast = WaveformAnalysis.of(Capture.of(50_000, sine.volts()), METHOD);
    assertTrue(codes(fast).contains("time_base"));
    assertFalse(codes(WaveformAnalysis.of(sine, METHOD)).contains("time_base"));
  }

  private static List<String> codes(WaveformFinding f) {
    return f.warnings().stream().map(w -> w.code()).toList();
  }
}
